@use('Crag\Session\Rules\Deed')
<x-panel id="timing" :title="__('Timer and pens')">
    <p id="timing-left" class="timing-left" role="timer" aria-live="off">–:––</p>
    <fieldset @disabled(! $deeds->may(Deed::SetTimer))>
        <div class="timing-minutes" role="group" aria-label="{{ __('Start a timer') }}">
            @foreach ([1, 2, 3, 5, 10, 15] as $minutes)<button class="btn btn-outline-slate" data-do="set-timer"
                data-seconds="{{ $minutes * 60 }}"><b>{{ $minutes }}</b> {{ __('min') }}</button>@endforeach
        </div>
        <form id="timer-form" class="timing-own">
            <label>{{ __('Minutes') }} <input name="minutes" type="number" min="0" max="240" value="4"
                inputmode="numeric" class="form-control"></label>
            <label>{{ __('Seconds') }} <input name="seconds" type="number" min="0" max="59" value="0"
                inputmode="numeric" class="form-control"></label>
            <button class="btn btn-go">{{ __('Start') }}</button>
        </form>
        <x-choice id="timer-pens"> {{ __('Pens down at zero') }}</x-choice>
        <div id="timing-running" class="panel-row timing-running">
            <button class="btn btn-outline-slate" data-post="/desk/{{ $session->id }}/timer"
                data-body='{"do":"more"}'><x-icon name="plus-lg" /> {{ __('One minute') }}</button>
            <button class="btn btn-outline-slate" data-do="pause-timer"><x-icon name="pause" />
                {{ __('Pause or go on') }}</button>
            <button class="btn btn-outline-slate" data-post="/desk/{{ $session->id }}/timer"
                data-body='{"do":"stop"}'>{{ __('Remove it') }}</button>
        </div>
        <hr>
        <label for="pens-words">{{ __('Words over every page when pens are down') }}</label>
        <input id="pens-words" class="form-control"
            maxlength="{{ Crag\Session\Room\Pens::LONGEST_WORDS }}" dir="auto"
            value="{{ __('Pens down. Look here, please.') }}">
        <button class="btn btn-slate w-100 mt-2" data-do="pens"><x-icon name="pause-circle" />
            {{ __('Pens down, or up again') }} <kbd>P</kbd></button>
    </fieldset>
</x-panel>
