@php($present = $current->backdropValue())
@php($samples = ['axes' => 'x_from=-5&x_to=10&x_step=1&y_from=-5&y_to=5&y_step=1&x_label=&y_label=', 'number-line' => 'from=0&to=10&step=1&parts=1'])
<section id="handout" class="panel" aria-labelledby="handout-title" hidden>
    <div class="panel-head">
        <h2 id="handout-title" tabindex="-1">{{ __('Hand out') }}</h2>
        <button class="btn btn-icon ms-auto" data-close title="{{ __('Close (Esc)') }}"><x-icon name="x-lg" /><span class="visually-hidden">{{ __('Close') }}</span></button>
    </div>
    <form hx-post="{{ route('desk.hand-out', $session) }}" hx-encoding="multipart/form-data" hx-swap="none">
        <label for="handout-words">{{ __('Words') }}</label>
        <textarea id="handout-words" name="words" class="form-control" rows="3" maxlength="2000" dir="auto">{{ $current->words }}</textarea>
        <fieldset class="backdrops">
            <legend>{{ __('Backdrop') }}</legend>
            @foreach (Crag\Prompt\BackdropKind::cases() as $kind)
                <label class="backdrop-choice">
                    <input type="radio" name="backdrop" value="{{ $kind->value }}" @checked($kind === $present->kind)>
                    @if ($kind === Crag\Prompt\BackdropKind::Picture)
                        <span class="backdrop-sample"><x-icon name="image" /></span>
                    @else
                        <img class="backdrop-sample" src="{{ route('backdrop') }}?kind={{ $kind->value }}&{{ $samples[$kind->value] ?? '' }}" alt="" loading="lazy">
                    @endif
                    {{ __($kind->word()) }}
                </label>
            @endforeach
        </fieldset>
        @include('desk.backdrop-settings')
        <fieldset>
            <legend>{{ __('Where') }}</legend>
            <label class="choice"><input type="radio" name="place" value="under" checked> {{ __('Under the present work') }}</label>
            <label class="choice"><input type="radio" name="place" value="next"> {{ __('As the next prompt, on a new canvas') }}</label>
        </fieldset>
        <div class="handout-end">
            <p id="handout-effect" class="form-text"></p>
            <p id="handout-problem" class="problem" role="alert"></p>
            <button class="btn btn-go btn-lg w-100"><x-icon name="send" /> {{ __('Hand out to everybody') }}</button>
        </div>
    </form>
</section>
