{{-- One canvas as large as the page allows: looked at, coached, or with private notes over it. --}}
<section id="closeup" class="closeup" data-mode="look" aria-labelledby="closeup-name" hidden>
    <div class="closeup-main bench">
        <div class="closeup-head">
            <button class="btn btn-icon" data-do="previous"
                title="{{ __('The one before (←)') }}"><x-icon name="chevron-left" /><span
                class="visually-hidden">{{ __('The one before') }}</span></button>
            <button class="btn btn-icon" data-do="next"
                title="{{ __('The next one (→)') }}"><x-icon name="chevron-right" /><span
                class="visually-hidden">{{ __('The next one') }}</span></button>
            <h2 id="closeup-name" tabindex="-1"><span class="name-real" dir="auto"></span><span class="name-seat"></span></h2>
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
            <button class="btn btn-icon" data-do="close-closeup"
                title="{{ __('Back to the grid (Esc)') }}"><x-icon name="x-lg" /><span
                class="visually-hidden">{{ __('Back to the grid') }}</span></button>
        </div>
        <div class="closeup-stage">
            @include('bench.bench',
                ['label' => __('Canvas in the close-up'), 'lead' => true, 'isOnDesk' => true, 'as' => 'closeup-',
                'files' => '', 'pieces' => false])
            @include('desk.watch.player')
        </div>
    </div>
    @include('desk.watch.closeup-side')
</section>
