@php($colours = [
    '#25323b' => __('Slate'), '#2c6e8f' => __('Lake'), '#a8452e' => __('Rust'),
    '#4f7a3a' => __('Lichen'), '#c98a1b' => __('Ochre'), '#6b4c9a' => __('Heather'),
])
<nav id="tray" class="tray" aria-label="{{ __('Tool tray') }}">
    <div class="tray-group" role="group" aria-label="{{ __('Tools') }}">
        <button class="tool" data-tool="pen" aria-pressed="true" title="{{ __('Pen (P)') }}"><x-icon name="pencil" /><span>{{ __('Pen') }}</span></button>
        <button class="tool" data-tool="eraser" aria-pressed="false" title="{{ __('Eraser: rubs out whole strokes (E)') }}"><x-icon name="eraser" /><span>{{ __('Eraser') }}</span></button>
        <button class="tool" data-tool="text" aria-pressed="false" title="{{ __('Text: tap where it shall stand (T)') }}"><x-icon name="fonts" /><span>{{ __('Text') }}</span></button>
    </div>
    <div class="tray-group" role="group" aria-label="{{ __('Colour') }}">
        @foreach ($colours as $colour => $name)
            <button class="swatch" data-colour="{{ $colour }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}" aria-label="{{ $name }}" title="{{ $name }}">
                <svg viewBox="0 0 20 20" aria-hidden="true"><circle cx="10" cy="10" r="9" fill="{{ $colour }}"/></svg>
            </button>
        @endforeach
    </div>
    <div class="tray-group" role="group" aria-label="{{ __('Width') }}">
        @foreach ([20 => __('Fine'), 40 => __('Middle'), 90 => __('Broad')] as $width => $name)
            <button class="swatch" data-width="{{ $width }}" aria-pressed="{{ $width === 40 ? 'true' : 'false' }}" aria-label="{{ $name }}" title="{{ $name }}">
                <svg viewBox="0 0 20 20" aria-hidden="true"><path d="M3 15C7 3 13 17 17 5" fill="none" stroke="currentColor" stroke-linecap="round" stroke-width="{{ $width / 20 }}"/></svg>
            </button>
        @endforeach
    </div>
    <div class="tray-group" role="group" aria-label="{{ __('Steps') }}">
        <button class="tool" id="undo" disabled title="{{ __('Undo (Ctrl+Z)') }}"><x-icon name="arrow-counterclockwise" /><span>{{ __('Undo') }}</span></button>
        <button class="tool" id="redo" disabled title="{{ __('Redo (Ctrl+Y)') }}"><x-icon name="arrow-clockwise" /><span>{{ __('Redo') }}</span></button>
        <button class="tool" id="empty" title="{{ __('Empty the canvas; undo brings it back') }}"><x-icon name="trash3" /><span>{{ __('Empty') }}</span></button>
    </div>
</nav>
