<section id="plan-side" class="plan-side" aria-label="{{ __('Settings of the prompt') }}" hidden>
    <details open>
        <summary>{{ __('Questions') }} <span id="question-count" class="count"></span></summary>
        <label class="visually-hidden" for="question-new">{{ __('Add a question') }}</label>
        <select id="question-new" class="form-select">
            <option value="">{{ __('Add a question…') }}</option>
            @foreach (Crag\Prompt\Question\QuestionKind::cases() as $kind)<option
                value="{{ $kind->value }}">{{ __($kind->word()) }}</option>@endforeach
        </select>
        <div class="draw-boxes">
            <label class="visually-hidden" for="box-kind">{{ __('What the box is for') }}</label>
            <select id="box-kind" class="form-select">
                @foreach (Crag\Prompt\Question\QuestionKind::ofBoxes() as $kind)<option
                    value="{{ $kind->value }}">{{ __($kind->word()) }}</option>@endforeach
                <option value="written">{{ __('An answer written by hand') }}</option>
            </select>
            <button type="button" id="draw-boxes" class="btn btn-sm btn-outline-slate" aria-pressed="false"><x-icon
                name="bounding-box" /> {{ __('Draw boxes') }}</button>
        </div>
        <button type="button" id="find-gaps" class="btn btn-sm btn-outline-slate mt-2"
            title="{{ __('Underscores, lines, empty cells and room below questions become answer boxes') }}"><x-icon
            name="ui-checks-grid" /> {{ __('Find the gaps') }}</button>
        <ol id="question-list" class="question-list"></ol>
        <p class="problem" role="alert" data-refused="questions" data-of="#question-list" hidden></p>
        <p class="form-text">{{ __('Without a question, the canvas is the answer.') }}</p>
    </details>
    @include('plans.practice')
    <details>
        <summary>{{ __('Backdrop of this page') }}</summary>
        <form id="backdrop-form" class="panel">
            <label class="visually-hidden" for="backdrop-kind">{{ __('Backdrop') }}</label>
            <select id="backdrop-kind" name="backdrop" class="form-select">
                @foreach (Crag\Prompt\Backdrop\BackdropKind::cases() as $kind)<option
                    value="{{ $kind->value }}">{{ __($kind->word()) }}</option>@endforeach
            </select>
            @include('desk.work.backdrop-settings')
            <p id="backdrop-problem" class="problem" role="alert"></p>
            <p class="problem" role="alert" data-refused="backdrop" data-of="#backdrop-form" hidden></p>
        </form>
        <p class="form-text">{{ __('More pages: the + at the lower left of the page.') }}</p>
    </details>
    <details>
        <summary>{{ __('Tools for students') }}</summary>
        <div id="tray-choice" role="group" aria-label="{{ __('Tool tray') }}">
            <x-choice type="radio" name="tray" value=""> {{ __('As the session has them') }}</x-choice>
            @foreach (Crag\Prompt\Tray\TrayKind::cases() as $kind)
                <x-choice type="radio" name="tray" value="{{ $kind->value }}">
                    {{ __($kind->word()) }}</x-choice>
            @endforeach
            <div id="tray-tools" class="tray-tools-choice" hidden>
                @foreach (Crag\Prompt\Tray\Tool::cases() as $tool)
                    <x-choice value="{{ $tool->value }}">
                        {{ __($tool->word()) }}</x-choice>
                @endforeach
            </div>
        </div>
    </details>
    <details>
        <summary>{{ __('Time, points and checks') }}</summary>
        <label for="sharing">{{ __('One canvas for') }}</label>
        <select id="sharing" class="form-select">
            @foreach (Crag\Prompt\Sharing::cases() as $case)<option value="{{ $case->value }}">{{ __($case->word()) }}</option>@endforeach
        </select>
        <label for="minutes">{{ __('Suggested minutes') }}</label>
        <input id="minutes" class="form-control" type="number" min="1" max="600" step="1">
        <p class="problem" role="alert" data-refused="minutes" data-of="#minutes" hidden></p>
        <label for="points">{{ __('Points (none when empty)') }}</label>
        <input id="points" class="form-control" type="number" min="0" max="100" step="0.5">
        <p class="problem" role="alert" data-refused="points" data-of="#points" hidden></p>
        <span class="rows-name">{{ __('What you check') }}</span>
        <ol id="aspect-list" class="rows-list"></ol>
        <button type="button" id="aspect-add" class="btn btn-sm btn-outline-slate"><x-icon name="plus-lg" />
            {{ __('Add something to check') }}</button>
        <p class="problem" role="alert" data-refused="aspects" data-of="#aspect-list" hidden></p>
        <p class="form-text">{{ __('Leave this empty to check the whole canvas by Strata.') }}</p>
    </details>
    <details>
        <summary>{{ __('Look for') }}</summary>
        <x-rows id="look-steps" :words="__('Expected steps')" :one="__('Step')" :add="__('Step')"
            :hint="__('takes moments about the support')" />
        <x-rows id="look-words" :words="__('Key words')" :one="__('Word')" :add="__('Word')"
            :hint="__('pivot')" />
        <x-rows id="look-slips" :words="__('Common slips')" :one="__('Slip')" :add="__('Slip')"
            :hint="__('measures from the left end')" />
        <p class="problem" role="alert" data-refused="look_for" data-of="#look-steps, #look-words, #look-slips"
            hidden></p>
        <label for="skills">{{ __('Skills, with commas between') }}</label>
        <input id="skills" class="form-control" maxlength="300" dir="auto">
        <p class="problem" role="alert" data-refused="skills" data-of="#skills" hidden></p>
    </details>
    <details>
        <summary>{{ __('Tasks that tick themselves') }}</summary>
        <p class="form-text">{{ __('Students see the list, and each task ticks as soon as they’ve done it. The desk shows who has done them all.') }}</p>
        <ol id="task-list" class="rows-list"></ol>
        <label class="visually-hidden" for="task-add">{{ __('Add a task') }}</label>
        <select id="task-add" class="form-select">
            <option value="">{{ __('Add a task…') }}</option>
            @foreach (Crag\Plan\Task\TaskKind::cases() as $kind)<option value="{{ $kind->value }}"
                data-sentence="{{ __($kind->sentence()) }}" data-with="{{ $kind->takesWord() ? '1' : '' }}">{{ __($kind->word()) }}</option>@endforeach
        </select>
        <p class="problem" role="alert" data-refused="tasks" data-of="#task-list" hidden></p>
    </details>
    <details>
        <summary>{{ __('Quick asks') }}</summary>
        <x-run-cards id="asks" />
        <p class="problem" role="alert" data-refused="asks" data-of="#asks" hidden></p>
    </details>
</section>
