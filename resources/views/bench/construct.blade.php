@php($kinds = [
    __('Points and lines') => ['point' => __('Point'), 'segment' => __('Segment'), 'line' => __('Line'),
        'ray' => __('Ray'), 'vector' => __('Vector'), 'polygon' => __('Polygon')],
    __('Circles') => ['circle' => __('Circle'), 'circle3' => __('Through three'), 'arc' => __('Arc')],
    __('Made of others') => ['midpoint' => __('Midpoint'), 'perpendicular' => __('Perpendicular'),
        'parallel' => __('Parallel'), 'bisector' => __('Bisector'), 'angle_bisector' => __('Bisect an angle'),
        'tangent' => __('Tangents'), 'reflection' => __('Mirror'), 'translation' => __('Translate'),
        'locus' => __('Locus')],
    __('Measure') => ['length' => __('Length'), 'angle' => __('Angle'), 'area' => __('Area'), 'slope' => __('Slope'),
        'coordinates' => __('Coordinates')],
])
@foreach ($kinds as $group => $some)
    <div class="tray-group tray-construct" data-for="construct" role="group" aria-label="{{ $group }}">
        @foreach ($some as $kind => $name)<button class="chip" data-construct="{{ $kind }}"
            aria-pressed="{{ $kind === 'segment' ? 'true' : 'false' }}">{{ $name }}</button>@endforeach
    </div>
@endforeach
<div class="tray-group" data-for="construct"><button class="chip" data-construct="drop"
    aria-pressed="false"><x-icon name="eraser" /> {{ __('Remove') }}</button></div>
