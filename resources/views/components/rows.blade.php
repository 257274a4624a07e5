{{-- A short list that is written row by row: Enter adds one, Backspace in an empty one takes it away. --}}
@props(['words', 'one', 'add', 'longest' => 200, 'hint' => ''])
<div {{ $attributes->class('rows') }} role="group" aria-label="{{ $words }}">
    <span class="rows-name" aria-hidden="true">{{ $words }}</span>
    <ol class="rows-list"></ol>
    <button type="button" class="btn btn-sm btn-outline-slate" data-rows="add"><x-icon name="plus-lg" /> {{ $add }}</button>
    <template data-rows="row">
        <li class="rows-row"><button type="button" class="btn btn-icon rows-grip"
            title="{{ __('Drag to reorder, or use the arrow keys') }}"><x-icon name="grip-vertical" /><span
            class="visually-hidden">{{ __('Drag to reorder, or use the arrow keys') }}</span></button>
            <textarea class="form-control" rows="1" maxlength="{{ $longest }}" dir="auto" autocomplete="off"
                aria-label="{{ $one }}" placeholder="{{ $hint }}"></textarea>
            <button type="button" class="btn btn-icon" data-rows="out" title="{{ __('Remove') }}"><x-icon
                name="x-lg" /><span class="visually-hidden">{{ __('Remove') }}</span></button></li>
    </template>
</div>
