{{-- A button that opens a few more. --}}
@props(['button' => 'btn btn-paper', 'title' => null, 'head'])
<details {{ $attributes->class('menu-details') }}>
    <summary class="{{ $button }}" @if ($title !== null) title="{{ $title }}" @endif>{{ $head }}</summary>
    {{ $slot }}
</details>
