{{-- What is chosen on the teacher's canvas becomes pieces: here, or on everybody's canvas. --}}
<dialog id="pieces" class="small-window" aria-labelledby="pieces-title">
    <form method="dialog">
        <h2 id="pieces-title">{{ $title }}</h2>
        <p class="form-text">{{ $effect }}</p>
        <label for="pieces-alt">{{ __('What is it? (Read aloud to students who can’t see it.)') }}</label>
        <input id="pieces-alt" name="alt" class="form-control" maxlength="280" required dir="auto">
        <fieldset>
            <legend class="h6">{{ __('What students do with it') }}</legend>
            <label class="choice"><input type="radio" name="how" value="move" checked>
                {{ __('Move, turn and copy it') }}</label>
            <label class="choice"><input type="radio" name="how" value="stack">
                {{ __('Take as many copies as they like (a stack)') }}</label>
            <label class="choice"><input type="radio" name="how" value="locked">
                {{ __('Nothing: it’s locked in place') }}</label>
        </fieldset>
        @isset($to) @include($to) @endisset
        <div class="maths-end">
            <button type="button" class="btn btn-outline-slate" data-cancel>{{ __('Cancel') }}</button>
            <button class="btn btn-go"><x-icon :name="$icon" /> {{ $do }}</button>
        </div>
    </form>
</dialog>
