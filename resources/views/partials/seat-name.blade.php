@props(['seat'])
<span class="name-real" dir="auto">{{ $seat->name }}</span><span class="name-stone">{{ $seat->stoneName() }}</span><span
    class="name-seat">{{ __('Seat :n', ['n' => $seat->n]) }}</span>
