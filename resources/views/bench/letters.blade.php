{{-- How words look: of a text that is being typed what is chosen in it, else all of it. --}}
<div class="tray-group" data-for="text move" data-revealed="style" data-with="b" role="group"
    aria-label="{{ __('Letters') }}">
    @foreach ([
        'b' => ['type-bold', __('Bold (Ctrl+B)')], 'i' => ['type-italic', __('Italic (Ctrl+I)')],
        'sup' => ['superscript', __('Raised')], 'sub' => ['subscript', __('Lowered')],
    ] as $mark => [$icon, $name])
        <button class="swatch" data-mark="{{ $mark }}" aria-pressed="false" aria-label="{{ $name }}"
            title="{{ $name }}"><x-icon :name="$icon" /></button>
    @endforeach
</div>
<div class="tray-group" data-for="text move" data-revealed="style" data-with="list" role="group"
    aria-label="{{ __('List') }}">
    @foreach ([
        'none' => ['slash-circle', __('No list')], 'bullets' => ['list-ul', __('Bullets')],
        'numbers' => ['list-ol', __('Numbers')],
    ] as $list => [$icon, $name])
        <button class="swatch" data-list="{{ $list }}" aria-pressed="{{ $loop->first ? 'true' : 'false' }}"
            aria-label="{{ $name }}" title="{{ $name }}"><x-icon :name="$icon" /></button>
    @endforeach
</div>
<div class="tray-group" data-for="text move" data-revealed="style" data-with="face" role="group"
    aria-label="{{ __('Kind of letters') }}">
    <button class="swatch" data-face="plain" aria-pressed="true" aria-label="{{ __('Words') }}"
        title="{{ __('Words') }}"><x-icon name="fonts" /></button>
    <button class="swatch" data-face="code" aria-pressed="false" aria-label="{{ __('Code') }}"
        title="{{ __('Code: letters of one width') }}"><x-icon name="code-slash" /></button>
</div>
