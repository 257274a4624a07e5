<nav id="rail" class="rail" aria-label="{{ __('Prompts') }}" @isset($swap) hx-swap-oob="true" @endisset>
    @foreach ($prompts as $prompt)
        @php($tally = Crag\Checks\LevelTally::of($prompt->canvases->map(fn ($canvas) => $canvas->check?->level)))
        <button id="rail-{{ $prompt->n }}" class="rail-item {{ $prompt->id === $current->id ? 'is-current' : '' }}" data-do="look" data-prompt="{{ $prompt->id }}" aria-pressed="false">
            <span class="rail-n">{{ $prompt->n }}</span>
            <span class="rail-words">{{ $prompt->words === '' ? __('no words yet') : Str::limit($prompt->plainWords(), 40) }}</span>
            <span class="rail-count">{{ __(':n of :all started', ['n' => $prompt->started_count, 'all' => $prompt->canvases_count]) }}</span>
            @if ($prompt->id === $current->id) <span class="rail-here">{{ __('students are here') }}</span> @endif
            @if ($tally->unchecked < $prompt->canvases_count)
                <span class="rail-spread">
                    @foreach (array_reverse(Crag\Checks\Level::cases()) as $level)
                        <span><x-strata :level="$level->value" /> {{ $tally->at($level) }}<span class="visually-hidden"> {{ __($level->word()) }}</span></span>
                    @endforeach
                </span>
            @endif
        </button>
    @endforeach
    <button id="bring-here" class="btn btn-sm btn-go" data-do="bring" hidden>{{ __('Bring everybody here') }}</button>
</nav>
