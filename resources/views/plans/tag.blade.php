@php($isOn = in_array($one, $look->tags, true))
<a class="chip {{ $isOn ? 'is-on' : '' }}" href="{{ $look->withTag($one) }}" @if ($isOn) aria-current="true"
    @endif>{{ $one }}</a>
