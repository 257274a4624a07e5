<section id="offers" class="panel" aria-labelledby="offers-title" hidden>
    <div class="panel-head">
        <h2 id="offers-title" tabindex="-1">{{ __('Offered work') }}</h2>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span
            class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    <div id="offers-body"></div>
</section>
