{{-- Rendered once for a class (App\Http\SameForAll): what is a student's own is put in afterwards, so that nothing here
    may be decided by it. --}}
<x-layout :title="$title" script="student" class="student"
    :page="['session' => $session, 'seat' => $seat, 'channel' => $channel, 'ink' => $ink, 'keep' => $keep, 'address' => '/seat/'.$seat, 'join' => '/join/'.$code, 'assets' => '/asset', 'stamps' => Crag\Canvas\Drawing\StampArt::all(), 'words' => App\Http\SameForAll::words('student', App\Http\Words\StudentWords::all(...)), 'assets_kept' => App\Http\PageAssets::of('resources/scss/app.scss', 'resources/ts/pages/student.ts')]">
    <x-opening :json="$opening" />
    <header id="strip" class="strip {{ $wordless }}">
        <h1 class="visually-hidden">{{ $title }}</h1>
        <div class="strip-number">
            <button id="prompt-before" class="mini-strip" hidden
                title="{{ __('The prompt before') }}"><x-icon name="chevron-left" /><span
                class="visually-hidden">{{ __('The prompt before') }}</span></button>
            <span id="prompt-number">{{ __('Prompt :n', ['n' => $n]) }}</span>
            <button id="prompt-after" class="mini-strip" hidden
                title="{{ __('The next prompt') }}"><x-icon name="chevron-right" /><span
                class="visually-hidden">{{ __('The next prompt') }}</span></button>
        </div>
        <button id="unfold" class="strip-unfold" aria-expanded="false" aria-controls="prompt-sheet">
            <span id="prompt-line" class="strip-words" dir="auto">{{ $mine }}</span>
            <span id="answered" class="strip-answered" role="img" hidden></span>
            <span id="tasks-n" class="strip-answered" role="img" hidden></span>
            <x-icon name="chevron-down" /><span class="visually-hidden">{{ __('Whole prompt') }}</span>
        </button>
        <span id="timer" class="strip-timer" role="timer" hidden></span>
        <span class="strip-who" dir="auto">{{ $name }}</span>
        <span id="together" class="strip-together" hidden><x-icon name="people" /><span class="together-count"
            aria-hidden="true"></span><span class="together-names" role="status" dir="auto"></span></span>
        <span id="saved" class="strip-saved" data-state="saved"><x-icon name="check2" /><span class="saved-words"
            role="status">{{ __('Saved') }}</span></span>
        <div class="strip-do">
            <button id="lead-look" class="btn btn-paper" aria-expanded="false" aria-controls="lead-side"
                hidden><x-icon name="layout-split" /> <span>{{ __('Teacher’s page') }}</span></button>
            <button id="shown-look" class="btn btn-paper" hidden><x-icon name="collection" />
                <span>{{ __('Shown') }}</span></button>
            <button id="hand" class="btn btn-paper" aria-pressed="false"><x-icon name="hand-index" />
                <span>{{ __('Hand up') }}</span></button>
            <button id="send" class="btn btn-paper"><x-icon name="send" />
                <span>{{ __('Send to teacher') }}</span></button>
        </div>
    </header>
    <x-recording as="talk-bar" :label="__('Talk-through')" :send="__('Send to teacher')" />
    <x-live-talk as="live-talk" :label="__('Talking with your teacher')">
        <button id="live-talk-yes" class="live-answer btn btn-go"><x-icon name="mic" /> {{ __('Talk') }}</button>
        <button id="live-talk-no" class="live-answer btn btn-outline-slate">{{ __('Not now') }}</button>
    </x-live-talk>
    <x-toast id="notice" />
    <section id="letters" class="letters" aria-label="{{ __('From your teacher') }}" aria-live="polite"></section>
    <div class="sheets">
        <section id="prompt-sheet" class="prompt-sheet" aria-label="{{ __('Prompt') }}" hidden>
            <p id="prompt-words" class="prompt-words" aria-live="polite" dir="auto">{{ $mine }}</p>
            <ol id="tasks" class="tasks" aria-label="{{ __('Tasks') }}" hidden></ol>
            <section id="questions" class="questions" aria-label="{{ __('Questions') }}" hidden></section>
            <button id="fold" class="prompt-fold" aria-controls="prompt-sheet"><x-icon name="chevron-up" />
                {{ __('To the canvas') }}</button>
        </section>
        <section id="quick-ask" class="quick-ask" aria-labelledby="quick-ask-title" hidden>
            <div class="quick-ask-head"><h2 id="quick-ask-title">{{ __('Your teacher asks') }}</h2>
                <span id="quick-ask-team" class="quick-ask-team" dir="auto" hidden></span>
                <span id="quick-ask-left" class="timer-left" role="timer" aria-live="off" hidden></span>
                <button id="ask-pad-send" class="btn btn-go ms-auto" hidden><x-icon name="send" />
                    {{ __('Send my drawing') }}</button>
                <button id="ask-pad-again" class="btn btn-outline-slate ms-auto" hidden>{{ __('Change it') }}</button>
                <button id="quick-ask-fold" class="btn btn-icon ms-auto" aria-expanded="true" aria-controls="quick-ask-body"
                    title="{{ __('Fold away') }}"><x-icon name="chevron-down" /><span
                    class="visually-hidden">{{ __('Fold away or open') }}</span></button></div>
            <div class="quick-ask-inner">
                <div id="quick-ask-body"></div>
                <section id="ask-pad" class="ask-pad bench" aria-label="{{ __('Your drawing') }}" hidden></section>
                <p id="quick-ask-state" class="form-text" role="status"></p>
                <div id="quick-ask-tally" hidden></div>
            </div>
        </section>
    </div>
    <div class="sides">
        <main id="bench" class="bench">
            <div id="coach-bar" class="coach-bar" role="group" aria-label="{{ __('Your teacher’s ink') }}" hidden>
                <span role="status">{{ __('From your teacher') }}</span>
                <button id="coach-hide" class="mini-text" aria-pressed="false"><x-icon name="eye-slash" />
                    <span>{{ __('Hide') }}</span></button>
                <button id="coach-listen" class="mini-text" hidden><x-icon name="volume-up" />
                    <span>{{ __('Listen') }}</span></button>
                <button id="coach-ask" class="mini-text"><x-icon name="hand-index" />
                    <span>{{ __('Ask') }}</span></button>
            </div>
            <div id="own-check" class="own-check" role="status" aria-label="{{ __('Your teacher’s check') }}" hidden>
                <x-strata /> <b id="own-check-words" dir="auto"></b> <span id="own-check-note" dir="auto"></span>
                <button id="own-check-away" class="mini" title="{{ __('Fold away') }}"><x-icon name="x-lg" /><span
                    class="visually-hidden">{{ __('Fold away') }}</span></button>
            </div>
            @include('bench.bench', ['label' => __('Your canvas'), 'lead' => false,
                'files' => '/seat/'.$seat.'/work/CANVAS.FORMAT', 'home' => $home])
        </main>
        <aside id="lead-side" class="lead-side" aria-label="{{ __('Teacher’s page') }}" hidden>
            <div class="lead-side-head"><b>{{ __('Teacher’s page') }}</b><button id="lead-away"
                class="btn btn-icon ms-auto" title="{{ __('Close') }}"><x-icon name="x-lg" /><span
                class="visually-hidden">{{ __('Close') }}</span></button></div>
            <div class="lead-side-frame" tabindex="0" role="img" aria-label="{{ __('What your teacher shows') }}"><div
                id="lead-page" class="page"></div></div>
        </aside>
    </div>
    <section id="shown-work" class="shown-sheet" aria-labelledby="shown-work-title" hidden>
        <div class="shown-sheet-head"><h2 id="shown-work-title" tabindex="-1">{{ __('Your teacher shows') }}</h2><button
            id="shown-work-away" class="btn btn-slate ms-auto">{{ __('Back to my canvas') }}</button></div>
        <div id="shown-work-items" class="shown-works"></div>
    </section>
    @include('student.windows')
    <div id="cover" class="cover" role="alert" tabindex="-1" hidden>
        <p id="cover-words" class="cover-words" dir="auto"></p>
        <p class="cover-safe">{{ __('Your work is safe.') }}</p>
    </div>
</x-layout>
