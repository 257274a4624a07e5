@if ($questions !== [])
    <h3 class="h6">{{ __('Answers') }}</h3>
    <ol class="answers">
        @foreach ($questions as $i => $question)
            @php($given = $answers[$question->id] ?? null)
            @php($verdict = $given === null ? null : $question->compare($given))
            <li value="{{ $i + 1 }}" data-question="{{ $question->id }}"
                data-outcome="{{ $given === null ? 'none' : $verdict?->outcome->value }}">
                @if ($question->words !== '') <span class="answers-asked"
                    data-maths="{{ $question->words }}">{{ $question->words }}</span> @endif
                @if ($given === null)
                    <span class="answers-none">{{ __('not answered') }}</span>
                @else
                    <b dir="auto"
                        data-maths="{{ $question->asked->written($given) }}">{{ $question->asked->written($given) }}</b>
                    @if ($verdict !== null) <span class="answers-outcome">{{ __($verdict->outcome->word()) }}</span>
                        @endif
                    @if ($verdict?->outcome === Crag\Maths\Comparing\Outcome::Wrong)
                        @php($slip = $prompt->slip($canvas->prompt_id, $canvas->seat->n, $question, $given, $answers))
                        @if ($slip !== null) <span class="form-text">{{ __('Perhaps: :slip', ['slip' => __($slip)]) }}</span> @endif
                    @endif
                    @if ($verdict?->why) <span class="form-text">{{ __($verdict->why) }}</span> @endif
                @endif
                @if ($question->asked->hasKey()) <span
                    class="answers-key">{{ __('Right: :key',
                    ['key' => Crag\Render\PlainMaths::words($question->asked->key())]) }}</span> @endif
            </li>
        @endforeach
    </ol>
@endif
@unless ($lookFor->isEmpty())
    <details class="look-for"><summary>{{ __('Look for') }}</summary>
        @foreach ([__('Steps') => $lookFor->steps, __('Words') => $lookFor->words,
            __('Slips') => $lookFor->slips] as $name => $lines)
            @if ($lines !== []) <p><b>{{ $name }}:</b> {{ implode(' · ', $lines) }}</p> @endif
        @endforeach
    </details>
@endunless
@include('desk.checks.marking')
@if ($checks->isNotEmpty())
    <details class="check-history"><summary>{{ __('Checks so far') }} <b>{{ $checks->count() }}</b></summary>
        <ol>
            @foreach ($checks as $check)
                <li>@if ($check->judgement()->isEmpty()) {{ __('No check') }} @else @if ($check->level !== null)
                    <x-strata :level="$check->level->value" /> @endif
                    {{ $check->judgement()->words($prompt->aspects()) }} @if ($check->points !== null)
                    {{ __(':n points', ['n' => $check->points]) }} @endif @if ($check->note !== '')
                    <span dir="auto">“{{ Str::limit($check->note, 60) }}”</span> @endif @endif
                    <span
                        class="form-text">{{ App\Live\SchoolTime::of($check->made_at_ms)->diffForHumans()
                        }}@if ($check->teacher?->name)
                        · {{ $check->teacher->name }} @endif</span></li>
            @endforeach
        </ol>
    </details>
@endif
