@use('Crag\Session\Rules\Deed')
@php($watch = $settings->watch)
<x-panel id="settings" :title="__('Settings')">
    <form data-post="/desk/{{ $session->id }}/settings" data-live>
        <fieldset @disabled(! $deeds->may(Deed::ChangeSettings))>
            <fieldset class="watch-settings">
                <legend>{{ __('Names') }}</legend>
                @foreach (['desk_names' => [__('Names on the desk'), $settings->deskNames],
                    'shown_names' => [__('Names on what is shown to others'), $settings->shownNames],
                    'pen_names' => [__('Names beside the pens on shared canvases'), $settings->penNames]] as $field => [$word,
                    $mode])
                    <label for="{{ $field }}">{{ $word }}</label>
                    <select id="{{ $field }}" name="{{ $field }}" class="form-select mb-2">
                        @foreach (Crag\Session\Door\NameMode::cases() as $case)<option value="{{ $case->value }}"
                            @selected($case === $mode)>{{ __($case->word()) }}</option>@endforeach
                    </select>
                @endforeach
            </fieldset>
            @foreach ([
                __('Between students and you') => [
                    'messages' => [__('Messages'),
                        __('Students and teachers can write to each other. Students can’t write to other students.'),
                        $settings->messages],
                    'offers' => [__('Offered work'),
                        __('Students can offer work to show the class. You accept it first.'), $settings->offers],
                    'keep_back' => [__('“Please don’t show mine”'),
                        __('Students can ask for this, and you’ll see it before you show their work.'),
                        $settings->keepBack],
                ],
                __('In the room') => (config('crag.recording') ? [
                    'recording' => [__('Talk-throughs'),
                        __('Students can record their voice while they draw, up to 3 minutes, and send it to you.'),
                        $settings->recording],
                ] : []) + (config('crag.recording') && config('crag.camera') ? [
                    'camera' => [__('Camera in talk-throughs'),
                        __('Students can be seen in a corner while they explain. Only teachers see it, until you show it.'),
                        $settings->camera],
                ] : []) + [
                    'cover' => [__('Covered work'), __('The desk only shows who has sent, until you reveal.'),
                        $settings->cover],
                    'sound' => [__('Sound when time is up'), '', $settings->sound],
                    'light' => [__('Light data for everyone'),
                        __('Uses less data: smaller pictures, no live lead ink.'), $settings->light],
                ],
            ] as $group => $choices)
                <fieldset class="watch-settings">
                    <legend>{{ $group }}</legend>
                    @foreach ($choices as $field => [$word, $means, $on])
                        <x-choice name="{{ $field }}" value="1" :checked="$on">
                            <b>{{ $word }}</b> @if ($means !== '') <span class="form-text">{{ $means }}</span> @endif
                        </x-choice>
                    @endforeach
                </fieldset>
            @endforeach
            <fieldset class="watch-settings">
                <legend>{{ __('What students see of checks') }}</legend>
                @foreach (['level' => __('The level'), 'note' => __('The note'),
                    'points' => __('Points')] as $what => $word)
                    <x-choice name="feedback.what[]" value="{{ $what }}"
                        :checked="$settings->feedback->shows($what)"> {{ $word }}</x-choice>
                @endforeach
                <label for="feedback-when">{{ __('When') }}</label>
                <select id="feedback-when" name="feedback.when" class="form-select">
                    @foreach ([Crag\Checks\Feedback::AT_ONCE => __('at once'),
                        Crag\Checks\Feedback::WITH_PROMPT => __('at the end of the prompt'),
                        Crag\Checks\Feedback::WITH_SESSION => __('at the end of the session')] as $when => $word)<option
                        value="{{ $when }}"
                        @selected($settings->feedback->when === $when)>{{ $word }}</option>@endforeach
                </select>
            </fieldset>
            <fieldset class="watch-settings">
                <legend>{{ __('Watching') }}</legend>
                @foreach (['drawing_seconds' => [__('Show a student as drawing for (seconds after a stroke)'),
                    $watch->drawingSeconds], 'quiet_minutes' => [__('Mark a student as quiet after (minutes)'),
                    $watch->quietMinutes], 'still_minutes' => [__('Worth a look: no stroke for (minutes)'),
                    $watch->stillMinutes],
                    'rub_outs' => [__('Worth a look: rubbed out this often in five minutes'), $watch->rubOuts],
                        'same_slip' => [__('Worth a look: this many with the same wrong answer'),
                        $watch->sameSlip]] as $field => [$word, $value])
                    <label class="number-choice">{{ $word }} <input name="watch.{{ $field }}" type="number"
                        class="form-control" min="{{ Crag\Watch\WatchSettings::LIMITS[$field][0] }}"
                        max="{{ Crag\Watch\WatchSettings::LIMITS[$field][1] }}" value="{{ $value }}"></label>
                @endforeach
                <p class="mb-0"><b>{{ __('Don’t point out') }}</b></p>
                @foreach (Crag\Watch\Signal::cases() as $signal)
                    <x-choice name="watch.off[]" value="{{ $signal->value }}"
                        :checked="! $watch->hears($signal)"> {{ __($signal->word()) }}</x-choice>
                @endforeach
            </fieldset>
            <label for="expires">{{ __('End by itself after this many minutes with nobody active') }}</label>
            <input id="expires" name="expires_after" type="number" min="{{ Crag\Session\Life\Expiry::LEAST_MINUTES }}"
                max="{{ Crag\Session\Life\Expiry::MOST_MINUTES }}" class="form-control mb-2"
                value="{{ $settings->expiresAfterMinutes }}">
            <label
                for="keep-days">{{ __('Keep for this many days after the session (0: delete at the end)') }}</label>
            <input id="keep-days" name="keep_days" type="number" min="0"
                max="{{ $session->longestDays() ?? Crag\Session\Life\Retention::LONGEST_DAYS }}" class="form-control mb-2"
                value="{{ $session->retention()->days }}" data-to="/desk/{{ $session->id }}/keep">
            <label for="own-time">{{ __('Stay open without you until the end of this day') }}</label>
            <input id="own-time" name="until" type="date" class="form-control"
                value="{{ $session->open_until_ms === null ? ''
                : App\Live\SchoolTime::of($session->open_until_ms)->format('Y-m-d') }}"
                data-to="/desk/{{ $session->id }}/own-time">
            <p class="form-text">{{ $session->openUntil() === null
                ? __('Students carry on at their own pace, with the same link and seats. Clear the date to stop.')
                : __('Open until :date; then it ends by itself.', ['date' => $session->openUntil()]) }}</p>
            <x-choice name="usual_words" value="1" :checked="$settings->usualWords">
                <b>{{ __('Usual unsuitable words') }}</b> <span
                class="form-text">{{ __('A name with one of them knocks, however it’s spelled.') }}</span>
            </x-choice>
            <label for="unsuitable">{{ __('Your own words that make a name knock, one per line') }}</label>
            <textarea id="unsuitable" name="unsuitable" class="form-control mb-2" rows="3"
                dir="auto">{{ implode("\n", $settings->unsuitable->words) }}</textarea>
        </fieldset>
        <p class="form-text">{{ $session->roster === null ? __('Changes take effect at once.')
            : __('Changes take effect at once. :class starts with them next time.', ['class' => $session->roster->name]) }}
            {{ __('Tools, pictures and pages are under Tools.') }}</p>
    </form>
</x-panel>
