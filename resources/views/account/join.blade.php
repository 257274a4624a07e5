<x-layout :title="__('Open these plans here?')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ __('Open these plans here?') }}</h1>
            <p>{{ __('This link signs this device in as :name. Anything you make here will be theirs.',
                ['name' => $teacher->name ?: __('another teacher')]) }}</p>
            @if ($takesOver)
                <p>{{ __('This device has plans, classes or sessions of its own. They’ll be added to theirs, and anyone with the link can see them.') }}</p>
            @elseif ($before?->hasAccount())
                <p>{{ __('You’re signed in here as :name. This signs you out.', ['name' => $before->name]) }}</p>
            @endif
            <p>{{ __('Only carry on if this is your own link.') }}</p>
            <form method="post" action="{{ route('account.return.join', [$teacher, $key]) }}">
                @csrf
                <button class="btn btn-go btn-lg w-100">{{ $takesOver ? __('It’s my link: put them together')
                    : __('It’s my link: open them') }}</button>
                <a class="btn btn-outline-slate btn-lg w-100 mt-2"
                    href="{{ route('home') }}">{{ __('Leave everything as it is') }}</a>
            </form>
        </section>
    </main>
</x-layout>
