@use('Crag\Session\Rules\Deed')
{{-- Quick ask: made here, answered on every student's page. --}}
<x-panel id="ask" :title="__('Quick ask')">
    <div id="ask-body"></div>
    @if ($deeds->may(Deed::Ask))
        <form id="ask-form">
            <label for="ask-words">{{ __('Ask') }}</label>
            <input id="ask-words" name="words" class="form-control mb-2" maxlength="300" dir="auto" autocomplete="off"
                placeholder="{{ __('You can leave this empty and ask out loud') }}">
            <div class="ask-quick" role="group" aria-label="{{ __('Ask now') }}">
                @foreach (['abcd' => ['C', 'ui-radios', __('A, B, C or D')], 'yesno' => ['Y', 'check2', __('Yes or no')],
                    'number' => ['N', '123', __('A number')], 'text' => ['W', 'chat-left-text', __('A few words')],
                    'scale' => ['S', 'bar-chart', __('1 to 5')],
                    'sure' => ['H', 'emoji-neutral', __('How sure?')],
                    'drawing' => ['D', 'brush', __('A drawing')]] as $kind => [$key, $icon, $word])
                    <button type="button" class="ask-kind" data-do="ask-now" data-kind="{{ $kind }}"
                        data-key="{{ strtolower($key) }}"><x-icon :name="$icon" /> {{ $word }} <kbd>{{ $key }}</kbd></button>
                @endforeach
            </div>
            <div class="settings-row ask-row">
                <label>{{ __('Time') }}
                    <select name="seconds" class="form-select">
                        <option value="">{{ __('until I close it') }}</option>
                        @foreach ([15, 30, 60, 120, 300] as $seconds)<option
                            value="{{ $seconds }}">{{ $seconds < 60 ? __(':n s', ['n' => $seconds]) : __(':n min',
                            ['n' => $seconds / 60]) }}</option>@endforeach
                    </select></label>
                @if ($deeds->may(Deed::ChooseScreen)) <x-choice name="screen" value="1" checked>
                    {{ __('On the class screen too') }}</x-choice> @endif
                <x-choice name="anonymous" value="1">
                    {{ __('Anonymous, even to me') }}</x-choice>
                <label class="choice" id="ask-chosen" hidden><input type="checkbox" name="chosen" value="1" checked>
                    <span></span></label>
            </div>
            <label class="ask-base">{{ __('A drawing starts on') }}
                <select name="pad" class="form-select">
                    @foreach (Crag\Prompt\Backdrop\UsualPaper::cases() as $paper)<option
                        value="{{ $paper->value }}">{{ __($paper->word()) }}</option>@endforeach
                    <option value="prompt">{{ __('the prompt’s page') }}</option>
                    <option value="lead">{{ __('a copy of my lead canvas') }}</option>
                    <option value="lead-part">{{ __('the part of my lead canvas I see') }}</option>
                    <option value="picture">{{ __('a picture…') }}</option></select></label>
            <label id="ask-picture" class="ask-base" hidden>{{ __('Picture') }}
                <input type="file" class="form-control" accept="image/*"></label>
            <details id="ask-own"><summary>{{ __('Choices of your own, maths, a right answer') }}</summary>
                <div class="ask-kinds" role="radiogroup" aria-label="{{ __('What kind') }}">
                    @foreach (['choice' => __('One choice'), 'choices' => __('Several choices'),
                        'number' => __('Number'), 'maths' => __('Maths'),
                        'text' => __('Short text')] as $kind => $word)
                        <label class="handout-kind"><input type="radio" name="kind" value="{{ $kind }}"
                            @checked($loop->first)> {{ $word }}</label>
                    @endforeach
                </div>
                <div data-ask-for="choice choices">
                    <label
                        for="ask-options">{{ __('Choices, one per line. Put a star before the right ones.') }}</label>
                    <textarea id="ask-options" name="options" class="form-control mb-2" rows="4"
                        dir="auto">{{ "A\nB\nC\nD" }}</textarea>
                </div>
                <div data-ask-for="number maths text" hidden>
                    <label for="ask-right">{{ __('Right answer, if there is one') }}</label>
                    <input id="ask-right" name="right" class="form-control mb-2" maxlength="200" dir="auto"
                        autocomplete="off">
                </div>
                <button class="btn btn-go btn-lg w-100"><x-icon name="question-circle" /> {{ __('Ask now') }}</button>
            </details>
            <p id="ask-problem" class="problem" role="alert"></p>
        </form>
        <details class="mb-2" id="ask-run"><summary>{{ __('A run of several') }} <b id="ask-run-n"></b></summary>
            <x-run-cards id="run-cards" />
            <form id="run-form" class="run-form">
                <div class="settings-row ask-row"><label>{{ __('Seconds for each') }}
                    <input type="number" name="seconds" class="form-control" min="5" max="3600" value="30"></label>
                    <label>{{ __('Teams') }} <select name="teams" class="form-select">
                        <option value="">{{ __('none') }}</option><option value="groups">{{ __('the groups') }}</option>
                        @foreach (range(2, 8) as $n)<option value="{{ $n }}">{{ trans_choice('{1} :count at random|[2,*] :count at random', $n) }}</option>@endforeach
                    </select></label></div>
                <label id="run-team-names" hidden>{{ __('Their names, with commas between') }}
                    <input name="team_names" class="form-control" maxlength="400" dir="auto" autocomplete="off"
                        placeholder="{{ __('Arches, Cables, Trusses') }}"></label>
                <x-choice name="auto" value="1" checked> {{ __('Moves on by itself') }}</x-choice>
                @if ($deeds->may(Deed::ChooseScreen)) <x-choice name="screen" value="1" checked>
                    {{ __('On the class screen too') }}</x-choice> @endif
                <div class="panel-row"><button class="btn btn-slate"><x-icon name="play" /> {{ __('Run them') }}</button>
                    <button type="button" class="btn btn-outline-slate" data-do="run-practice"
                        title="{{ __('A prompt with these questions, for everyone’s own time') }}">{{ __('Give as practice') }}</button></div>
                <p id="run-problem" class="problem" role="alert"></p>
            </form>
        </details>
    @endif
</x-panel>
