{{-- A box to tick or one of several to choose, with its words. What is `on` belongs to the label. --}}
@props(['type' => 'checkbox', 'label' => null])
<label class="choice {{ $label }}" @if ($attributes->has('label-id')) id="{{ $attributes->get('label-id') }}" @endif><input
    type="{{ $type }}" {{ $attributes->except('label-id') }}> {{ $slot }}</label>
