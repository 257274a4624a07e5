<template id="tile-template">
    <li class="tile">
        <button class="tile-open" data-do="close-up"><span class="tile-page page"></span></button>
        <div class="tile-frame">
            <div class="tile-line">
                <button class="tile-name" data-do="choose" aria-pressed="false"
                    title="{{ __('Choose this one (X)') }}"><span class="tile-tick"
                    aria-hidden="true"><x-icon name="check-lg" /></span><span class="name-real" dir="auto"></span><span class="name-seat"></span></button>
                <span class="tile-hand" hidden title="{{ __('Hand up') }}"><x-icon name="hand-index" /><span
                    class="visually-hidden">{{ __('hand up') }}</span></span>
                <span class="tile-sent" hidden title="{{ __('Sent to you') }}"><x-icon name="check2-all" /><span
                    class="visually-hidden">{{ __('sent') }}</span></span>
                <span class="tile-choice" dir="auto" hidden></span>
                <span class="tile-taken" hidden><x-icon name="person-check" /><span class="visually-hidden"></span></span>
                <span class="tile-colleague" hidden><x-icon name="eye" /><span class="visually-hidden"></span></span>
                <span class="tile-held" hidden
                    title="{{ __('Held: what’s drawn now appears when you go on') }}"><x-icon name="pause-circle" /><span
                    class="visually-hidden">{{ __('held') }}</span></span>
                <span class="tile-light" hidden
                    title="{{ __('Light data: ink arrives in larger steps') }}"><x-icon name="reception-1" /><span
                    class="visually-hidden">{{ __('light data') }}</span></span>
                <span class="tile-pages" hidden></span>
                <span class="tile-talks" hidden><x-icon name="mic" /><span class="visually-hidden"></span></span>
                <span class="tile-sorted" hidden></span>
                <span class="tile-tasks" hidden></span>
                <span class="tile-practice" hidden></span>
                <span class="tile-state"><span class="shape" aria-hidden="true"></span><span
                    class="tile-state-words"></span><span class="tile-state-short" aria-hidden="true"></span></span>
                <span class="tile-mark" aria-hidden="true"></span>
                <button class="strata strata-button" data-do="strata" data-level=""
                    title="{{ __('Check (0 to 3)') }}"><i></i><i></i><i></i></button>
            </div>
            <span class="tile-members" hidden></span>
            <span class="tile-said"><span class="tile-answer" dir="auto"></span></span>
            <span class="tile-signal visually-hidden"></span>
        </div>
    </li>
</template>
<div id="strata-menu" class="strata-menu" role="group" aria-label="{{ __('Check') }}" hidden>
    @foreach (array_reverse(Crag\Checks\Level::cases()) as $level)
        <button data-do="level" data-level="{{ $level->value }}"><x-strata :level="$level->value" />
            {{ __($level->word()) }} <kbd>{{ $level->value }}</kbd></button>
    @endforeach
    <button data-do="level" data-level="">{{ __('No check') }} <kbd>{{ __('Del') }}</kbd></button>
</div>
