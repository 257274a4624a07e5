@use('Crag\Session\Rules\Deed')
<aside class="closeup-side" aria-label="{{ __('About this canvas') }}">
    <p id="closeup-signals" class="closeup-signals" hidden></p>
    <div class="closeup-checks" role="group" aria-label="{{ __('Check') }}">
        @foreach (array_reverse(Crag\Checks\Level::cases()) as $level)
            <button class="chip" data-do="check" data-level="{{ $level->value }}" aria-pressed="false"><x-strata
                :level="$level->value" /> {{ __($level->word()) }} <kbd>{{ $level->value }}</kbd></button>
        @endforeach
        <button class="chip chip-quiet" data-do="check" data-level="" aria-pressed="true">{{ __('No check') }}
            <kbd>{{ __('Del') }}</kbd></button>
    </div>
    <div id="closeup-answers" class="closeup-answers"></div>
    @include('desk.watch.closeup-seen')
    {{-- What comes late stands above, and these are held at the foot: no button moves away from under the hand. --}}
    <div class="closeup-foot">
        <div class="closeup-do">
            <button class="btn btn-slate" data-do="line-up"
                title="{{ __('Add this page to the line-up as it is now (J)') }}"><x-icon name="collection" />
                {{ __('Line-up') }} <kbd>J</kbd></button>
            @if ($deeds->may(Deed::ChooseScreen)) <button class="btn btn-outline-slate" data-do="show"
                title="{{ __('On the class screen at once') }}"><x-icon name="easel" />
                {{ __('Show to the class') }}</button> @endif
            <label id="closeup-with-notes" class="choice" hidden><input type="checkbox">
                {{ __('with my private notes') }}</label>
        </div>
        <div id="closeup-talks"></div>
        <div class="closeup-do">
            <button id="replay" class="btn btn-outline-slate" data-do="replay"
                title="{{ __('From its first stroke (R)') }}"><x-icon name="clock-history" /> {{ __('Replay') }}
                <kbd>R</kbd></button>
            <button class="btn btn-outline-slate" data-do="last-look"
                title="{{ __('As it was when a teacher last looked (L)') }}"><x-icon name="hourglass-split" />
                {{ __('Last look') }} <kbd>L</kbd></button>
            <button class="btn btn-outline-slate" data-do="compare"
                title="{{ __('Compare with another moment (V)') }}"><x-icon name="layout-split" />
                {{ __('Compare') }} <kbd>V</kbd></button>
            <button class="btn btn-outline-slate" data-do="talk-closeup"><x-icon name="chat-left-text" />
                {{ __('Write') }} <kbd>W</kbd></button>
            @if (config('crag.recording') && $deeds->may(Deed::SpeakTo)) <button class="speak btn btn-outline-slate"
                title="{{ __('Record a note that the student can play, with what you draw meanwhile') }}"><x-icon
                name="mic" /> {{ __('Spoken note') }}</button> @endif
            @if (config('crag.live_talk') && $deeds->may(Deed::TalkLive)) <button class="btn btn-outline-slate"
                data-do="talk-live" title="{{ __('Sound both ways with this student. The class doesn’t hear it.') }}"><x-icon
                name="volume-up" /> {{ __('Talk live') }}</button> @endif
            <button class="btn btn-outline-slate" data-do="hand-out-one"><x-icon name="send" /> {{ __('Hand out') }}
                <kbd>H</kbd></button>
            @if ($deeds->may(Deed::Lead)) <button class="btn btn-outline-slate" data-do="copy-to-lead"
                title="{{ __('A copy: the student’s own is not touched') }}"><x-icon name="box-arrow-in-up-right" />
                {{ __('To my lead canvas') }}</button> @endif
            <button class="btn btn-outline-slate" data-do="empty-one"><x-icon name="trash3" />
                {{ __('Empty') }}</button>
            @if ($deeds->may(Deed::SendOut)) <button class="btn btn-outline-danger" data-do="send-out-one"><x-icon name="person-dash" />
                {{ __('Send out') }}</button> @endif
        </div>
    </div>
</aside>
