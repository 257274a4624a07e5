@use('Crag\Session\Rules\Deed')
<nav id="rail" class="rail" aria-label="{{ __('Prompts') }}" @isset($swap) hx-swap-oob="true" @endisset>
    @foreach ($prompts as $prompt)
        @php($tally = Crag\Checks\LevelTally::of($prompt->canvases->map(fn ($canvas) => $canvas->check?->level)))
        <button id="rail-{{ $prompt->n }}" class="rail-item {{ $prompt->id === $current->id ? 'is-current' : '' }}"
            data-do="look" data-prompt="{{ $prompt->id }}" data-covered="{{ $prompt->isCovered() ? '1' : '0' }}"
            aria-pressed="false">
            <span class="rail-n">{{ $prompt->n }}</span>
            <span class="rail-words">{{ $prompt->words === '' ? __('no words yet') : Str::limit($prompt->plainWords(),
                40) }}</span>
            @if ($prompt->state->isSeen()) <span
                class="rail-count">{{ __(':n of :all started',
                ['n' => $prompt->started_count, 'all' => $prompt->canvases_count]) }}</span> @endif
            @if ($prompt->sent_count > 0) <span
                class="rail-count">{{ __(':n sent', ['n' => $prompt->sent_count]) }}</span> @endif
            @if ($tally->unchecked < $prompt->canvases_count) <span
                class="rail-count">{{ __(':n checked', ['n' => $prompt->canvases_count - $tally->unchecked]) }}</span>
                @endif
            @if ($prompt->id === $current->id) <span class="rail-here">{{ __('students are here') }}</span> @endif
            @if ($prompt->state !== Crag\Session\Room\PromptState::Open)
                <span class="rail-state">{{ __($prompt->state->word()) }}</span> @endif
            @if ($tally->unchecked < $prompt->canvases_count)
                <span class="rail-spread">
                    @foreach (array_reverse(Crag\Checks\Level::cases()) as $level)
                        <span><x-strata :level="$level->value" /> {{ $tally->at($level) }}<span class="visually-hidden">
                            {{ __($level->word()) }}</span></span>
                    @endforeach
                </span>
            @endif
        </button>
        @if ($deeds->may(Deed::ChangePrompts)) @include('desk.room.rail-actions') @endif
    @endforeach
    @if ($session->ask?->drawings !== null)
        <button id="rail-ask" class="rail-item" data-do="look" data-prompt="{{ $session->ask->drawings->id }}"
            data-covered="0" aria-pressed="false"><span class="rail-n"><x-icon name="brush" /></span>
            <span class="rail-words" dir="auto">{{ $session->ask->question->words === '' ? $session->ask->drawings->title()
            : Str::limit($session->ask->question->words, 40) }}</span>
            <span class="rail-count">{{ __('drawings for the quick ask') }}</span></button>
    @endif
    <button id="pace" class="rail-add" data-do="pace" data-post="/desk/{{ $session->id }}/pace"
        data-on='{"pace":"own"}' data-off='{"pace":"together"}'
        @disabled(! $deeds->may(Deed::ChangePrompts))
        aria-pressed="{{ $session->pace === Crag\Session\Room\Pace::Own ? 'true' : 'false' }}"
        title="{{ __('Everyone on one prompt, or each at their own pace') }}"><x-icon name="signpost-split" />
        {{ __($session->pace->word()) }}</button>
    @if ($deeds->may(Deed::ChangePrompts)) <button id="add-prompt-button" class="rail-add" data-do="add-prompt"><x-icon name="plus-lg" />
        {{ __('Add a prompt') }}</button> @endif
</nav>
