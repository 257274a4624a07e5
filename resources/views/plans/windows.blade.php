<dialog id="ready-window" class="small-window ready-window" aria-labelledby="ready-title">
    <h2 id="ready-title">{{ __('Ready-made prompts') }}</h2>
    <ol id="own-ready" class="own-ready" aria-label="{{ __('Yours') }}" hidden></ol>
    <div class="ready-list">
        @foreach ($ready as $key => [$name, $for])
            <button class="ready-one" data-ready="{{ $key }}"><b>{{ $name }}</b> <span>{{ $for }}</span></button>
        @endforeach
    </div>
    <form method="dialog" class="maths-end"><button class="btn btn-outline-slate">{{ __('Close') }}</button></form>
</dialog>
<x-window id="pages-window" class="pages-window" :title="__('Which pages?')">
    <div id="pages-pictures" class="pages-pictures"></div>
        <label for="pages-choice">{{ __('Pages, such as 1-6, 9, or all') }}</label>
        <input id="pages-choice" class="form-control" autocomplete="off">
        <fieldset>
            <legend class="h6">{{ __('What they become') }}</legend>
            <x-choice type="radio" name="as" value="pages" checked>
                {{ __('A page: one prompt with all of them') }}</x-choice>
            <x-choice type="radio" name="as" value="prompts"> {{ __('A prompt of its own') }}</x-choice>
        </fieldset>
        <p id="pages-problem" class="problem" role="alert"></p>
    <x-slot:actions><button class="btn btn-go">{{ __('Add them') }}</button></x-slot>
</x-window>
<x-window id="value-window" :title="__('Different for each student')">
    <div class="settings-row">
        <label>{{ __('from') }} <input id="value-from" class="form-control" type="number" step="any"></label>
        <label>{{ __('to') }} <input id="value-to" class="form-control" type="number" step="any"></label>
        <label>{{ __('in steps of') }} <input id="value-step" class="form-control" type="number" step="any" min="0"
            value="1"></label>
    </div>
    <label for="value-list">{{ __('or one of these, with commas between') }}</label>
    <input id="value-list" class="form-control" maxlength="200" autocomplete="off" placeholder="3, 5, 7">
    <fieldset>
        <legend class="h6">{{ __('Only where') }}</legend>
        <div id="conditions"></div>
        <button type="button" id="condition-add" class="btn btn-sm btn-outline-slate"><x-icon name="plus-lg" />
            {{ __('Add a condition') }}</button>
    </fieldset>
    <x-slot:actions><button class="btn btn-outline-slate" value="same">{{ __('Same for everyone') }}</button>
        <button class="btn btn-go" value="take">{{ __('Set it') }}</button></x-slot>
</x-window>
<template id="condition-template">
    <div class="condition">
        <input class="form-control" data-condition="one" maxlength="60" aria-label="{{ __('Value') }}"
            autocomplete="off">
        <select class="form-select" data-condition="sign" aria-label="{{ __('Comparison') }}">
            @foreach (['≠' => __('is not'), '<' => __('is less than'), '≤' => __('is at most'),
                '>' => __('is more than'), '≥' => __('is at least'), '=' => __('is')] as $sign => $word)<option
                value="{{ $sign }}">{{ $word }}</option>@endforeach
        </select>
        <input class="form-control" data-condition="two" maxlength="60" aria-label="{{ __('Compared with') }}"
            autocomplete="off">
        <button type="button" class="mini" data-condition="out" title="{{ __('Remove it') }}"><x-icon
            name="x-lg" /><span class="visually-hidden">{{ __('Remove it') }}</span></button>
    </div>
</template>
<x-window id="conflict-window" :title="__('Changed on another page')" cancel="">
    <p id="conflict-words"></p>
        <h3 class="h6">{{ __('Saved there now') }}</h3>
        <pre id="conflict-theirs" class="conflict"></pre>
        <h3 class="h6">{{ __('You have') }}</h3>
        <pre id="conflict-mine" class="conflict"></pre>
    <x-slot:actions><button class="btn btn-outline-slate" value="theirs">{{ __('Take theirs') }}</button>
            <button class="btn btn-go" value="mine">{{ __('Keep mine') }}</button></x-slot>
</x-window>
@include('bench.pieces', [
    'title' => __('Make pieces of it'), 'icon' => 'puzzle', 'do' => __('Make pieces'),
    'effect' => __('The selection becomes something students can work with.'),
])
<template id="plan-one-template">
    <li draggable="true">
        <input type="checkbox" class="plan-pick" aria-label="{{ __('Choose this prompt') }}">
        <button class="plan-one" data-do="open"><span class="plan-one-n"></span><img alt="" width="112" height="70"
            loading="lazy"><span class="plan-one-words"></span></button>
        <span class="plan-one-do">
            <button class="mini" data-do="up" title="{{ __('One place up (Alt+↑)') }}"><x-icon name="arrow-up" /><span
                class="visually-hidden">{{ __('Move up') }}</span></button>
            <button class="mini" data-do="down"
                title="{{ __('One place down (Alt+↓)') }}"><x-icon name="arrow-down" /><span
                class="visually-hidden">{{ __('Move down') }}</span></button>
            <button class="mini" data-do="copy" title="{{ __('Make a copy below it') }}"><x-icon name="copy" /><span
                class="visually-hidden">{{ __('Make a copy below it') }}</span></button>
            <button class="mini" data-do="keep" title="{{ __('Keep as my ready-made') }}"><x-icon
                name="bookmark" /><span class="visually-hidden">{{ __('Keep as my ready-made') }}</span></button>
            <button class="mini" data-do="out" title="{{ __('Remove it from the plan') }}"><x-icon name="trash3" /><span
                class="visually-hidden">{{ __('Remove it from the plan') }}</span></button>
        </span>
    </li>
</template>
<template id="question-template">
    <li class="question-edit">
        <div class="question-edit-head"><b class="question-edit-n"></b> <span class="question-edit-kind"></span>
            <button type="button" class="mini ms-auto" data-do="up"
                title="{{ __('Move up') }}"><x-icon name="arrow-up" /><span
                class="visually-hidden">{{ __('Move up') }}</span></button>
            <button type="button" class="mini" data-do="out"
                title="{{ __('Remove the question') }}"><x-icon name="trash3" /><span
                class="visually-hidden">{{ __('Remove the question') }}</span></button></div>
        <label>{{ __('Question') }} <input class="form-control" data-field="words" maxlength="500" dir="auto"
            autocomplete="off"></label>
        <div data-kinds="choice choices marked" class="question-options"></div>
        <div data-kinds="choice choices marked" class="question-row"><button type="button" class="btn btn-sm btn-outline-slate"
            data-do="option"><x-icon name="plus-lg" /> {{ __('Choice') }}</button>
            <span data-kinds="choice choices"><x-choice data-field="shuffle">
                {{ __('Other order for each student') }}</x-choice></span>
            <span data-kinds="marked"><x-choice data-field="several">
                {{ __('More than one may be marked') }}</x-choice></span></div>
        <label data-kinds="tick">{{ __('Right answer') }} <select class="form-select" data-field="tick-right">
                <option value="">{{ __('no right or wrong') }}</option>
                <option value="ticked">{{ __('ticked') }}</option>
                <option value="empty">{{ __('left empty') }}</option>
            </select></label>
        <label data-kinds="state">{{ __('Piece') }} <select class="form-select" data-field="piece">
                @foreach (Crag\Manipulative\ManipulativeKind::cases() as $piece)<option
                    value="{{ $piece->value }}">{{ __($piece->word()) }}</option>@endforeach
            </select></label>
        <label data-kinds="state">{{ __('What is asked') }} <select class="form-select" data-field="fact">
                @foreach (Crag\Manipulative\ManipulativeKind::cases() as $piece)
                    @foreach ($piece->rules()::factWords() as $fact => $word)<option value="{{ $fact }}"
                        data-piece="{{ $piece->value }}">{{ __($word) }}</option>@endforeach
                @endforeach
            </select></label>
        <label data-kinds="number maths state graph">{{ __('Right answer') }} <input class="form-control" data-field="right"
            maxlength="300" dir="ltr" autocomplete="off" spellcheck="false"
            placeholder="{{ __('240 N m, 2(x+3), x = 2 or x = −2, (2, 3), {a*b}') }}"></label>
        <label data-kinds="text">{{ __('Right answers, one per line') }}
            <textarea class="form-control" data-field="rights" rows="2" dir="auto"
                placeholder="{{ __('the pivot, or *pivot* for any words around it') }}"></textarea></label>
        <label data-kinds="text">{{ __('The answer is') }} <select class="form-select" data-field="reads">
                @foreach (Crag\Prompt\Question\TextReading::cases() as $reads)<option
                    value="{{ $reads->value }}">{{ __($reads->word()) }}</option>@endforeach
            </select></label>
        <div data-kinds="text" class="question-loose">
            <x-choice data-field="loose-spelling"> {{ __('Forgive small spelling slips') }}</x-choice>
            <x-choice data-field="loose-articles"> {{ __('Ignore “a”, “an” and “the”') }}</x-choice>
            <x-choice data-field="loose-order"> {{ __('Words in any order') }}</x-choice>
        </div>
        <label data-kinds="number maths" class="choice"><input type="checkbox" data-field="by_hand">
            {{ __('Students write it by hand in its box: it’s read, and they confirm it') }}</label>
        <details data-kinds="number maths"
            class="question-exact"><summary>{{ __('How exact, and in what form') }}</summary>
            <div data-kinds="number" class="question-row">
                <label>{{ __('Tolerance') }} <select class="form-select" data-field="tolerance-kind"><option
                    value="none">{{ __('none') }}</option><option value="within">{{ __('up to') }}</option><option
                    value="percent">{{ __('per cent') }}</option></select></label>
                <label>{{ __('of') }} <input class="form-control" data-field="tolerance-most" maxlength="40"
                    autocomplete="off"></label>
            </div>
            <div data-kinds="number maths" class="question-row">
                <label>{{ __('Form') }} <select class="form-select" data-field="form-kind">
                    @foreach (Crag\Maths\Comparing\FormKind::cases() as $form)<option value="{{ $form->value }}"
                        data-for="{{ in_array($form, [Crag\Maths\Comparing\FormKind::Any,
                        Crag\Maths\Comparing\FormKind::Surd], true) ? 'number maths'
                        : ($form === Crag\Maths\Comparing\FormKind::Expanded ? 'maths'
                        : 'number') }}">{{ __($form->word()) }}</option>@endforeach
                </select></label>
                <label>{{ __('digits') }} <input class="form-control" type="number" min="0" max="12"
                    data-field="form-digits"></label>
            </div>
            <label data-kinds="number" class="choice"><input type="checkbox" data-field="own_unit">
                {{ __('In exactly this unit') }}</label>
        </details>
        <div data-kinds="scale" class="question-row">
            <label>{{ __('up to') }} <input class="form-control" type="number" min="2" max="10" data-field="to"></label>
            <label>{{ __('lowest means') }} <input class="form-control" maxlength="60" data-field="low"
                dir="auto"></label>
            <label>{{ __('highest means') }} <input class="form-control" maxlength="60" data-field="high"
                dir="auto"></label>
        </div>
        <div class="question-row"><button type="button" class="btn btn-sm btn-outline-slate"
            data-do="spot"><x-icon name="geo-alt" /> <span></span></button> <span
            class="question-where form-text"></span></div>
    </li>
</template>
<template id="option-template">
    <div class="option-edit">
        <input data-option="right" aria-label="{{ __('Right') }}" title="{{ __('Right') }}">
        <input class="form-control" data-option="words" maxlength="300" dir="auto"
            aria-label="{{ __('Words of the choice') }}" autocomplete="off">
        <label class="mini option-picture" title="{{ __('A picture for it') }}"><x-icon name="image" /><span
            class="visually-hidden">{{ __('A picture for it') }}</span><input type="file" class="visually-hidden"
            data-option="picture" accept="image/*"></label>
        <button type="button" class="mini" data-option="out" title="{{ __('Remove it') }}"><x-icon name="x-lg" /><span
            class="visually-hidden">{{ __('Remove it') }}</span></button>
    </div>
</template>
<template id="aspect-template">
    <li class="aspect" data-first="{{ __('not there') }}|{{ __('complete') }}">
        <div class="rows-row"><button type="button" class="btn btn-icon aspect-grip"
            title="{{ __('Drag to reorder, or use the arrow keys') }}"><x-icon name="grip-vertical" /><span
            class="visually-hidden">{{ __('Drag to reorder, or use the arrow keys') }}</span></button>
            <input class="form-control" data-aspect="name" maxlength="40" dir="auto" autocomplete="off"
                aria-label="{{ __('What you check') }}" placeholder="{{ __('Method') }}">
            <select class="form-select" data-aspect="scale" aria-label="{{ __('Levels') }}"><option
                value="strata">{{ __('Strata') }}</option><option value="own">{{ __('own levels') }}</option></select>
            <button type="button" class="btn btn-icon" data-aspect="out" title="{{ __('Remove') }}"><x-icon
                name="x-lg" /><span class="visually-hidden">{{ __('Remove') }}</span></button></div>
        <x-rows :words="__('Levels, lowest first')" :one="__('Level')" :add="__('Level')" :longest="40" />
    </li>
</template>
<template id="task-template">
    <li class="planned-task">
        <div class="rows-row"><button type="button" class="btn btn-icon rows-grip"
            title="{{ __('Drag to reorder, or use the arrow keys') }}"><x-icon name="grip-vertical" /><span
            class="visually-hidden">{{ __('Drag to reorder, or use the arrow keys') }}</span></button>
            <b class="planned-task-kind"></b>
            <input class="form-control" data-task="with" maxlength="20" dir="auto" autocomplete="off"
                aria-label="{{ __('Which word or unit') }}" placeholder="{{ __('N') }}">
            <button type="button" class="btn btn-icon ms-auto" data-task="out" title="{{ __('Remove') }}"><x-icon
                name="x-lg" /><span class="visually-hidden">{{ __('Remove') }}</span></button></div>
        <input class="form-control" data-task="words" maxlength="120" dir="auto" autocomplete="off"
            aria-label="{{ __('What students read') }}">
    </li>
</template>
<x-window id="practice-sheets" class="practice-window" :title="__('Three students’ sheets')" :cancel="__('Close')">
    <div id="practice-sheets-body"></div>
    <x-slot:actions><span></span></x-slot>
</x-window>
<x-window id="practice-print" :title="__('Print sheets')">
    <label for="practice-for">{{ __('Who for') }}</label>
    <select id="practice-for" name="for" class="form-select">
        <option value="">{{ __('Without names') }}</option>
        @foreach ($rosters as $roster)<option value="{{ $roster->id }}">{{ $roster->name }}</option>@endforeach
    </select>
    <label for="practice-copies">{{ __('How many, without names') }}</label>
    <input id="practice-copies" name="n" class="form-control" type="number" min="1" max="40" value="1">
    <x-choice name="key" value="1" checked> {{ __('With the key, on pages of its own') }}</x-choice>
    <x-slot:actions><button class="btn btn-go"><x-icon name="printer" /> {{ __('Print') }}</button></x-slot>
</x-window>
