{{-- One canvas as large as the page allows: looked at, coached, or with private notes over it. --}}
<section id="closeup" class="closeup" data-mode="look" aria-labelledby="closeup-name" hidden>
    <div class="closeup-main bench">
        <div id="pass" class="pass" role="region" aria-label="{{ __('Check pass') }}" hidden>
            <b id="pass-at" role="status"></b>
            <span class="pass-keys" role="group" aria-label="{{ __('Check, and on to the next') }}">
                @foreach (Crag\Checks\Level::cases() as $level)
                    <button class="chip" data-do="pass-check" data-level="{{ $level->value }}"><x-strata
                        :level="$level->value" /> {{ __($level->word()) }} <kbd>{{ $level->value }}</kbd></button>
                @endforeach
            </span>
            <label class="form-check"><input id="pass-nameless" type="checkbox" class="form-check-input">
                {{ __('Without names') }}</label>
            <button class="chip" data-do="pass-end">{{ __('End the pass') }}</button>
        </div>
        <div class="closeup-head">
            <button class="btn btn-icon" data-do="previous"
                title="{{ __('The one before (←)') }}"><x-icon name="chevron-left" /><span
                class="visually-hidden">{{ __('The one before') }}</span></button>
            <button class="btn btn-icon" data-do="next"
                title="{{ __('The next one (→)') }}"><x-icon name="chevron-right" /><span
                class="visually-hidden">{{ __('The next one') }}</span></button>
            <h2 id="closeup-name" tabindex="-1"><span class="name-real" dir="auto"></span><span class="name-seat"></span></h2>
            <span id="closeup-members" class="tile-members" hidden></span>
            <span id="closeup-state" class="panel-state"></span>
            <span id="closeup-saved" class="panel-state" role="status"></span>
            <div class="closeup-modes" role="group" aria-label="{{ __('What your pen does') }}">
                <button class="chip" data-mode="look" aria-pressed="true"
                    title="{{ __('Only look (Esc)') }}"><x-icon name="eye" /> {{ __('Look') }}</button>
                <button class="chip" data-mode="coach" aria-pressed="false"
                    title="{{ __('Coach ink: the student sees it at once (C)') }}"><x-icon name="pen" />
                    {{ __('Coach ink') }} <kbd>C</kbd></button>
                <button class="chip" data-mode="private" aria-pressed="false"
                    title="{{ __('Private notes: only teachers see them (O)') }}"><x-icon name="journal-text" />
                    {{ __('Private notes') }} <kbd>O</kbd></button>
            </div>
            <button id="hold-one" class="chip" data-do="hold-one" aria-pressed="false"
                title="{{ __('Hold the live view of this canvas. The student goes on.') }}"><x-icon name="pause-circle" />
                <span class="hold-word">{{ __('Hold') }}</span></button>
            <button class="btn btn-icon" data-do="close-closeup"
                title="{{ __('Back to the grid (Esc)') }}"><x-icon name="x-lg" /><span
                class="visually-hidden">{{ __('Back to the grid') }}</span></button>
        </div>
        <nav id="closeup-strip" class="closeup-strip" aria-label="{{ __('All students') }}"></nav>
        <div class="closeup-stage">
            <div class="bench-place" data-as="closeup-" data-label="{{ __('Canvas in the close-up') }}"></div>
            @include('desk.watch.player')
        </div>
    </div>
    @include('desk.watch.closeup-side')
</section>
