{{-- What is chosen on the teacher's canvas becomes pieces: here, or on everybody's canvas. --}}
<x-window id="pieces">
    <x-slot:title>{{ $title }}</x-slot>
    <p class="form-text">{{ $effect }}</p>
        <label for="pieces-alt">{{ __('What is it? (Read aloud to students who can’t see it.)') }}</label>
        <input id="pieces-alt" name="alt" class="form-control" maxlength="280" required dir="auto">
        <fieldset>
            <legend class="h6">{{ __('What students do with it') }}</legend>
            <x-choice type="radio" name="how" value="move" checked>
                {{ __('Move, turn and copy it') }}</x-choice>
            <x-choice type="radio" name="how" value="stack">
                {{ __('Take as many copies as they like (a stack)') }}</x-choice>
            <x-choice type="radio" name="how" value="locked">
                {{ __('Nothing: it’s locked in place') }}</x-choice>
            <x-choice type="radio" name="how" value="area">
                {{ __('Sort pieces into it') }}</x-choice>
        </fieldset>
        <div class="pieces-takes">
            <label for="pieces-takes">{{ __('Which pieces belong here? One name on each line.') }}</label>
            <textarea id="pieces-takes" name="takes" class="form-control" rows="3" dir="auto"></textarea>
            <p class="form-text">{{ __('Students don’t see this. Each tile shows how many are in the right place.') }}</p>
        </div>
        @isset($to) @include($to) @endisset
    <x-slot:actions><button class="btn btn-go"><x-icon :name="$icon" /> {{ $do }}</button></x-slot>
</x-window>
