{{-- A line to type in, with its words and, beside it, what was refused. --}}
@props(['name', 'id' => str_replace('_', '-', $name), 'words', 'hint' => null])
<label for="{{ $id }}">{{ $words }}</label>
<input id="{{ $id }}" name="{{ $name }}"
    {{ $attributes->class(['form-control', 'is-invalid' => $errors->has($name)]) }}
    @if ($errors->has($name)) aria-describedby="{{ $id }}-problem" @endif>
@error($name) <p id="{{ $id }}-problem" class="problem" role="alert">{{ $message }}</p> @enderror
@if ($hint !== null) <p class="form-text">{{ $hint }}</p> @endif
