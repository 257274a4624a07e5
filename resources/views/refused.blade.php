<x-layout :title="__('Not now')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ __('You can’t do that now') }}</h1>
            <p>{{ $sentence }}</p>
            <p class="mb-0"><a class="btn btn-slate" href="{{ route('home') }}">{{ __('Home') }}</a></p>
        </section>
    </main>
</x-layout>
