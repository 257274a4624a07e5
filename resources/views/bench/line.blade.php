{{-- How a shape's line is drawn, what stands at its ends, and what is inside. --}}
<div class="tray-group" data-for="shapes move" data-revealed="line" data-with="line" role="group"
    aria-label="{{ __('Line') }}">
    @foreach ([
        'solid' => ['', __('Solid')], 'dashed' => ['5 4', __('Dashed')], 'dotted' => ['0 4', __('Dotted')],
    ] as $line => [$dashes, $name])
        <button class="swatch" data-line="{{ $line }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ $name }}" title="{{ $name }}"><svg viewBox="0 0 20 20" aria-hidden="true"><path d="M2 10H18"
            fill="none" stroke="currentColor" stroke-width="2.4" stroke-linecap="{{ $loop->last ? 'round' : 'butt' }}"
            stroke-dasharray="{{ $dashes }}"/></svg></button>
    @endforeach
</div>
<div class="tray-group" data-for="shapes move" data-revealed="line" data-with="ends" role="group"
    aria-label="{{ __('Arrowheads') }}">
    @foreach ([
        'none' => ['dash-lg', __('No arrowhead')], 'end' => ['arrow-right', __('Arrowhead at the end')],
        'both' => ['arrow-left-right', __('Arrowheads at both ends')],
    ] as $ends => [$icon, $name])
        <button class="swatch" data-ends="{{ $ends }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ $name }}" title="{{ $name }}"><x-icon :name="$icon" /></button>
    @endforeach
</div>
<div class="tray-group" data-for="shapes move" data-revealed="line" data-with="strength" role="group"
    aria-label="{{ __('Fill') }}">
    @foreach ([
        0 => __('No fill'), 18 => __('Light fill'), 50 => __('Half fill'), 100 => __('Full fill'),
    ] as $strength => $name)
        <button class="swatch" data-strength="{{ $strength }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ $name }}" title="{{ $name }}"><svg viewBox="0 0 20 20" aria-hidden="true"><rect x="3" y="3"
            width="14" height="14" rx="2" fill="currentColor" fill-opacity="{{ $strength / 100 }}" stroke="currentColor"
            stroke-width="2"/></svg></button>
    @endforeach
    <button class="chip" data-fill="own" aria-pressed="true">{{ __('Same as the line') }}</button>
    <label class="swatch free-colour" title="{{ __('Colour of the fill') }}"><input type="color" class="fill"
        value="#25323b" aria-label="{{ __('Colour of the fill') }}"></label>
</div>
