@props(['seat'])
<span class="name-real" dir="auto">{{ $seat->name }}</span><span class="name-seat">{{ $seat->seatName() }}</span>
