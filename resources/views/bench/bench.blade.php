{{-- A canvas with its tools. $lead: whether it is a teacher's. $files: where its files are, with CANVAS and FORMAT to
    be put in. $as: what the ids of a second bench on a page begin with. --}}
@php($as ??= '')
<div class="stage">
    <div class="page-frame" id="{{ $as }}page-frame" tabindex="0" role="application" aria-label="{{ $label }}"
        data-using="pen">
        <div id="{{ $as }}page" class="page"></div>
    </div>
    <nav class="bench-pages" aria-label="{{ __('Pages') }}">
        <button class="mini" data-page-step="-1" title="{{ __('Page before') }}"><x-icon name="chevron-left" /><span
            class="visually-hidden">{{ __('Page before') }}</span></button>
        <span class="bench-page" role="status"></span>
        <button class="mini" data-page-step="1" title="{{ __('Next page') }}"><x-icon name="chevron-right" /><span
            class="visually-hidden">{{ __('Next page') }}</span></button>
        <button class="mini" data-needs="pages" data-add-page
            title="{{ __('Add a page') }}"><x-icon name="plus-lg" /><span
            class="visually-hidden">{{ __('Add a page') }}</span></button>
    </nav>
    <div class="bench-zoom" role="group" aria-label="{{ __('Zoom') }}">
        <button class="mini" data-zoom="out" title="{{ __('Smaller (−)') }}"><x-icon name="zoom-out" /><span
            class="visually-hidden">{{ __('Smaller') }}</span></button>
        <button class="mini bench-percent" data-zoom="fit" title="{{ __('The whole page (0)') }}"><span
            class="bench-percent-n">100 %</span><span
            class="visually-hidden">{{ __('See the whole page') }}</span></button>
        <button class="mini" data-zoom="in" title="{{ __('Larger (+)') }}"><x-icon name="zoom-in" /><span
            class="visually-hidden">{{ __('Larger') }}</span></button>
    </div>
    <nav class="bench-objects" aria-label="{{ __('Objects on this page') }}"><ol tabindex="-1"></ol></nav>
</div>
@include('bench.tray')
@include('bench.windows')
<input type="file" class="bench-file" hidden aria-hidden="true" tabindex="-1"
    accept="image/png,image/jpeg,image/webp,image/gif,image/svg+xml,.svg,.inkml,.ink">
<input type="file" class="bench-camera" hidden aria-hidden="true" tabindex="-1" accept="image/*" capture="environment">
