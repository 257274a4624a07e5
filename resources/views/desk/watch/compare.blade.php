{{-- Two to four canvases side by side, or one at two moments. --}}
<section id="compare" class="compare" aria-labelledby="compare-title" hidden>
    <div class="closeup-head">
        <h2 id="compare-title" tabindex="-1">{{ __('Compare') }}</h2>
        <span class="panel-state">{{ __('Each can be taken back to an earlier moment') }}</span>
        @if ($deeds->may(Crag\Session\Rules\Deed::ChooseScreen)) <button class="btn btn-slate ms-auto" data-do="show-compare"
            title="{{ __('Side by side, as they stand here') }}"><x-icon name="easel" />
            {{ __('Show to the class') }}</button> @endif
        <button class="btn btn-outline-slate" data-do="close-compare">{{ __('Back') }}
            <kbd>{{ __('Esc') }}</kbd></button>
    </div>
    <div class="compare-panes"></div>
    <template id="compare-template">
        <figure class="compare-pane">
            <figcaption class="compare-name"><span class="name-real" dir="auto"></span><span class="name-seat"></span></figcaption>
            <div class="compare-frame"><div class="page"></div></div>
            <div class="compare-bar">
                <input class="compare-at" type="range" min="0" step="1" aria-label="{{ __('Moment') }}">
                <span class="compare-when"></span>
                <span class="compare-pages" role="group" aria-label="{{ __('Pages') }}"></span>
            </div>
        </figure>
    </template>
</section>
