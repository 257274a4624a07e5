<section id="lead" class="lead bench" aria-labelledby="lead-title" hidden>
    <div class="lead-head">
        <h2 id="lead-title">{{ __('Lead canvas') }}</h2>
        <span id="lead-saved" class="lead-saved" role="status">{{ __('Saved') }}</span>
        <button class="btn btn-outline-slate ms-auto" data-do="lead">{{ __('Back to the grid') }} <kbd>F</kbd></button>
    </div>
    @include('bench.bench', ['label' => __('Lead canvas'), 'lead' => true, 'files' => '/desk/'.$session->id.'/work/CANVAS.FORMAT'])
    <dialog id="pieces" class="small-window" aria-labelledby="pieces-title">
        <form method="dialog">
            <h2 id="pieces-title">{{ __('Hand out as pieces') }}</h2>
            <p class="form-text">{{ __('What is chosen goes onto every canvas of this prompt, above the ink. No work is lost, and late-comers get it too.') }}</p>
            <label for="pieces-alt">{{ __('What is it? Students who do not see it hear this.') }}</label>
            <input id="pieces-alt" name="alt" class="form-control" maxlength="280" required dir="auto">
            <fieldset>
                <legend>{{ __('What students do with it') }}</legend>
                <label class="choice"><input type="radio" name="how" value="move" checked> {{ __('Move, turn and copy it') }}</label>
                <label class="choice"><input type="radio" name="how" value="stack"> {{ __('Take as many copies as they like (a stack)') }}</label>
                <label class="choice"><input type="radio" name="how" value="locked"> {{ __('Nothing: it is locked in place') }}</label>
            </fieldset>
            <div class="maths-end">
                <button type="button" class="btn btn-outline-slate" data-cancel>{{ __('Cancel') }}</button>
                <button class="btn btn-go"><x-icon name="send" /> {{ __('Hand out to everybody') }}</button>
            </div>
        </form>
    </dialog>
</section>
