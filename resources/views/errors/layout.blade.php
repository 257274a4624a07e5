<x-layout :title="$title" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ $title }}</h1>
            {{-- Why, where the reason is ours; 405 and its like speak of methods and routes. --}}
            <p>{{ ($isOurs ?? true) && $exception->getMessage() !== '' && $exception->getStatusCode() < 500
                && ! str_contains($exception->getMessage(), '\\') ? $exception->getMessage() : $said }}</p>
            <p><a class="btn btn-slate" href="{{ route('home') }}">{{ __('To the start') }}</a></p>
        </section>
    </main>
</x-layout>
