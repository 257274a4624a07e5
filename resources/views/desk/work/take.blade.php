<x-layout :title="__('Record')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ __('Record of “:title”', ['title' => $session->title]) }}</h1>
            <p>{{ trans_choice('{0} Nobody joined yet.|{1} :count student, :canvases canvases.|[2,*] :count students, :canvases canvases.',
                $session->seats_count, ['canvases' => $session->canvases_count]) }}
                {{ $session->isRunning() ? __('The session goes on while it is made.') : '' }}</p>
            <x-said />
            @if ($session->canvases_count > 0)
                @include('desk.life.record')
                @include('desk.checks.results')
            @else
                <p>{{ __('There’s no work to keep yet.') }}</p>
            @endif
            @include('desk.life.keep')
        </section>
        <p class="mt-3"><a href="{{ route('desk', $session) }}">{{ __('Back to the desk') }}</a></p>
    </main>
</x-layout>
