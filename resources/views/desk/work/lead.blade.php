<section id="lead" class="lead-bench bench" aria-labelledby="lead-title" hidden>
    <div class="lead-head">
        <h2 id="lead-title">{{ __('Lead canvas') }}</h2>
        <span id="lead-saved" class="lead-saved" role="status">{{ __('Saved') }}</span>
        <button class="chip ms-auto" id="lead-show" aria-pressed="false"
            title="{{ __('Students can open this page of yours beside their own') }}"><x-icon name="layout-split" />
            <span>{{ __('Let students look at this page') }}</span></button>
        <span id="lead-shown" class="lead-saved" role="status"></span>
        <button class="chip" id="lead-screen" aria-pressed="false"
            title="{{ __('Just this page, on the class screen, live as you draw') }}"><x-icon name="easel" />
            <span>{{ __('On the class screen') }}</span></button>
        <button class="chip" id="lead-ink" aria-pressed="false"
            title="{{ __('What you draw from now on appears live under everyone’s ink') }}"><x-icon name="broadcast" />
            {{ __('Lead ink') }}</button>
        @if (config('crag.recording')) <button class="speak chip"
            title="{{ __('Record your voice while you draw here, then play both to the class') }}"><x-icon name="mic" />
            {{ __('Explain aloud') }}</button> @endif
        <button class="btn btn-outline-slate" data-do="lead">{{ __('Back to the grid') }} <kbd>F</kbd></button>
    </div>
    <div id="lead-talks" class="lead-talks"></div>
    <div class="bench-place" data-as="" data-label="{{ __('Lead canvas') }}" data-pieces
        data-files="/desk/{{ $session->id }}/work/CANVAS.FORMAT"></div>
    @include('bench.pieces', [
        'title' => __('Hand out as pieces'), 'icon' => 'send', 'do' => __('Hand out'), 'to' => 'desk.work.pieces-to',
        'effect' => __('The selection goes onto this prompt’s canvases, above the ink. No work is lost. If it goes to everyone, anyone who joins later gets it too.'),
    ])
</section>
