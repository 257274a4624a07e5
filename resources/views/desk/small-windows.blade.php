<x-window id="add-prompt" :title="__('Add a prompt')" post="/desk/{{ $session->id }}/prompts">
    <p class="form-text">{{ __('Students won’t see it until you open it or bring them there.') }}</p>
    <label for="add-words">{{ __('Words') }}</label>
    <textarea id="add-words" name="words" class="form-control" rows="3" maxlength="2000" dir="auto"></textarea>
    <x-slot:actions><button class="btn btn-go">{{ __('Add') }}</button></x-slot>
</x-window>
<x-window id="rename" :title="__('Rename')" post="/desk/{{ $session->id }}/rename">
    <input type="hidden" name="seat">
    <label for="rename-name">{{ __('Name') }}</label>
    <input id="rename-name" name="name" class="form-control" maxlength="60" required dir="auto">
    <x-slot:actions><button class="btn btn-go">{{ __('Rename') }}</button></x-slot>
</x-window>
<x-window id="turn-away" post="/desk/{{ $session->id }}/turn-away">
    <x-slot:title>{{ __('Turn away') }} <span class="window-name" dir="auto"></span></x-slot>
    <input type="hidden" name="seats[]">
    <label for="turn-away-reason">{{ __('Why? The student reads this.') }}</label>
    <input id="turn-away-reason" name="reason" class="form-control" maxlength="200" dir="auto"
        value="{{ __('Please join with your own name.') }}">
    <x-slot:actions><button class="btn btn-end">{{ __('Turn away') }}</button></x-slot>
</x-window>
<x-window id="who-is-it" cancel="">
    <x-slot:title>{{ __('Is this') }} <span class="window-name" dir="auto"></span>?</x-slot>
    <p>{{ __('Someone at the door typed a name that is taken.') }}</p>
    <ul><li id="who-is-it-there"></li><li id="who-is-it-asks"></li></ul>
    <p
        class="form-text">{{ __('If you say yes, the seat and all its work move to the device at the door, and the other page closes.') }}</p>
    <x-slot:actions><button class="btn btn-outline-danger" value="yes">{{ __('Yes, move the seat') }}</button>
        <button class="btn btn-outline-slate" value="other">{{ __('Let in as someone else') }}</button>
        <button class="btn btn-go" value="no" autofocus>{{ __('No, turn away') }}</button></x-slot>
</x-window>
<x-window id="send-out" post="/desk/{{ $session->id }}/send-out">
    <x-slot:title>{{ __('Send out') }} <span class="window-name" dir="auto"></span></x-slot>
    <p
        class="form-text">{{ __('This student leaves the session. Their work is kept, and is there when you let them back in.') }}</p>
    <input type="hidden" name="seat">
    <label for="send-out-reason">{{ __('What the student reads') }}</label>
    <input id="send-out-reason" name="reason" class="form-control" maxlength="200" dir="auto"
        value="{{ __('Please come and talk to me.') }}">
    <x-choice label="mt-2" name="keep" value="1"> <b>{{ __('Keep out') }}</b>
        <span class="form-text">{{ __('this device and this name, until you let them back in') }}</span></x-choice>
    <x-slot:actions><button class="btn btn-end">{{ __('Send out') }}</button></x-slot>
</x-window>
<x-window id="pick" class="pick-window" :title="__('Picked')" cancel="">
    <p id="pick-name" class="pick-name" dir="auto" role="status"></p>
    <p id="pick-among" class="form-text"></p>
    <x-slot:actions><button class="btn btn-outline-slate"
        value="undo">{{ __('Not this time') }}</button><button class="btn btn-outline-slate"
        value="again">{{ __('Another one') }}</button><button class="btn btn-outline-slate"
        value="close-up">{{ __('Close-up') }}</button>@if ($deeds->may(Crag\Session\Rules\Deed::ChooseScreen))<button
        class="btn btn-outline-slate" value="screen">{{ __('On the class screen') }}</button>@endif<button
        class="btn btn-go" value="" autofocus>{{ __('Good') }}</button></x-slot>
</x-window>
<x-window id="write-chosen" :title="__('Write to the students you’ve chosen')" :heard="false">
    <label for="write-chosen-words">{{ __('Each of them sees this privately') }}</label>
    <textarea id="write-chosen-words" class="form-control" rows="3" maxlength="{{ Crag\Session\Room\ShortMessage::LONGEST }}" dir="auto" required></textarea>
    <x-slot:actions><button class="btn btn-go"><x-icon name="send" />
        {{ __('Send') }}</button></x-slot>
</x-window>
<x-window id="empty-one" :title="__('Empty this canvas')" cancel="">
    <p
        class="form-text">{{ __('This clears the ink on 1 canvas and gives the prompt again. The old work stays in Replay and can be restored.') }}</p>
    <x-slot:actions><button class="btn btn-outline-slate" value="">{{ __('Cancel') }}</button><button
        class="btn btn-end" value="empty">{{ __('Empty it') }}</button></x-slot>
</x-window>
<x-window id="entry-window" :title="__('In the line-up')">
    <label for="entry-caption">{{ __('Why this one? (Only teachers see this.)') }}</label>
    <input id="entry-caption" class="form-control mb-2" maxlength="200" dir="auto" autocomplete="off">
    <x-choice id="entry-live"> <b>{{ __('Live') }}</b>
        <span class="form-text">{{ __('live, not as it was when chosen') }}</span></x-choice>
    <x-choice id="entry-notes"> <b>{{ __('With private notes') }}</b></x-choice>
    <label for="entry-names">{{ __('Name') }}</label>
    <select id="entry-names" class="form-select mb-2">
        <option value="">{{ __('as for everything shown') }}</option>
        @foreach (Crag\Session\Door\NameMode::cases() as $mode)<option
                value="{{ $mode->value }}">{{ __($mode->word()) }}</option>@endforeach
    </select>
    <div class="panel-row"><button class="btn btn-outline-slate" value="earlier"><x-icon name="arrow-left" />
        {{ __('Earlier') }}</button><button class="btn btn-outline-slate"
        value="later"><x-icon name="arrow-right" /> {{ __('Later') }}</button><button class="btn btn-outline-slate"
        value="beside"><x-icon name="layout-split" /> {{ __('Beside what is shown') }}</button><button class="btn btn-outline-danger"
        value="remove">{{ __('Out of the line-up') }}</button></div>
    <x-slot:actions><button class="btn btn-go"
        value="save">{{ __('Save') }}</button></x-slot>
</x-window>
<x-window id="ink-off" :title="__('Lead ink off')" :cancel="__('Leave it on')">
    <p
        class="form-text">{{ __('What you drew while it was on stays under everyone’s ink. Their own ink isn’t touched either way.') }}</p>
    <x-slot:actions><button class="btn btn-outline-slate"
        value="goes">{{ __('Take it away again') }}</button><button class="btn btn-go"
        value="stays">{{ __('It stays as a backdrop') }}</button></x-slot>
</x-window>
@if (config('crag.recording') || config('crag.live_talk'))
    <div class="desk-voices">
        @if (config('crag.live_talk')) <x-live-talk as="live-desk" :label="__('Talking with a student')" /> @endif
        @if (config('crag.recording')) <x-recording as="spoken" :label="__('Spoken note')" :send="__('Send')" /> @endif
    </div>
@endif
