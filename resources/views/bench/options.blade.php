@php($shapes = ['line' => ['slash-lg', __('Straight line')], 'arrow' => ['arrow-up-right', __('Arrow')],
    'rectangle' => ['square', __('Rectangle')], 'ellipse' => ['circle', __('Ellipse')],
    'triangle' => ['triangle', __('Triangle')], 'polygon' => ['pentagon', __('Polygon')],
    'curve' => ['bezier2', __('Curve')]])
<div class="tray-group" data-for="shapes" role="group" aria-label="{{ __('Shape') }}">
    @foreach ($shapes as $shape => [$icon, $name])
        <button class="swatch" data-shape="{{ $shape }}" aria-pressed="false" aria-label="{{ $name }}"
            title="{{ $name }}"><x-icon :name="$icon" /></button>
    @endforeach
</div>
<div class="tray-group" data-for="shapes">
    <button class="swatch do-even" aria-pressed="false" aria-label="{{ __('Equal sides, steps of 15° (hold Shift)') }}"
        title="{{ __('Equal sides, steps of 15° (hold Shift)') }}"><x-icon name="aspect-ratio" /></button>
</div>
<div class="tray-group" data-for="shapes move" data-with="line">
    <button class="chip" data-reveal="line" aria-expanded="false"><x-icon name="border-style" />
        {{ __('Line and fill') }}</button>
</div>
@include('bench.construct')
@include('bench.manipulatives')
<div class="tray-group" data-for="shapes construct">
    <button class="swatch do-snap" aria-pressed="false" aria-label="{{ __('Snap to points and the grid') }}"
        title="{{ __('Snap to points and the grid') }}"><x-icon name="magnet" /></button>
</div>
@include('bench.line')
@include('bench.stamps')
<div class="tray-group" data-for="eraser" role="group" aria-label="{{ __('What the eraser takes') }}">
    <button class="chip" data-rub="whole" aria-pressed="true">{{ __('Whole lines') }}</button>
    <button class="chip" data-rub="part" aria-pressed="false">{{ __('Parts of lines') }}</button>
</div>
<div class="tray-group" data-for="eraser" role="group" aria-label="{{ __('Size of the eraser') }}">
    @foreach ([12 => __('Small eraser'), 24 => __('Medium eraser'), 44 => __('Large eraser')] as $reach => $name)
        <button class="swatch" data-reach="{{ $reach }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ $name }}" title="{{ $name }}"><svg class="outlined" viewBox="0 0 20 20"
            aria-hidden="true"><circle cx="10" cy="10" r="{{ 3 + 3 * $loop->index }}" fill="none"/></svg></button>
    @endforeach
</div>
@include('bench.selection')
<div class="tray-group" data-for="text maths move" data-revealed="style" data-with="size" role="group"
    aria-label="{{ __('Size of letters') }}">
    @foreach (Crag\Canvas\Drawing\Palette::SIZES as $name => $size)
        <button class="swatch" data-size="{{ $size }}" aria-pressed="{{ $size === 36 ? 'true' : 'false' }}"
            aria-label="{{ __($name) }}" title="{{ __($name) }}"><span
            class="size-sample size-sample-{{ $loop->index }}" aria-hidden="true">A</span></button>
    @endforeach
</div>
@include('bench.letters')
<div class="tray-group" data-for="text move" data-revealed="style" data-with="align" role="group" aria-label="{{ __('Alignment') }}">
    @foreach (['start' => ['text-left', __('At the start')], 'middle' => ['text-center', __('In the middle')],
        'end' => ['text-right', __('At the end')]] as $align => [$icon, $name])
        <button class="swatch" data-align="{{ $align }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ $name }}" title="{{ $name }}"><x-icon :name="$icon" /></button>
    @endforeach
</div>
<div class="tray-group" data-for="pen shapes text maths construct stamps move" data-revealed="style" data-with="colour" role="group"
    aria-label="{{ __('Colour') }}">
    @foreach (Crag\Canvas\Drawing\Palette::PENS as $name => $colour)
        <button class="swatch" data-colour="{{ $colour }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ __($name) }}" title="{{ __($name) }}"><svg viewBox="0 0 20 20" aria-hidden="true"><circle
            cx="10" cy="10" r="9" fill="{{ $colour }}"/></svg></button>
    @endforeach
    <label class="swatch free-colour" title="{{ __('Any colour') }}"><input type="color" class="free" value="#7f7f7f"
        aria-label="{{ __('Any colour') }}"></label>
</div>
<div class="tray-group" data-for="highlighter move" data-revealed="style" data-with="highlight" role="group"
    aria-label="{{ __('Colour of the marker') }}">
    @foreach (Crag\Canvas\Drawing\Palette::HIGHLIGHTERS as $name => $colour)
        <button class="swatch" data-highlight="{{ $colour }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ __($name) }}" title="{{ __($name) }}"><svg viewBox="0 0 20 20" aria-hidden="true"><circle
            cx="10" cy="10" r="9" fill="{{ $colour }}"/></svg></button>
    @endforeach
</div>
<div class="tray-group" data-for="note move" data-revealed="style" data-with="note" role="group" aria-label="{{ __('Colour of the note') }}">
    @foreach (Crag\Canvas\Drawing\Palette::NOTES as $name => $colour)
        <button class="swatch" data-note="{{ $colour }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ __($name) }}" title="{{ __($name) }}"><svg viewBox="0 0 20 20" aria-hidden="true"><rect x="2"
            y="2" width="16" height="16" rx="2" fill="{{ $colour }}" stroke="#8b8578"/></svg></button>
    @endforeach
</div>
<div class="tray-group" data-for="pen highlighter shapes move" data-revealed="style" data-with="width" role="group"
    aria-label="{{ __('Width') }}">
    @foreach (Crag\Canvas\Drawing\Palette::WIDTHS as $name => $width)
        <button class="swatch" data-width="{{ $width }}" aria-pressed="{{ $width === 40 ? 'true' : 'false' }}"
            aria-label="{{ __($name) }}" title="{{ __($name) }}"><svg viewBox="0 0 20 20" aria-hidden="true"><path
            d="M3 15C7 3 13 17 17 5" fill="none" stroke="currentColor" stroke-linecap="round"
            stroke-width="{{ max(0.8, $width / 22) }}"/></svg></button>
    @endforeach
</div>
<div class="tray-group" data-for="picture" role="group" aria-label="{{ __('Picture') }}">
    <button class="chip" data-file><x-icon name="upload" /> {{ __('From a file') }}</button>
    <button class="chip" data-camera><x-icon name="camera" /> {{ __('Take a photo') }}</button>
    <span class="tray-hint">{{ __('or paste, or drop it on the page') }}</span>
</div>
