<details id="closeup-reader" class="closeup-reader"><summary>{{ __('Suggested feedback') }}</summary><div
    id="closeup-reading"></div></details>
<fieldset class="closeup-layers">
    <legend>{{ __('Seen here') }}</legend>
    <x-choice data-layer="coach" checked> {{ __('Coach ink') }}</x-choice>
    <x-choice data-layer="private" checked> {{ __('Private notes') }}</x-choice>
</fieldset>
<p class="panel-files">
    <span>{{ __('Save as') }}</span>
    @foreach (['png' => 'PNG', 'svg' => 'SVG', 'pdf' => 'PDF', 'inkml' => 'InkML'] as $format => $name)
        <a data-format="{{ $format }}" download>{{ $name }}</a>
    @endforeach
</p>
