<div class="settings" data-settings="blank squared dotted isometric lined axes number-line staves millimetre polar log timeline comparison causes map">
    <label class="settings-line">{{ __('Shape of the page') }}
        <select name="settings[paper]" class="form-select">
            @foreach (Crag\Prompt\Paper::named() as $name => $paper)
                <option value="{{ $paper->text() }}">{{ __($name) }}</option>
            @endforeach
        </select></label>
</div>
<div class="settings" data-settings="squared dotted isometric">
    <label>{{ __('Size') }}
        <select name="settings[size]" class="form-select">
            @foreach (Crag\Prompt\Backdrop\BackdropSize::cases() as $size)
                <option value="{{ $size->value }}"
                    @selected($size === Crag\Prompt\Backdrop\BackdropSize::Middle)>{{ __($size->word()) }}</option>
            @endforeach
        </select></label>
</div>
@foreach (Crag\Prompt\Backdrop\BackdropKind::cases() as $kind)
    @if ($kind->variants() !== [])
        <div class="settings" data-settings="{{ $kind->value }}">
            <label>{{ __('Which') }}
                <select name="settings[variant]" class="form-select">
                    @foreach ($kind->variants() as $variant => $word)
                        <option value="{{ $variant }}">{{ __($word) }}</option>
                    @endforeach
                </select></label>
        </div>
    @endif
@endforeach
<div class="settings" data-settings="axes">
    @foreach (['x' => [__('Across'), -5, 10, 'x'], 'y' => [__('Upwards'), -5, 5, 'y']] as $axis => [$name, $from, $to,
        $label])
        <fieldset class="settings-row">
            <legend>{{ $name }}</legend>
            <label>{{ __('from') }} <input name="settings[{{ $axis }}_from]" type="number" step="any"
                value="{{ $from }}" class="form-control"></label>
            <label>{{ __('to') }} <input name="settings[{{ $axis }}_to]" type="number" step="any" value="{{ $to }}"
                class="form-control"></label>
            <label>{{ __('step') }} <input name="settings[{{ $axis }}_step]" type="number" step="any" min="0" value="1"
                class="form-control"></label>
            <label>{{ __('label') }} <input name="settings[{{ $axis }}_label]" maxlength="20" value="{{ $label }}"
                class="form-control" dir="auto"></label>
        </fieldset>
    @endforeach
    <label>{{ __('Scale') }}
        <select name="settings[equal]" class="form-select" data-number>
            <option value="1" selected>{{ __('Same scale both ways: circles are round') }}</option>
            <option value="0">{{ __('Each axis fills the page') }}</option>
        </select></label>
</div>
<div class="settings" data-settings="number-line">
    <div class="settings-row">
        <label>{{ __('from') }} <input name="settings[from]" type="number" step="any" value="0"
            class="form-control"></label>
        <label>{{ __('to') }} <input name="settings[to]" type="number" step="any" value="10"
            class="form-control"></label>
        <label>{{ __('step') }} <input name="settings[step]" type="number" step="any" min="0" value="1"
            class="form-control"></label>
        <label>{{ __('parts') }} <input name="settings[parts]" type="number" step="1" min="1" max="12" value="1"
            class="form-control"></label>
    </div>
</div>
<div class="settings" data-settings="picture">
    <div class="settings-row">
        <label class="wide">{{ __('Picture (PNG, JPEG, WebP, GIF) or PDF') }}
            <input id="handout-picture" class="form-control" type="file" name="picture"
                accept="image/png,image/jpeg,image/webp,image/gif,application/pdf"></label>
        <label>{{ __('PDF page') }} <input name="pdf_page" type="number" min="1" step="1" value="1"
            class="form-control"></label>
    </div>
</div>
