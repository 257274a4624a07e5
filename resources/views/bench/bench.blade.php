{{-- A canvas with its tools. $lead: whether it is a teacher's. $files: where its files are, with CANVAS and FORMAT to
    be put in. $as: what the ids of a second bench on a page begin with. --}}
@php($as ??= '')
<div class="stage">
    <div class="page-frame" id="{{ $as }}page-frame" tabindex="0" role="application" aria-label="{{ $label }}"
        data-using="pen">
        <div id="{{ $as }}page" class="page"></div>
    </div>
    @unless ($lead)
        <section class="writing" aria-label="{{ __('Writing window') }}" hidden>
            <div class="writing-bar">
                <button class="mini" data-writing="back" title="{{ __('Back along the line') }}"><x-icon
                    name="chevron-left" /><span class="visually-hidden">{{ __('Back along the line') }}</span></button>
                <button class="mini" data-writing="on" title="{{ __('On along the line') }}"><x-icon
                    name="chevron-right" /><span class="visually-hidden">{{ __('On along the line') }}</span></button>
                <button class="mini" data-writing="up" title="{{ __('Line before') }}"><x-icon name="chevron-up" /><span
                    class="visually-hidden">{{ __('Line before') }}</span></button>
                <button class="mini" data-writing="line" title="{{ __('Next line') }}"><x-icon
                    name="arrow-return-left" /><span class="visually-hidden">{{ __('Next line') }}</span></button>
                <button class="mini" data-writing="times" title="{{ __('How large') }}"><span
                    class="writing-times">3 ×</span><span class="visually-hidden">{{ __('How large') }}</span></button>
                <button class="mini" data-writing="close" title="{{ __('Close the writing window') }}"><x-icon
                    name="x-lg" /><span
                    class="visually-hidden">{{ __('Close the writing window') }}</span></button>
            </div>
            <div class="writing-page page" aria-hidden="true"></div>
        </section>
    @endunless
    <nav class="bench-objects" aria-label="{{ __('Objects on this page') }}"><ol tabindex="-1"></ol></nav>
</div>
@include('bench.tray')
@include('bench.windows')
@include('bench.pages')
<input type="file" class="bench-file" hidden aria-hidden="true" tabindex="-1"
    accept="image/png,image/jpeg,image/webp,image/gif,image/svg+xml,.svg,.inkml,.ink">
<input type="file" class="bench-camera" hidden aria-hidden="true" tabindex="-1" accept="image/*" capture="environment">
