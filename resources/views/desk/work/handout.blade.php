@php($present = $current->backdrop)
@php($samples = ['axes' => 'x_from=-5&x_to=10&x_step=1&y_from=-5&y_to=5&y_step=1&x_label=&y_label=',
    'number-line' => 'from=0&to=10&step=1&parts=1'])
<x-panel id="handout" :title="__('Hand out')">
    <form id="handout-form" action="{{ route('desk.hand-out', $session) }}"
        data-give="/desk/{{ $session->id }}/prompt/PROMPT/hand-out"
        data-picture="{{ route('desk.picture', $session, false) }}">
        <p id="handout-prompt" class="handout-prompt"></p>
        <div class="handout-what" role="radiogroup" aria-label="{{ __('What') }}">
            @foreach (['words' => ['pencil', __('Words and backdrop')], 'lead' => ['easel', __('Lead canvas')],
                'picture' => ['image', __('A picture')],
                'prompt' => ['arrow-repeat', __('The prompt again')]] as $what => [$icon, $word])
                <label class="handout-kind"><input type="radio" name="what" value="{{ $what }}" @checked($loop->first)>
                    <x-icon :name="$icon" /> {{ $word }}</label>
            @endforeach
        </div>
        <div data-for="words">
            <label for="handout-words">{{ __('Words') }}</label>
            <textarea id="handout-words" name="words" class="form-control" rows="3" maxlength="2000"
                dir="auto">{{ $current->words }}</textarea>
            <fieldset class="backdrops">
                <legend>{{ __('Backdrop') }}</legend>
                @foreach (Crag\Prompt\Backdrop\BackdropKind::cases() as $kind)
                    <label class="backdrop-choice">
                        <input type="radio" name="backdrop" value="{{ $kind->value }}"
                            @checked($kind === $present->kind)>
                        @if ($kind === Crag\Prompt\Backdrop\BackdropKind::Picture)
                            <span class="backdrop-sample"><x-icon name="image" /></span>
                        @else
                            <img class="backdrop-sample"
                                src="{{ route('backdrop') }}?kind={{ $kind->value }}&{{ $samples[$kind->value] ?? '' }}"
                                alt="" loading="lazy">
                        @endif
                        {{ __($kind->word()) }}
                    </label>
                @endforeach
            </fieldset>
            @include('desk.work.backdrop-settings')
            <fieldset>
                <legend>{{ __('Where') }}</legend>
                <x-choice type="radio" name="place" value="under" checked>
                    {{ __('Under their work') }}</x-choice>
                <x-choice type="radio" name="place" value="next">
                    {{ __('As the next prompt, on a new canvas') }}</x-choice>
            </fieldset>
        </div>
        <div data-for="lead">
            <fieldset>
                <legend>{{ __('Which pages') }}</legend>
                <x-choice type="radio" name="which" value="this" checked>
                    {{ __('The page you have open') }}</x-choice>
                <x-choice type="radio" name="which" value="all"> {{ __('All pages') }}</x-choice>
                <x-choice type="radio" name="which" value="some"> {{ __('These:') }}
                    <input name="pages" class="form-control handout-pages" placeholder="1, 3-4" maxlength="100"></x-choice>
            </fieldset>
        </div>
        <div data-for="picture">
            <div class="settings-row">
                <label class="wide">{{ __('Picture (PNG, JPEG, WebP, GIF) or PDF') }}
                    <input id="give-picture" class="form-control" type="file" name="give_picture"
                        accept="image/png,image/jpeg,image/webp,image/gif,application/pdf"></label>
                <label>{{ __('PDF page') }} <input name="give_pdf_page" type="number" min="1" step="1" value="1"
                    class="form-control"></label>
            </div>
            <p class="form-text">{{ __('Or paste a picture here, or drop a file anywhere in this panel.') }}</p>
        </div>
        <div data-for="lead picture prompt">
            <fieldset>
                <legend>{{ __('How') }}</legend>
                <x-choice type="radio" name="mode" value="backdrop" checked>
                    <b>{{ __('Backdrop') }}</b> <span class="form-text">{{ __('fixed under their ink') }}</span></x-choice>
                <label class="choice" data-for="lead"><input type="radio" name="mode" value="pieces">
                    <b>{{ __('Pieces') }}</b> <span
                    class="form-text">{{ __('theirs to move and change') }}</span></label>
                <x-choice type="radio" name="mode" value="fresh"> <b>{{ __('Fresh start') }}</b>
                    <span
                    class="form-text">{{ __('on a cleared canvas; the old work stays in Replay and can be restored') }}</span></x-choice>
            </fieldset>
            <div data-for-mode="pieces"><label
                for="handout-alt">{{ __('What is it? (Read aloud to students who can’t see it.)') }}</label><input
                id="handout-alt" name="alt" class="form-control" maxlength="280" dir="auto"></div>
            @include('desk.work.recipients')
        </div>
        <div class="handout-end">
            <div class="handout-said">
                <figure id="handout-preview"><img alt="{{ __('What will lie on an empty canvas') }}" hidden>
                    <figcaption class="form-text" role="status"></figcaption></figure>
                <p id="handout-effect" class="form-text"></p>
            </div>
            <p id="handout-problem" class="problem" role="alert"></p>
            <button class="btn btn-go btn-lg w-100"><x-icon name="send" />
                <span id="handout-do">{{ __('Hand out to everyone') }}</span></button>
        </div>
    </form>
    @include('desk.work.handouts')
</x-panel>
