@include('bench.maths')
<dialog class="camera-window small-window" aria-labelledby="{{ $as }}camera-title">
    <h2 id="{{ $as }}camera-title">{{ __('Take a photo') }}</h2>
    <video class="camera-view" autoplay muted playsinline></video>
    <div class="maths-end">
        <button type="button" class="btn btn-outline-slate" data-cancel>{{ __('Cancel') }}</button>
        <button type="button" class="btn btn-go" data-shoot><x-icon name="camera" /> {{ __('Take it') }}</button>
    </div>
</dialog>
@php($keys = [
    (($isOnDesk ?? false) ? 'Shift+ '
        : '').'P H E M S T X N A I' => __('Pen, highlighter, eraser, move, shapes, text, maths, note, stamps, picture'),
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
