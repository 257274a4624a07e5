@props(['level' => null])
<span class="strata" data-level="{{ $level }}" aria-hidden="true"><i></i><i></i><i></i></span>
