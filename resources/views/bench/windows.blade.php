@include('bench.maths')
<dialog class="camera-window small-window" aria-labelledby="{{ $as }}camera-title">
    <h2 id="{{ $as }}camera-title">{{ __('Take a photo') }}</h2>
    <video class="camera-view" autoplay muted playsinline></video>
    <div class="maths-end">
        <button type="button" class="btn btn-outline-slate" data-cancel>{{ __('Cancel') }}</button>
        <button type="button" class="btn btn-go" data-shoot><x-icon name="camera" /> {{ __('Take it') }}</button>
    </div>
</dialog>
@php($corners = [__('Upper left corner'), __('Upper right corner'), __('Lower right corner'), __('Lower left corner')])
<dialog class="paper-window small-window" aria-labelledby="{{ $as }}paper-title">
    <h2 id="{{ $as }}paper-title">{{ __('Photo of a page') }}</h2>
    <p class="hint">{{ __('Drag the corners onto those of the page, or move them with the arrow keys.') }}</p>
    <div class="paper-photo">
        <canvas></canvas>
        <svg aria-hidden="true" preserveAspectRatio="none"><polygon points="" /></svg>
        @foreach ($corners as $corner)
            <button type="button" class="paper-corner" aria-label="{{ $corner }}"></button>
        @endforeach
    </div>
    <label class="form-check"><input type="checkbox" class="form-check-input" name="even" checked>
        {{ __('Take shadows away') }}</label>
    <div class="maths-end">
        <button type="button" class="btn btn-outline-slate" data-whole>{{ __('All of it') }}</button>
        <button type="button" class="btn btn-outline-slate" data-as-it-is>{{ __('Use it as it is') }}</button>
        <button type="button" class="btn btn-go" data-flatten>{{ __('Flatten and use it') }}</button>
    </div>
</dialog>
@php($keys = [
    (($isOnDesk ?? false) ? 'Shift+ '
        : '').'P H E M S T X G B N A I' => __('Pen, highlighter, eraser, move, shapes, text, maths, construct, pieces, note, stamps, picture'),
    'Enter' => __('Puts the shape, stamp or words in the middle; changes the words that are chosen'),
    '← ↑ → ↓' => __('Move the selection (finely with Shift); with nothing selected, the page'),
    '[ ]   , .' => __('Turn; smaller, larger'),
        'Page ↑ Page ↓' => __('Forward, back; with nothing chosen, the page before and after'),
    'Ctrl+A D G' => __('Choose all, duplicate, keep together'), 'Ctrl+C X V' => __('Copy, cut, paste'),
        'Del' => __('Delete'),
    'Ctrl+Z Y' => __('Undo, redo'), '+ − 0' => __('Larger, smaller, the whole page'),
        'Esc' => __('Choose nothing, end words or a shape'),
])
<dialog class="keys-window small-window" aria-labelledby="{{ $as }}bench-keys-title">
    <h2 id="{{ $as }}bench-keys-title">{{ __('Keys') }}</h2>
    <dl class="bench-keys">
        @foreach ($keys as $key => $does)
            <dt><kbd>{{ $key }}</kbd></dt><dd>{{ $does }}</dd>
        @endforeach
    </dl>
    <form method="dialog" class="maths-end"><button class="btn btn-outline-slate">{{ __('Close') }}</button></form>
</dialog>
