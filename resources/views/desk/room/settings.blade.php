@php($watch = $settings->watch)
@php($runs = $role === Crag\Session\Rules\Role::Colleague)
<section id="settings" class="panel" aria-labelledby="settings-title" hidden>
    <div class="panel-head">
        <h2 id="settings-title" tabindex="-1">{{ __('Settings') }}</h2>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span
            class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    <form data-post="/desk/{{ $session->id }}/settings" data-live>
        <fieldset @disabled(! $runs)>
            @foreach (['desk_names' => [__('Names on the desk'), $settings->deskNames],
                'shown_names' => [__('Names on what is shown to others'), $settings->shownNames]] as $field => [$word,
                $mode])
                <label for="{{ $field }}">{{ $word }}</label>
                <select id="{{ $field }}" name="{{ $field }}" class="form-select mb-2">
                    @foreach (Crag\Session\Door\NameMode::cases() as $case)<option value="{{ $case->value }}"
                        @selected($case === $mode)>{{ __($case->word()) }}</option>@endforeach
                </select>
            @endforeach
            <p class="form-text">{{ __('Stone names are minerals: the same one for a seat all session long.') }}</p>
            @foreach (['messages' => [__('Messages'),
                __('Students and teachers write to each other; never students among themselves.'), $settings->messages],
                'cover' => [__('Covered work'), __('The desk shows only who has sent, until you reveal.'),
                    $settings->cover],
                'sound' => [__('Sound when time is up'), '', $settings->sound],
                'offers' => [__('Offers'), __('Students may offer work to the class; you accept it first.'),
                    $settings->offers],
                'keep_back' => [__('“Please do not show mine”'),
                    __('Students can ask it, and you see that before you show their work.'), $settings->keepBack],
                'light' => [__('Light data for everybody'), __('Fewer bytes: smaller pictures, no live lead ink.'),
                    $settings->light]] as $field => [$word, $means, $on])
                <label class="choice"><input type="checkbox" name="{{ $field }}" value="1" @checked($on)>
                    <b>{{ $word }}</b> <span class="form-text">{{ $means }}</span></label>
            @endforeach
            <fieldset class="watch-settings">
                <legend>{{ __('What students see of checks') }}</legend>
                @foreach (['level' => __('The level'), 'note' => __('The note'),
                    'points' => __('Points')] as $what => $word)
                    <label class="choice"><input type="checkbox" name="feedback.what[]" value="{{ $what }}"
                        @checked($settings->feedback->shows($what))> {{ $word }}</label>
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
                @foreach (['drawing_seconds' => [__('Drawing: a stroke within so many seconds'),
                    $watch->drawingSeconds], 'quiet_minutes' => [__('Quiet is worth a word after so many minutes'),
                    $watch->quietMinutes], 'still_minutes' => [__('Worth a look: no stroke for so many minutes'),
                    $watch->stillMinutes],
                    'rub_outs' => [__('Worth a look: rubbed out so often in five minutes'), $watch->rubOuts],
                        'same_slip' => [__('Worth a look: so many with the same wrong answer'),
                        $watch->sameSlip]] as $field => [$word, $value])
                    <label class="number-choice">{{ $word }} <input name="watch.{{ $field }}" type="number"
                        class="form-control" min="{{ Crag\Watch\WatchSettings::LIMITS[$field][0] }}"
                        max="{{ Crag\Watch\WatchSettings::LIMITS[$field][1] }}" value="{{ $value }}"></label>
                @endforeach
                <p class="mb-0"><b>{{ __('Do not point at') }}</b></p>
                @foreach (Crag\Watch\Signal::cases() as $signal)
                    <label class="choice"><input type="checkbox" name="watch.off[]" value="{{ $signal->value }}"
                        @checked(! $watch->hears($signal))> {{ __($signal->word()) }}</label>
                @endforeach
            </fieldset>
            <label for="expires">{{ __('End by itself after so many minutes without a sign of life') }}</label>
            <input id="expires" name="expires_after" type="number" min="15" max="1440" class="form-control mb-2"
                value="{{ $settings->expiresAfterMinutes }}">
            <label
                for="keep-days">{{ __('Keep for so many days after the end; 0 deletes everything at the end') }}</label>
            <input id="keep-days" name="keep_days" type="number" min="0"
                max="{{ Crag\Session\Life\Retention::LONGEST_DAYS }}" class="form-control mb-2"
                value="{{ $session->retention()->days }}" data-to="/desk/{{ $session->id }}/keep">
            <label for="own-time">{{ __('Own time: stay open without you until the end of this day') }}</label>
            <input id="own-time" name="until" type="date" class="form-control"
                value="{{ $session->open_until_ms === null ? ''
                : App\Live\SchoolTime::of($session->open_until_ms)->format('Y-m-d') }}"
                data-to="/desk/{{ $session->id }}/own-time">
            <p class="form-text">{{ $session->openUntil() === null
                ? __('Students then go on at their own pace, with the same link and the same places. Empty it to stop.')
                : __('Open until :date; then it ends by itself.', ['date' => $session->openUntil()]) }}</p>
            <label for="unsuitable">{{ __('Words that make a name knock, one on each line') }}</label>
            <textarea id="unsuitable" name="unsuitable" class="form-control mb-2" rows="3"
                dir="auto">{{ implode("\n", $settings->unsuitable->words) }}</textarea>
        </fieldset>
        <p class="form-text">{{ $session->roster === null ? __('Changes hold at once.')
            : __('Changes hold at once, and :class begins with them next time.', ['class' => $session->roster->name]) }}
            {{ __('Tools, pictures and pages are under Tools.') }}</p>
    </form>
</section>
