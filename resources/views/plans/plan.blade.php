<x-layout :title="$plan->title" script="plan" class="plan"
    :page="['plan' => $plan->id, 'address' => '/plan/'.$plan->id, 'assets' => '/asset', 'stamps' => Crag\Canvas\Drawing\StampArt::all(), 'words' => App\Http\Words\PlanWords::all(), 'intake' => $intake, 'mostBytes' => App\Plans\BringInPlan::MOST_BYTES]">
    <header class="bar plan-bar">
        <a class="bar-home" href="{{ route('plans') }}" title="{{ __('All plans') }}"><img src="/crag.svg"
            alt="{{ __('All plans') }}" width="28" height="28"></a>
        <h1 class="visually-hidden">{{ $plan->title }}</h1>
        <input id="plan-title" class="plan-title" maxlength="80" aria-label="{{ __('Title') }}"
            value="{{ $plan->title }}" dir="auto" autocomplete="off">
        <input id="plan-tags" class="plan-tags" maxlength="200" aria-label="{{ __('Tags, with commas between') }}"
            placeholder="{{ __('tags, with commas') }}" value="{{ implode(', ', $plan->tags) }}" dir="auto"
            autocomplete="off">
        <span id="plan-saved" class="plan-saved" role="status">{{ __('Saved') }}</span>
        <button id="plan-undo" class="btn btn-paper" title="{{ __('Undo the last change to the plan') }}"
            disabled><x-icon name="arrow-counterclockwise" /><span
            class="visually-hidden">{{ __('Undo') }}</span></button>
        <button id="plan-redo" class="btn btn-paper" title="{{ __('Do it again') }}"
            disabled><x-icon name="arrow-clockwise" /><span class="visually-hidden">{{ __('Redo') }}</span></button>
        <x-menu>
<x-slot:head><x-icon name="share" /> {{ __('Share') }}</x-slot>
            <div class="menu">
                <button class="menu-item" data-copy="{{ route('plan.shared', [$plan, $plan->copy_key]) }}"
                    data-copied="{{ __('Copied') }}">{{ __('Copy a link: to take a copy') }}</button>
                @if ($plan->teacher_id === $teacher->id)
                    <button class="menu-item" data-copy="{{ route('plan.shared', [$plan, $plan->edit_key]) }}"
                        data-copied="{{ __('Copied') }}">{{ __('Copy a link: to work on it together') }}</button>
                    <form method="post" action="{{ route('plan.end-links', $plan) }}">@csrf
                        <button class="menu-item"
                            title="{{ __('Whoever has a link can’t use it any more. Copies and colleagues stay.') }}">{{ __('End these links') }}</button></form>
                @endif
                <hr>
                <a class="menu-item" href="{{ route('plan.zip', $plan) }}" download><x-icon name="box-arrow-up" />
                    {{ __('Download (zip)') }}</a>
                <a class="menu-item" href="{{ route('plan.pdf', $plan) }}" download><x-icon name="printer" />
                    {{ __('Print the prompts (PDF)') }}</a>
                <a class="menu-item" href="{{ route('plan.pdf', [$plan, 'key' => 1]) }}"
                    download><x-icon name="printer" /> {{ __('Print with the answer key (PDF)') }}</a>
                <a class="menu-item" href="{{ route('plan.qti', $plan) }}" download><x-icon name="ui-radios" />
                    {{ __('Download the questions (QTI 3)') }}</a>
            </div>
        </x-menu>
        <a class="btn btn-paper" href="{{ route('plan.try', $plan) }}"><x-icon name="phone" /> {{ __('Try it') }}</a>
        <a class="btn btn-go" href="{{ route('plan.start', $plan) }}"><x-icon name="play" /> {{ __('Start') }}</a>
    </header>
    <p id="plan-running" class="plan-running" role="status" hidden><span></span>
        <button class="btn btn-sm btn-go"></button></p>
    <p id="plan-original" class="plan-running" role="status" hidden><span></span>
        <button class="btn btn-sm btn-go">{{ __('Take these changes over') }}</button></p>
    <div class="plan-middle">
        <nav class="plan-rail" aria-label="{{ __('Prompts') }}">
            <ol id="plan-prompts" class="plan-prompts"></ol>
            <div id="plan-chosen" class="plan-chosen" role="group" aria-label="{{ __('Chosen prompts') }}" hidden>
                <b id="plan-chosen-n" role="status"></b>
                <button type="button" class="btn btn-sm btn-outline-slate"
                    data-chosen="copy">{{ __('Make copies') }}</button>
                <button type="button" class="btn btn-sm btn-outline-slate"
                    data-chosen="keep">{{ __('Keep as ready-made') }}</button>
                <button type="button" class="btn btn-sm btn-outline-danger"
                    data-chosen="out">{{ __('Remove') }}</button>
                <button type="button" class="btn btn-sm btn-link" data-chosen="none">{{ __('Choose none') }}</button>
            </div>
            <button id="plan-add" class="btn btn-outline-slate"><x-icon name="plus-lg" />
                {{ __('New prompt') }}</button>
            <button id="plan-ready" class="btn btn-outline-slate" aria-haspopup="dialog"><x-icon name="journal-plus" />
                {{ __('Ready-made') }}</button>
            <button id="plan-other" class="btn btn-outline-slate" aria-expanded="false"
                aria-controls="other-plan"><x-icon name="journals" /> {{ __('Another plan') }}</button>
            <label class="btn btn-outline-slate"><x-icon name="box-arrow-in-down" /> {{ __('Add from a file') }}
                <input id="plan-file" type="file" class="visually-hidden" multiple
                    accept=".pdf,.zip,.xml,.txt,.md,.png,.jpg,.jpeg,.webp,.gif,.svg,application/pdf,image/*"></label>
            <p id="plan-intake" class="form-text" role="status"></p>
        </nav>
        <section id="other-plan" class="other-plan" aria-label="{{ __('Another plan') }}" hidden>
            <div class="other-head"><label for="other-which">{{ __('Take from') }}</label>
                <button type="button" class="mini ms-auto" data-close title="{{ __('Close') }}"><x-icon
                    name="x-lg" /><span class="visually-hidden">{{ __('Close') }}</span></button></div>
            <select id="other-which" class="form-select"></select>
            <p class="form-text">{{ __('Press a prompt, or drag it into your list.') }}</p>
            <ol id="other-prompts" class="other-prompts"></ol>
        </section>
        <main class="plan-main" aria-label="{{ __('Prompt') }}">
            <p id="plan-empty" class="nobody"
                hidden>{{ __('This plan is empty. Begin with a new prompt, a ready-made one, or bring in a worksheet, pictures or text.') }}</p>
            <div id="plan-prompt" class="plan-prompt" hidden>
                <div class="plan-words">
                    <label class="visually-hidden" for="words">{{ __('Words') }}</label>
                    <textarea id="words" rows="2" dir="auto"
                        placeholder="{{ __('What should students do? Put formulas between dollar signs: $\frac{1}{2}$. Different values for each student: {a: 2..9}.') }}"></textarea>
                    <div id="values" class="values" role="group" aria-label="{{ __('Values') }}">
                        <button type="button" id="value-add" class="btn btn-sm btn-outline-slate"
                            title="{{ __('Select a number in the words: each student gets another one') }}"><x-icon
                            name="shuffle" /> {{ __('Different for each student') }}</button>
                        <span id="value-chips" class="value-chips"></span>
                        <p id="value-draws" class="form-text value-draws" hidden></p>
                    </div>
                    <p id="words-shown" class="words-shown" dir="auto" hidden></p>
                    <p class="problem" role="alert" data-refused="words" data-of="#words" hidden></p>
                    <p id="plan-problems" class="problem" role="alert"></p>
                </div>
                @include('plans.side')
                <section id="plan-bench" class="bench" aria-label="{{ __('Diagram') }}">
                    @include('bench.bench',
                        ['label' => __('Diagram for students'), 'lead' => true, 'pieces' => __('Make pieces of it'),
                        'files' => '/plan/'.$plan->id.'/work/CANVAS.FORMAT'])
                </section>
            </div>
        </main>
    </div>
    @include('plans.windows')
    <p id="plan-here" class="visually-hidden" role="status"></p>
    <x-toast id="plan-notice" />
</x-layout>
