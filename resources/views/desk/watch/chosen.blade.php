@use('Crag\Session\Rules\Deed')
{{-- What can be done with the tiles that are chosen. --}}
<div id="chosen" class="chosen" role="region" aria-label="{{ __('The selection') }}" hidden>
    <b id="chosen-count" role="status"></b>
    <span class="chosen-strata" role="group" aria-label="{{ __('Check') }}">
        @foreach (Crag\Checks\Level::cases() as $level)
            <button class="chip" data-do="check-chosen" data-level="{{ $level->value }}"
                title="{{ __(':level (:key)', ['level' => __($level->word()), 'key' => $level->value]) }}"><x-strata
                :level="$level->value" /><span class="visually-hidden">{{ __($level->word()) }}</span></button>
        @endforeach
    </span>
    @if ($deeds->may(Deed::ChooseScreen)) <button class="chip" data-do="show-these"
        title="{{ __('Show these to the class, up to four') }}"><x-icon name="easel" /> {{ __('Show') }}</button> @endif
    <button class="chip" data-do="line-up" title="{{ __('Add to the line-up (J)') }}"><x-icon name="collection" />
        {{ __('Line-up') }}</button>
    <button class="chip" data-do="hand-out" title="{{ __('Hand out to these (H)') }}"><x-icon name="send" />
        {{ __('Hand out') }}</button>
    @if ($deeds->may(Deed::SetPens)) <button class="chip" data-do="pens-chosen"
        title="{{ __('Pens down just for these') }}"><x-icon name="pause-circle" /> {{ __('Pens down') }}</button>
        @endif
    <button class="chip" data-do="write-chosen" title="{{ __('Write to these (W)') }}"><x-icon name="chat-left-text" />
        {{ __('Write') }}</button>
    <button id="take-chosen" class="chip" data-do="take-on-chosen" hidden
        title="{{ __('Split the room: you look after these') }}"><x-icon name="person-check" />
        <span>{{ __('I take these') }}</span></button>
    <button class="chip" data-do="give-back-chosen"
        title="{{ __('As they were before they were last cleared') }}"><x-icon name="arrow-return-left" />
        {{ __('Restore') }}</button>
    <button class="chip" data-do="compare"
        title="{{ __('Two to four side by side (V)') }}"><x-icon name="layout-split" /> {{ __('Compare') }}</button>
    <button class="chip" data-do="pick" title="{{ __('One of these at random, fairly (K)') }}"><x-icon name="shuffle" />
        {{ __('Pick') }}</button>
    <button class="btn btn-icon ms-auto" data-do="choose-none"
        title="{{ __('Clear the selection (Esc)') }}"><x-icon name="x-lg" /><span
        class="visually-hidden">{{ __('Choose nothing') }}</span></button>
</div>
