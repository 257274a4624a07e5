<section id="lead" class="lead bench" aria-labelledby="lead-title" hidden>
    <div class="lead-head">
        <h2 id="lead-title">{{ __('Lead canvas') }}</h2>
        <span id="lead-saved" class="lead-saved" role="status">{{ __('Saved') }}</span>
        <button class="btn btn-outline-slate ms-auto" data-do="lead">{{ __('Back to the grid') }} <kbd>F</kbd></button>
    </div>
    @include('bench.bench', ['label' => __('Lead canvas'), 'lead' => true, 'files' => '/desk/'.$session->id.'/work/CANVAS.FORMAT'])
    @include('bench.pieces', [
        'title' => __('Hand out as pieces'), 'icon' => 'send', 'do' => __('Hand out to everybody'),
        'effect' => __('What is chosen goes onto every canvas of this prompt, above the ink. No work is lost, and late-comers get it too.'),
    ])
</section>
