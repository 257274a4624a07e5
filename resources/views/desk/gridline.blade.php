@php($filters = ['' => __('All'), 'drawing' => __('Drawing'), 'quiet' => __('Quiet'), 'not_started' => __('Not started'), 'away' => __('Away')])
<div class="gridline">
    <div id="counts" class="counts" role="group" aria-label="{{ __('Show only') }}">
        @foreach ($filters as $state => $word)
            <button class="count-filter" data-do="filter" data-filter="{{ $state }}" data-state="{{ $state }}" aria-pressed="{{ $state === '' ? 'true' : 'false' }}">
                <span class="shape" aria-hidden="true"></span>{{ $word }} <b class="count">0</b>
            </button>
        @endforeach
    </div>
    <div id="tally" class="tally" role="group" aria-label="{{ __('Checks of this prompt') }}">
        @foreach (array_reverse(Crag\Checks\Level::cases()) as $level)
            <span data-level="{{ $level->value }}"><x-strata :level="$level->value" /> {{ __($level->word()) }} <b class="count">0</b></span>
        @endforeach
    </div>
    <span id="connection" class="connection" role="status" hidden></span>
    <label class="gridline-field">{{ __('Sort') }}
        <select id="sort" class="form-select form-select-sm">
            <option value="seat">{{ __('by seat') }}</option>
            <option value="name">{{ __('by name') }}</option>
            <option value="check">{{ __('by check') }}</option>
        </select>
    </label>
    <label class="gridline-field">{{ __('Size') }} <input id="size" type="range" min="132" max="420" value="420"></label>
</div>
