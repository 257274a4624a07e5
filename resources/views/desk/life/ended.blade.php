@use('Crag\Session\Rules\Deed')
<x-layout :title="__('Ended')" class="home">
    <x-bar />
    <main class="container-lg py-4 ended">
        <section class="ended-head">
            <h1>{{ __('“:title” has ended', ['title' => $session->title]) }}</h1>
            <p>{{ trans_choice('{0} Nobody joined.|{1} :count student was here.|[2,*] :count students were here.',
                $session->seats_count) }}
                {{ __('The code :code no longer works. Students can still take their own work.',
                    ['code' => $session->code()->spaced()]) }}</p>
            <x-said />
            @if ($deeds->may(Deed::Reopen))
                <form action="{{ route('desk.reopen', $session) }}" method="post" class="panel-row mb-3">@csrf
                    <button class="btn btn-go" id="reopen"><x-icon name="arrow-counterclockwise" />
                        {{ __('Open it again') }}</button>
                    <span class="form-text">{{ __('Ended by mistake? For :n minutes it opens again with its code, its seats and all work.',
                        ['n' => Crag\Session\Life\Reopening::MINUTES]) }}</span>
                </form>
            @endif
        </section>
        @include('desk.life.work')
        <section class="card-paper ended-files" aria-label="{{ __('Files, and how long it’s kept') }}">
            @if ($session->canvases_count > 0)
                @include('desk.life.record')
                @include('desk.checks.results')
                @if ($hasBoard) <p><a class="btn btn-outline-slate w-100" href="{{ route('desk.board.pdf', $session) }}"><x-icon
                    name="printer" /> {{ __('Offered work as PDF') }}</a></p> @endif
            @endif
            @include('desk.life.keep')
            @if ($deeds->may(Deed::GoOn))
                <h2 class="h6 mt-3">{{ __('Carry on from it') }}</h2>
                <form action="{{ route('desk.go-on', $session) }}" method="post" class="panel-row">@csrf
                    <button class="btn btn-outline-slate" name="canvases"
                        value="carried">{{ __('Carry the canvases on') }}</button>
                    <button class="btn btn-outline-slate" name="canvases"
                        value="empty">{{ __('Start with empty canvases') }}</button>
                    <span class="form-text">{{ __('A new session with the same prompts, class and groups.') }}</span>
                </form>
            @endif
            <hr>
            @if ($deeds->may(Deed::Forget))
            <form action="{{ route('desk.forget', $session) }}" method="post"
                  data-ask="{{ __('Forget “:title”? This deletes :n canvases, their checks and pictures for good.',
                      ['title' => $session->title, 'n' => $session->canvases_count]) }}">
                @csrf @method('DELETE')
                <button class="btn btn-outline-danger">{{ __('Forget now') }}</button>
                <span
                    class="form-text">{{ __('This deletes :n canvases and everything that belongs to them. It can’t be undone.',
                    ['n' => $session->canvases_count]) }}</span>
            </form>
            @endif
        </section>
        <p class="mt-3"><a href="{{ route('home') }}">{{ __('All my sessions') }}</a></p>
    </main>
</x-layout>
