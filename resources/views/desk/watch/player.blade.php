<div id="player" class="player" role="group" aria-label="{{ __('Replay') }}" hidden>
    <div class="page player-page"></div>
    <p class="player-caption" dir="auto" hidden></p>
    <div class="player-bar">
        <button class="btn btn-icon player-play" aria-pressed="false" title="{{ __('Play or pause') }}"><span
            class="if-paused"><x-icon name="play" /></span><span class="if-playing"><x-icon name="pause" /></span><span
            class="visually-hidden">{{ __('Play') }}</span></button>
        <div class="player-track">
            <input class="player-at" type="range" min="0" max="0" value="0" step="any" aria-label="{{ __('Moment') }}">
            <div class="player-marks" aria-hidden="true"></div>
        </div>
        <span class="player-time"></span>
        <button class="btn btn-icon player-rub" data-by="-1"
            title="{{ __('Last time something was rubbed out') }}"><x-icon name="eraser" /><x-icon name="chevron-left" /><span
            class="visually-hidden">{{ __('Rubbed out before this') }}</span></button>
        <button class="btn btn-icon player-rub" data-by="1"
            title="{{ __('Next time something was rubbed out') }}"><x-icon name="eraser" /><x-icon name="chevron-right" /><span
            class="visually-hidden">{{ __('Rubbed out next') }}</span></button>
        <select class="player-speed form-select" aria-label="{{ __('Speed') }}">
            @foreach ([0.5, 1, 2, 4, 8, 16] as $speed)<option value="{{ $speed }}"
                @selected($speed === 4)>{{ $speed }}×</option>@endforeach
        </select>
        <select class="player-own form-select" aria-label="{{ __('Whose steps') }}">
            <option value="all">{{ __('everyone') }}</option>
            <option value="own">{{ __('only students') }}</option>
        </select>
        <button class="btn btn-outline-slate player-give"
            title="{{ __('The canvas goes back to this; later work stays in Replay') }}">{{ __('Restore this') }}</button>
        <button class="btn btn-outline-slate player-close">{{ __('Now') }}</button>
    </div>
</div>
