@use('Crag\Session\Rules\Deed')
@php($pens = $session->pens)
@php($lead = $session->lead)
<header id="now" class="now" data-names="{{ $settings->deskNames->value }}" data-may-all="{{ $deeds->may(Deed::HandOut) ? 1 : 0 }}"
    data-words="{{ $current->words }}" data-backdrop="{{ json_encode($current->backdrop->toArray()) }}"
        data-room="{{ json_encode(App\Sessions\Room\RoomState::shared($session)) }}"
            data-settings="{{ json_encode($settings->toArray()) }}"
            data-tray="{{ json_encode($current->trayInForce()->now->toArray()) }}"
        data-ask="{{ json_encode(App\Sessions\Asks\Asking::underWay($session)) }}"
        data-live="{{ json_encode($live) }}" data-covered="{{ $current->isCovered() ? '1' : '0' }}" @isset($swap)
            hx-swap-oob="true" @endisset>
    <a class="bar-home" href="{{ route('home') }}"><img src="/crag.svg" alt="{{ __('Home') }}" width="28"
        height="28"></a>
    <button class="now-prompt" data-do="prompt-words" aria-expanded="false"
        title="{{ __('The prompt that students have; press to read all of it') }}">
        <span class="now-label">{{ __(':title · students have', ['title' => $session->title]) }}</span>
        <span class="now-words"><b>{{ __('Prompt :n', ['n' => $current->n]) }}</b>
            {{ $current->words === '' ? __('no words yet') : $current->plainWords() }} ·
                {{ __($current->backdrop->kind->word()) }}</span>
    </button>
    <div class="acts" role="group" aria-label="{{ __('What you do most') }}">
        <button id="pens" class="act {{ $pens->isDown() ? 'is-on' : '' }}" data-do="pens"
            aria-pressed="{{ $pens->isDown() ? 'true' : 'false' }}" @disabled(! $deeds->may(Deed::SetPens))
            title="{{ __('Pens down for everyone, and up again (P)') }}"><x-icon name="pause-circle" />
            <span class="pens-word">{{ $pens->isDown() ? __('Pens up') : __('Pens down') }}</span></button>
        <button id="show-button" class="act {{ $session->screen_view->value === 'nothing' ? '' : 'is-live' }}" data-do="show-panel"
            title="{{ __('What the class sees: :what. Change it, take it down (S)',
                ['what' => __($session->screen_view->word())]) }}"><x-icon name="easel" />
            <span>{{ __('Show') }}</span></button>
        <button id="ask-button" class="act" data-do="ask" title="{{ __('Quick ask (A)') }}"><x-icon name="question-circle" />
            <span>{{ __('Ask') }}</span> <span id="ask-left" class="timer-left" hx-preserve="true" role="timer"
            aria-live="off"></span></button>
        <button id="hand-out" class="act" data-do="hand-out" title="{{ __('Hand out (H)') }}"><x-icon name="send" />
            <span>{{ __('Hand out') }}</span></button>
        <button id="lead-button" class="act" data-do="lead" aria-pressed="false"
            title="{{ __('Your own canvas for this prompt (F)') }}"><x-icon name="brush" />
            <span>{{ __('Lead canvas') }}</span>@if ($lead->hasInk())
            <span class="lamp" title="{{ __('Lead ink is on') }}"></span><span
            class="visually-hidden">{{ __('Lead ink is on') }}</span>@endif</button>
    </div>
    <button id="waiting-button" class="btn {{ $waiting->count() > 0 ? 'btn-attention' : 'btn-paper' }}" data-do="waiting"
        title="{{ __('Who is waiting for you (Y)') }}"><x-icon name="hand-index" />
        <span class="now-word">{{ __('Waiting') }}</span> <b class="count">{{ $waiting->count() }}</b></button>
    <button id="timer-button" class="btn btn-paper" data-do="timer"
        title="{{ __('Timer and words for pens down (T)') }}"><x-icon name="stopwatch" />
        <span id="timer-left" class="timer-left" hx-preserve="true">{{ __('Timer') }}</span></button>
    <button id="door-button" class="btn btn-code" data-do="door"
        title="{{ __('Door and seats (D)') }}"><x-icon :name="$session->door === Crag\Session\Door\Door::Shut ? 'door-closed' : 'door-open'" />
        <span class="door-letters">{{ $session->code()->spaced() }}</span> <span
        class="door-word">{{ __($session->door->word()) }}</span>
        @if ($waiting->knocking->count() > 0) <span class="badge-count">{{ $waiting->knocking->count() }}<span class="visually-hidden">
            {{ __('knocking') }}</span></span> @endif</button>
    <x-menu id="desk-menu" class="now-menu" :title="__('More')">
<x-slot:head><x-icon name="three-dots" /><span
            class="visually-hidden">{{ __('More') }}</span></x-slot>
        <div class="menu">
            <button class="menu-item" data-do="timer"><x-icon name="stopwatch" /> {{ __('Timer') }} <kbd>T</kbd></button>
            <button id="tools-button" class="menu-item" data-do="tools"><x-icon name="tools" />
                {{ __('Tools: :tray', ['tray' => __($current->trayInForce()->now->kind->word())]) }}</button>
<button id="done-button" class="menu-item" data-do="done"><x-icon name="arrow-counterclockwise" />
                {{ __('What was done') }} <kbd>I</kbd></button>
            <button id="settings-button" class="menu-item" data-do="settings"><x-icon name="gear" />
                {{ __('Settings') }}</button>
            <a class="menu-item" href="{{ route('desk.take', $session) }}" target="_blank"
                rel="noopener"><x-icon name="download" /> {{ __('Record so far') }}</a>
            <button id="keys-button" class="menu-item" data-do="keys"><x-icon name="keyboard" /> {{ __('Keys') }}
                <kbd>?</kbd></button>
            @if ($deeds->may(Deed::End))
                <hr>
                <form action="{{ route('desk.end', $session) }}" method="post"
                      data-ask="{{ $session->retention()->isNone()
                          ? __('End the session? Nothing is kept: all :n students, their :canvases canvases, the checks and your lead canvas are deleted for good.',
                              ['n' => $waiting->inside->count(),
                              'canvases' => $prompts->sum('canvases_count')])
                          : __('End the session? The code stops working for all :n students. Their :canvases canvases, the checks and your lead canvas are kept until :until, and students can take their own work with them.',
                              ['n' => $waiting->inside->count(),
                              'canvases' => $prompts->sum('canvases_count'), 'until' => $session->keptUntil()]) }}">
                    @csrf
                    <button id="end" class="menu-item is-danger"><x-icon name="x-lg" />
                        {{ __('End the session') }}</button>
                </form>
            @endif
        </div>
    </x-menu>
</header>
