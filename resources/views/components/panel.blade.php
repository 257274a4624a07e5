{{-- A panel of the drawer: its head, with the way out, and what is in it. --}}
@props(['id', 'title'])
<section id="{{ $id }}" {{ $attributes->class('panel') }} aria-labelledby="{{ $id }}-title" hidden>
    <div class="panel-head">
        <h2 id="{{ $id }}-title" tabindex="-1">{{ $title }}</h2>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span
            class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    {{ $slot }}
</section>
