@use('Crag\Construct\ElementKind')
@php($kinds = [
    __('Points and lines') => [ElementKind::Point, ElementKind::Segment, ElementKind::Line, ElementKind::Ray,
        ElementKind::Vector, ElementKind::Polygon],
    __('Circles') => [ElementKind::Circle, ElementKind::CircleThrough, ElementKind::Arc],
    __('Made of others') => [ElementKind::Midpoint, ElementKind::Perpendicular, ElementKind::Parallel,
        ElementKind::Bisector, ElementKind::AngleBisector, ElementKind::Tangent, ElementKind::Reflection,
        ElementKind::Translation, ElementKind::Locus],
    __('Measure') => [ElementKind::Length, ElementKind::Angle, ElementKind::Area, ElementKind::Slope,
        ElementKind::Coordinates],
])
<form class="tray-group construct-words" data-for="construct"><input class="form-control" name="line" maxlength="80"
    autocomplete="off" spellcheck="false" aria-label="{{ __('Construct in words') }}"
    placeholder="{{ __('In words: segment A B, y = ax + 1') }}">
    <button class="chip">{{ __('Add') }}</button></form>
<div class="tray-group construct-sliders" data-for="construct" role="group" aria-label="{{ __('Letters of graphs') }}"></div>
@foreach ($kinds as $group => $some)
    <div class="tray-group tray-construct" data-for="construct" role="group" aria-label="{{ $group }}">
        @foreach ($some as $kind)<button class="chip" data-construct="{{ $kind->value }}"
            aria-pressed="{{ $kind === ElementKind::Segment ? 'true' : 'false' }}">{{ __($kind->word()) }}</button>@endforeach
    </div>
@endforeach
<div class="tray-group tray-construct" data-for="construct" role="group" aria-label="{{ __('With a number') }}">
    @foreach ([ElementKind::Compass, ElementKind::Regular, ElementKind::Rotation, ElementKind::Enlargement] as $kind)
        @php([$what, $first, $least, $most] = $kind->number())
        <span class="construct-number"><button class="chip" data-construct="{{ $kind->value }}"
            aria-pressed="false">{{ __($kind->word()) }}</button><input class="form-control" type="number"
            name="{{ $kind->value }}" value="{{ $first }}" min="{{ $least }}" max="{{ $most }}" required
            step="{{ $kind === ElementKind::Regular ? '1' : 'any' }}"
            aria-label="{{ __($kind->word()) }}: {{ __($what) }}" title="{{ __($what) }}"></span>
    @endforeach
</div>
<div class="tray-group" data-for="construct"><button class="chip" data-construct="drop"
    aria-pressed="false"><x-icon name="eraser" /> {{ __('Remove') }}</button></div>
