<section id="closeup" class="panel" aria-labelledby="closeup-name" hidden>
    <div class="panel-head">
        <button class="btn btn-icon" data-do="previous" title="{{ __('The one before (←)') }}"><x-icon name="chevron-left" /><span class="visually-hidden">{{ __('The one before') }}</span></button>
        <button class="btn btn-icon" data-do="next" title="{{ __('The next one (→)') }}"><x-icon name="chevron-right" /><span class="visually-hidden">{{ __('The next one') }}</span></button>
        <h2 id="closeup-name" tabindex="-1"><span class="name-real" dir="auto"></span><span class="name-stone"></span><span class="name-seat"></span></h2>
        <span id="closeup-state" class="panel-state"></span>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    <div class="closeup-holder">
        <div id="closeup-page" class="page closeup-page"></div>
        <div id="player" class="player" role="group" aria-label="{{ __('Replay') }}" hidden>
            <div class="page player-page"></div>
            <div class="player-bar">
                <button class="btn btn-icon player-play" aria-pressed="false" title="{{ __('Play or pause') }}"><span class="if-paused"><x-icon name="play" /></span><span class="if-playing"><x-icon name="pause" /></span><span class="visually-hidden">{{ __('Play') }}</span></button>
                <input class="player-at" type="range" min="0" max="0" value="0" step="any" aria-label="{{ __('Moment') }}">
                <span class="player-time"></span>
                <select class="player-speed form-select" aria-label="{{ __('Speed') }}">
                    @foreach ([0.5, 1, 2, 4, 8, 16] as $speed)<option value="{{ $speed }}" @selected($speed === 4)>{{ $speed }}×</option>@endforeach
                </select>
                <label class="choice"><input type="checkbox" class="player-own"> {{ __('only the student') }}</label>
                <button class="btn btn-outline-slate player-close">{{ __('Now') }}</button>
            </div>
        </div>
    </div>
    <div id="closeup-answers" class="closeup-answers"></div>
    <div id="closeup-pages" class="panel-row" role="group" aria-label="{{ __('Pages') }}" hidden></div>
    <div class="panel-row" role="group" aria-label="{{ __('Check') }}">
        @foreach (Crag\Checks\Level::cases() as $level)
            <button class="chip" data-do="check" data-level="{{ $level->value }}" aria-pressed="false"><x-strata :level="$level->value" /> {{ __($level->word()) }} <kbd>{{ $level->value }}</kbd></button>
        @endforeach
        <button class="chip chip-quiet" data-do="check" data-level="" aria-pressed="true">{{ __('No check') }}</button>
    </div>
    <div class="panel-row">
        <button class="btn btn-slate" data-do="show" title="{{ __('Show on the class screen (S)') }}"><x-icon name="easel" /> {{ __('Show to the class') }} <kbd>S</kbd></button>
        <button class="btn btn-outline-slate" data-do="talk-closeup"><x-icon name="chat-left-text" /> {{ __('Write') }} <kbd>W</kbd></button>
        <button class="btn btn-outline-slate" data-do="hand-out-one"><x-icon name="send" /> {{ __('Hand out to this one') }}</button>
        <button id="replay" class="btn btn-outline-slate"><x-icon name="clock-history" /> {{ __('Replay') }}</button>
    </div>
    <div class="panel-row panel-files">
        <span>{{ __('Save as') }}</span>
        @foreach (['png' => 'PNG', 'svg' => 'SVG', 'pdf' => 'PDF', 'inkml' => 'InkML'] as $format => $name)
            <a data-format="{{ $format }}" download>{{ $name }}</a>
        @endforeach
    </div>
</section>
