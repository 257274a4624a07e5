<x-layout :title="__('Open these plans here?')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ __('Open these plans here?') }}</h1>
            <p>{{ __('This link makes this device one of :name’s: what you make here from now on is made in that name.', ['name' => $teacher->name ?: __('another teacher')]) }}</p>
            @if ($takesOver)
                <p>{{ __('This device has plans, classes or sessions of its own. They become part of those, and whoever has the link sees them.') }}</p>
            @elseif ($before?->hasAccount())
                <p>{{ __('You are signed in here as :name, and will be signed out.', ['name' => $before->name]) }}</p>
            @endif
            <p>{{ __('Go on only if the link is your own.') }}</p>
            <form method="post" action="{{ route('account.return.join', [$teacher, $key]) }}">
                @csrf
                <button class="btn btn-go btn-lg w-100">{{ $takesOver ? __('It is mine: put them together') : __('It is mine: open them') }}</button>
                <a class="btn btn-outline-slate btn-lg w-100 mt-2" href="{{ route('home') }}">{{ __('Leave everything as it is') }}</a>
            </form>
        </section>
    </main>
</x-layout>
