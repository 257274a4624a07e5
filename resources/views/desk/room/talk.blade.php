{{-- One student: what was written to and fro, and what can be done. Filled by the server when it is opened. --}}
<section id="talk" class="panel" aria-labelledby="talk-title" hidden>
    <div class="panel-head">
        <h2 id="talk-title" tabindex="-1">{{ __('Student') }}</h2>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span
            class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    <div id="talk-body"></div>
</section>
