<div class="tray-group" data-for="move" data-when="nothing" role="group" aria-label="{{ __('Choose by') }}">
    <button class="chip" data-select="box" aria-pressed="true"
        title="{{ __('Drag a box round things') }}">{{ __('Box') }}</button>
    <button class="chip" data-select="lasso" aria-pressed="false"
        title="{{ __('Draw a line round things') }}">{{ __('Lasso') }}</button>
    <button class="chip" data-chosen="paste" title="{{ __('Paste (Ctrl+V)') }}"><x-icon name="clipboard" />
        {{ __('Paste') }}</button>
</div>
{{-- What one does most to what is chosen stands first; how it looks, and what is rare, unfold. --}}
<div class="tray-group selection-tools" data-for="move" data-when="chosen" role="group"
    aria-label="{{ __('The selection') }}">
    <button class="chip" data-chosen="edit" title="{{ __('Change the words or the formula (Enter)') }}"><x-icon
        name="pencil" /> {{ __('Change') }}</button>
    <button class="chip" data-reveal="style" aria-expanded="false"><x-icon name="palette" /> {{ __('Look') }}</button>
    <button class="chip" data-chosen="duplicate" title="{{ __('Duplicate (Ctrl+D)') }}"><x-icon name="files" />
        {{ __('Copy') }}</button>
    <button class="chip" data-chosen="delete" title="{{ __('Delete (Del)') }}"><x-icon name="trash3" />
        {{ __('Delete') }}</button>
    <button class="chip" data-reveal="rare" aria-expanded="false"><x-icon name="three-dots" />
        {{ __('More') }}</button>
</div>
<div class="tray-group selection-rare" data-for="move" data-when="chosen" data-revealed="rare" role="group"
    aria-label="{{ __('More for the selection') }}">
    @foreach ([
        'front' => ['front', __('To the front')], 'back' => ['back', __('To the back')],
        'forward' => ['layer-forward', __('One step forward')], 'backward' => ['layer-backward', __('One step back')],
        'group' => ['union', __('Keep together')], 'ungroup' => ['exclude', __('Take apart')],
        'straighten' => ['rulers', __('Make it a straight shape')], 'type' => ['fonts', __('Set in type')],
        'copy' => ['clipboard-plus', __('Copy to paste elsewhere')],
    ] as $do => [$icon, $name])
        <button class="menu-item" data-chosen="{{ $do }}"><x-icon :name="$icon" /> {{ $name }}</button>
    @endforeach
    @if ($lead)
        <button class="menu-item" data-chosen="lock" aria-pressed="false"><x-icon name="lock" />
            {{ __('Lock in place') }}</button>
        @if (($pieces ?? null) !== false) <button class="menu-item" data-chosen="pieces"
            title="{{ isset($pieces) ? __('Make the selection something students can move')
            : __('Give the selection to every canvas, for students to move') }}"><x-icon name="puzzle" />
            {{ $pieces ?? __('Hand out as pieces') }}</button> @endif
    @endif
</div>
