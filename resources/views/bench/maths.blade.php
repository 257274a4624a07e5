{{-- The window in which a formula is written: as it will look with its caret, keys for those who have none, and its
    LaTeX for those who like it. --}}
@php($keys = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.', '='])
@php($moves = [
    ['left', '←', __('Left')], ['right', '→', __('Right')], ['next', '⇥', __('Next place (Tab)')],
    ['back', '⌫', __('Delete what is before')],
])
@php($pad = [
    __('Forms') => [
        ['\frac{}{}', '½', __('Fraction (/)')], ['^{}', 'xⁿ', __('Power (^)')], ['_{}', 'xₙ', __('Index (_)')],
        ['\sqrt{}', '√', __('Square root')], ['\sqrt[{}]{}', 'ⁿ√', __('Root')],
        ['\left({}\right)', '( )', __('Brackets')], ['\vec{}', 'v⃗', __('Vector')], ['\text{}', 'Aa', __('Words')],
        ['\ce{}', 'H₂O', __('Chemistry')],
    ],
    __('Signs') => [
        ['+', '+', __('plus')], ['-', '−', __('minus')], ['\times', '×', __('times')], ['\div', '÷', __('divided by')],
        ['\pm', '±', __('plus or minus')], ['<', '<', __('less than')], ['>', '>', __('more than')],
        ['\le', '≤', __('at most')], ['\ge', '≥', __('at least')], ['\ne', '≠', __('is not')],
        ['\approx', '≈', __('about')], ['^{\circ}', '°', __('degrees')], ['\%', '%', __('per cent')],
        ['\pi', 'π', 'pi'], ['\alpha', 'α', 'alpha'], ['\beta', 'β', 'beta'], ['\theta', 'θ', 'theta'],
        ['\lambda', 'λ', 'lambda'], ['\mu', 'μ', 'mu'], ['\rho', 'ρ', 'rho'], ['\sigma', 'σ', 'sigma'],
        ['\Delta', 'Δ', 'Delta'], ['\Sigma', 'Σ', 'Sigma'], ['\Omega', 'Ω', 'Omega'],
    ],
    __('Units') => [
        ['\,\text{m}', 'm', __('metres')], ['\,\text{cm}', 'cm', __('centimetres')], ['\,\text{s}', 's', __('seconds')],
        ['\,\text{kg}', 'kg', __('kilograms')], ['\,\text{N}', 'N', __('newtons')],
        ['\,\text{N m}', 'N m', __('newton metres')], ['\,\text{J}', 'J', __('joules')],
        ['\,\text{m/s}', 'm/s', __('metres per second')], ['\,\text{m}^{2}', 'm²', __('square metres')],
    ],
])
<dialog class="maths-window" aria-labelledby="{{ $as }}maths-title">
    <form method="dialog">
        <h2 id="{{ $as }}maths-title">{{ __('Formula') }}</h2>
        <div class="maths-field">
            <svg class="maths-preview" role="img" aria-label="{{ __('How it will look') }}"
                preserveAspectRatio="xMidYMid meet"><path fill="currentColor"/></svg>
            <input class="maths-keys" aria-label="{{ __('Formula, as LaTeX') }}" autocomplete="off" autocapitalize="off"
                spellcheck="false" dir="ltr">
        </div>
        <p class="maths-problem problem" role="alert"></p>
        <div class="maths-pads">
            <div class="maths-pad maths-digits" role="group" aria-label="{{ __('Numbers') }}">
                @foreach ($keys as $key)
                    <button type="button" class="swatch" data-key="{{ $key }}">{{ $key }}</button>
                @endforeach
                @foreach ($moves as [$move, $sign, $name])
                    <button type="button" class="swatch" data-move="{{ $move }}" title="{{ $name }}"><span
                        aria-hidden="true">{{ $sign }}</span><span class="visually-hidden">{{ $name }}</span></button>
                @endforeach
            </div>
            <div>
                @foreach ($pad as $group => $signs)
                    <div class="maths-pad" role="group" aria-label="{{ $group }}">
                        @foreach ($signs as [$latex, $sign, $name])
                            <button type="button" class="swatch" data-latex="{{ $latex }}" title="{{ $name }}"><span
                                aria-hidden="true">{{ $sign }}</span><span
                                class="visually-hidden">{{ $name }}</span></button>
                        @endforeach
                    </div>
                @endforeach
            </div>
        </div>
        <label class="maths-latex">{{ __('LaTeX') }} <input class="maths-source form-control" maxlength="600"
            autocomplete="off" autocapitalize="off" spellcheck="false" dir="ltr"></label>
        <div class="maths-end">
            <button type="button" class="btn btn-outline-slate" data-cancel>{{ __('Cancel') }}</button>
            <button class="btn btn-go">{{ __('Put on the page') }}</button>
        </div>
    </form>
</dialog>
