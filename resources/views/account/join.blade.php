<x-layout :title="__('Open these plans here?')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ __('Open these plans here?') }}</h1>
            <p>{{ __('This device has plans, classes or sessions of its own. With this link they become part of those of :name, and whoever has the link sees them. Go on only if the link is your own.', ['name' => $teacher->name ?: __('another teacher')]) }}</p>
            <form method="post" action="{{ route('account.return.join', [$teacher, $key]) }}">
                @csrf
                <button class="btn btn-go btn-lg w-100">{{ __('It is mine: put them together') }}</button>
                <a class="btn btn-outline-slate btn-lg w-100 mt-2" href="{{ route('plans') }}">{{ __('Leave everything as it is') }}</a>
            </form>
        </section>
    </main>
</x-layout>
