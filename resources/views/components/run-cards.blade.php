{{-- Quick asks as cards: added, written, put in order by drag or by keys, with what is looked at between them. --}}
@php($kinds = ['choice' => __('Choices'), 'number' => __('Number'), 'maths' => __('Maths'), 'text' => __('Words'),
    'scale' => __('1 to 5'), 'sure' => __('How sure?'), 'worked' => __('Worked answer'),
    'work' => __('A student’s work')])
<div {{ $attributes->class('run-cards') }}>
    <ol class="run-card-list" aria-label="{{ __('Cards, in order') }}"></ol>
    <div class="run-card-add"><button type="button" class="btn btn-outline-slate" data-cards="add"><x-icon name="plus-lg" />
        {{ __('Add a card') }}</button></div>
    <details class="run-card-paste"><summary>{{ __('Paste questions as lines') }}</summary>
        <label>{{ __('One question per line: question | answer | seconds') }}
            <textarea class="form-control" data-cards="lines" rows="4" dir="auto" autocomplete="off"
                placeholder="{{ __('Which way does it turn? | up; *down | 20 s') }}"></textarea></label>
        <p class="form-text">{{ __('An answer is 80 N, or choices with ; between and * before those that are right, or text: pivot / hinge, maths: 2x, scale, sure.') }}</p>
        <button type="button" class="btn btn-outline-slate" data-cards="take">{{ __('Make cards of them') }}</button>
    </details>
    <p class="problem" role="alert" data-cards="problem" hidden></p>
    <template data-cards="card">
        <li class="run-card">
            <div class="run-card-head">
                <button type="button" class="btn btn-icon run-card-grip"
                    title="{{ __('Drag to reorder, or use the arrow keys') }}"><x-icon name="grip-vertical" /><span
                    class="visually-hidden">{{ __('Drag to reorder, or use the arrow keys') }}</span></button>
                <b class="run-card-n"></b>
                <select class="form-select" data-card="kind" aria-label="{{ __('What kind') }}">
                    @foreach ($kinds as $kind => $word)<option value="{{ $kind }}">{{ $word }}</option>@endforeach</select>
                <label class="run-card-seconds"><input type="number" class="form-control" data-card="seconds" min="5"
                    max="3600" inputmode="numeric" aria-label="{{ __('Seconds') }}"> {{ __('s') }}</label>
                <button type="button" class="btn btn-icon ms-auto" data-card="out" title="{{ __('Remove the card') }}"><x-icon
                    name="trash3" /><span class="visually-hidden">{{ __('Remove the card') }}</span></button>
            </div>
            <textarea class="form-control" data-card="words" rows="2" maxlength="500" dir="auto"
                data-for="choice number maths text scale sure worked" aria-label="{{ __('Words') }}"
                placeholder="{{ __('What do you want to ask?') }}"></textarea>
            <p class="form-text" data-for="work">{{ __('Shows the next work in your line-up, or one of each answer to the question before.') }}</p>
            <div class="run-card-choices" data-for="choice"></div>
            <button type="button" class="btn btn-sm btn-outline-slate" data-card="choice" data-for="choice"><x-icon
                name="plus-lg" /> {{ __('Choice') }}</button>
            <label data-for="number maths text">{{ __('Right answer, if there is one') }}
                <input class="form-control" data-card="right" maxlength="200" dir="auto" autocomplete="off"></label>
            <div class="run-card-foot">
                <label data-for="choice number maths text scale sure">{{ __('Then') }}
                    <select class="form-select" data-card="look">
                        @foreach (Crag\Asks\Look::cases() as $look)<option
                            value="{{ $look->value }}">{{ __($look->word()) }}</option>@endforeach</select></label>
                <label class="btn btn-outline-slate run-card-file" data-for="choice number maths text scale sure worked"><x-icon
                    name="image" /> <span>{{ __('Picture') }}</span> <input type="file" class="visually-hidden"
                    data-card="file" accept="image/*"></label>
                <img class="run-card-picture" data-card="picture" alt="{{ __('The card’s picture') }}" hidden>
                <button type="button" class="btn btn-sm btn-link" data-card="no-picture"
                    hidden>{{ __('No picture') }}</button>
            </div>
        </li>
    </template>
    <template data-cards="choice">
        <div class="run-card-choice"><label class="choice"><input type="checkbox" data-choice="right"><span
            class="visually-hidden">{{ __('Right') }}</span></label>
            <input class="form-control" data-choice="words" maxlength="300" dir="auto" autocomplete="off"
                aria-label="{{ __('Choice') }}">
            <button type="button" class="btn btn-icon" data-choice="out" title="{{ __('Remove the choice') }}"><x-icon
                name="x-lg" /><span class="visually-hidden">{{ __('Remove the choice') }}</span></button></div>
    </template>
</div>
