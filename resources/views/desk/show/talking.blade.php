{{-- What the class sees, on the desk: drawn over, pointed at, made larger for everybody. --}}
<section id="talking" class="lead-bench bench talking" aria-labelledby="talking-title" hidden>
    <div class="lead-head">
        <h2 id="talking-title">{{ __('What the class sees') }}</h2>
        <div id="talking-which" class="talking-which" role="group"
            aria-label="{{ __('Which one of those shown') }}"></div>
        <span id="talking-saved" class="lead-saved" role="status"></span>
        <button class="chip ms-auto" id="talking-whole"
            title="{{ __('What you zoom in on here, everyone sees larger') }}"><x-icon name="aspect-ratio" />
            {{ __('Whole page') }}</button>
        <button class="chip" id="talking-replay" aria-pressed="false"
            title="{{ __('From its first stroke, for everyone who can see it') }}"><x-icon name="clock-history" />
            {{ __('Replay') }}</button>
        <button class="chip" id="talking-lead"
            title="{{ __('Your lead canvas beside it') }}"><x-icon name="layout-split" />
            {{ __('Lead canvas') }}</button>
        <button class="chip" id="talking-give"
            title="{{ __('Give it to everyone to build on, under their ink. No work is lost.') }}"><x-icon name="send" />
            {{ __('Hand out') }}</button>
        <button class="chip" data-do="talking" title="{{ __('Back to the grid (U)') }}">{{ __('Grid') }}
            <kbd>U</kbd></button>
    </div>
    <div class="bench-place" data-as="talking-" data-label="{{ __('Over what the class sees') }}"></div>
</section>
