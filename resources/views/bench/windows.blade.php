@php($pad = [
    ['\frac{}{}', '½', __('Fraction')], ['^{}', 'xⁿ', __('Power')], ['_{}', 'xₙ', __('Index')],
        ['\sqrt{}', '√', __('Square root')], ['\sqrt[3]{}', '∛', __('Cube root')],
    ['\times ', '×', __('times')], ['\div ', '÷', __('divided by')], ['\pm ', '±', __('plus or minus')],
        ['\le ', '≤', __('at most')], ['\ge ', '≥', __('at least')], ['\ne ', '≠', __('is not')],
        ['\approx ', '≈', __('about')],
    ['\pi ', 'π', 'pi'], ['^\circ ', '°', __('degrees')], ['\alpha ', 'α', 'alpha'], ['\beta ', 'β', 'beta'],
        ['\theta ', 'θ', 'theta'], ['\lambda ', 'λ', 'lambda'], ['\mu ', 'μ', 'mu'], ['\rho ', 'ρ', 'rho'],
        ['\sigma ', 'σ', 'sigma'], ['\Delta ', 'Δ', 'Delta'], ['\Sigma ', 'Σ', 'Sigma'], ['\Omega ', 'Ω', 'Omega'],
    ['\left({}\right)', '( )', __('Brackets')], ['\text{}', 'Aa', __('Words')], ['\vec{}', 'v⃗', __('Vector')],
        ['\,\text{N m}', 'N m', __('newton metres')],
])
<dialog class="maths-window" aria-labelledby="{{ $as }}maths-title">
    <form method="dialog">
        <h2 id="{{ $as }}maths-title">{{ __('Formula') }}</h2>
        <svg class="maths-preview" role="img" aria-label="{{ __('How it will look') }}"
            preserveAspectRatio="xMidYMid meet"><path fill="currentColor"/></svg>
        <label for="{{ $as }}maths-source">{{ __('LaTeX') }}</label>
        <input id="{{ $as }}maths-source" class="maths-source form-control" maxlength="600" autocomplete="off"
            autocapitalize="off" spellcheck="false" dir="ltr">
        <p class="maths-problem problem" role="alert"></p>
        <div class="maths-pad" role="group" aria-label="{{ __('Signs') }}">
            @foreach ($pad as [$latex, $sign, $name])
                <button type="button" class="swatch" data-latex="{{ $latex }}" title="{{ $name }}">{{ $sign }}<span
                    class="visually-hidden"> {{ $name }}</span></button>
            @endforeach
        </div>
        <div class="maths-end">
            <button type="button" class="btn btn-outline-slate" data-cancel>{{ __('Cancel') }}</button>
            <button class="btn btn-go">{{ __('Put on the page') }}</button>
        </div>
    </form>
</dialog>
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
