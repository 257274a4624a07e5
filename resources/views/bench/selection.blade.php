<div class="tray-group" data-for="move" role="group" aria-label="{{ __('Choose by') }}">
    <button class="chip" data-select="box" aria-pressed="true"
        title="{{ __('Drag a box round things') }}">{{ __('Box') }}</button>
    <button class="chip" data-select="lasso" aria-pressed="false"
        title="{{ __('Draw a line round things') }}">{{ __('Lasso') }}</button>
</div>
<div class="tray-group selection-tools" data-for="move" role="group" aria-label="{{ __('The selection') }}">
    @foreach ([
        'duplicate' => ['files', __('Duplicate (Ctrl+D)')], 'copy' => ['copy', __('Copy (Ctrl+C)')],
            'paste' => ['clipboard', __('Paste (Ctrl+V)')],
        'front' => ['front', __('To the front')], 'forward' => ['layer-forward', __('One step forward')],
            'backward' => ['layer-backward', __('One step back')], 'back' => ['back', __('To the back')],
        'group' => ['union', __('Keep together (Ctrl+G)')], 'ungroup' => ['exclude', __('Take apart (Ctrl+Shift+G)')],
        'edit' => ['pencil', __('Change the words or the formula (Enter)')], 'delete' => ['trash3', __('Delete (Del)')],
    ] as $do => [$icon, $name])
        <button class="swatch" data-chosen="{{ $do }}" aria-label="{{ $name }}"
            title="{{ $name }}"><x-icon :name="$icon" /></button>
    @endforeach
    @if ($lead)
        <button class="swatch" data-chosen="lock" aria-pressed="false" aria-label="{{ __('Lock in place') }}"
            title="{{ __('Lock in place') }}"><x-icon name="lock" /></button>
        @if (($pieces ?? null) !== false) <button class="chip" data-chosen="pieces"
            title="{{ isset($pieces) ? __('Make the selection something students can move')
            : __('Give the selection to every canvas, for students to move') }}"><x-icon name="puzzle" />
            {{ $pieces ?? __('Hand out as pieces') }}</button> @endif
    @endif
</div>
