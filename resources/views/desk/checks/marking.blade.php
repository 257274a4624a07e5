{{-- What is found in one canvas beside a quick level: the plan's own levels, points, a note. $canvas, $prompt (its
    value), $judgement, $phrases, and which of them are the teacher's own: $kept. --}}
@php($aspects = $prompt->aspects())
@php($hasOwn = count($aspects) > 1 || ! $aspects[0]->scale->isStrata)
@php($checks = route('desk.check', $session, false))
<section class="marking" @if ($hasOwn) data-own @endif aria-label="{{ __('Check') }}">
    @if ($hasOwn)
        @foreach ($aspects as $at => $aspect)
            <div class="marking-row" role="group" aria-label="{{ $aspect->name === '' ? __('Check') : $aspect->name }}">
                @if ($aspect->name !== '') <b dir="auto">{{ $aspect->name }}</b> @endif
                @foreach ($aspect->scale->words as $mark => $word)
                    @php($is = ($judgement->marks[$at] ?? null) === $mark)
                    <button class="chip" data-post="{{ $checks }}"
                        data-body="{{ json_encode(['canvas' => $canvas->id, 'marks' => [$at => $is ? null : $mark]],
                        JSON_FORCE_OBJECT) }}" aria-pressed="{{ $is ? 'true' : 'false' }}"><span
                        dir="auto">{{ $aspect->scale->isStrata ? __($word) : $word }}</span>@if ($at === 0)
                        <kbd>{{ $aspect->scale->isStrata ? $mark : $mark + 1 }}</kbd>@endif</button>
                @endforeach
            </div>
        @endforeach
    @endif
    @php($most = $prompt->points)
    @if ($most !== null && $most <= 10)
        <div class="marking-row marking-points" role="group" aria-label="{{ __('Points of :most', ['most' => $most]) }}">
            <b>{{ __('Points') }}</b>
            @foreach (range(0, (int) $most) as $point)
                @php($is = $judgement->points !== null && abs($judgement->points - $point) < 0.01)
                <button class="chip" data-post="{{ $checks }}"
                    data-body="{{ json_encode(['canvas' => $canvas->id, 'points' => $is ? null : $point]) }}"
                    aria-pressed="{{ $is ? 'true' : 'false' }}">{{ $point }}</button>
            @endforeach
        </div>
    @elseif ($most !== null)
        <label class="marking-row marking-slide">{{ __('Points') }}
            <input type="range" name="points" min="0" max="{{ $most }}" step="1" value="{{ $judgement->points ?? 0 }}"
                data-to="{{ $checks }}" data-body="{{ json_encode(['canvas' => $canvas->id]) }}"></label>
    @endif
    <div class="marking-row">
        <label class="number-choice">{{ $most === null ? __('Points') : __('Points of :most', ['most' => $most]) }}
            <input type="number" class="form-control" name="points" min="0" max="{{ $most ?? 100 }}"
                step="0.5" value="{{ $judgement->points }}" data-to="{{ $checks }}"
                data-body="{{ json_encode(['canvas' => $canvas->id]) }}"></label>
        <button class="chip" data-do="points-less" title="{{ __('A point less (,)') }}">−1 <kbd>,</kbd></button>
        <button class="chip" data-do="points-more" title="{{ __('A point more (;)') }}">+1 <kbd>;</kbd></button>
    </div>
    <label class="marking-note">{{ __('Note') }} <kbd>.</kbd>
        <textarea class="form-control" name="note" rows="2" maxlength="{{ Crag\Checks\Judgement::LONGEST_NOTE }}"
            dir="auto" data-to="{{ $checks }}"
            data-body="{{ json_encode(['canvas' => $canvas->id]) }}">{{ $judgement->note }}</textarea></label>
    <div class="marking-row marking-phrases">
        @foreach ($phrases as $i => $phrase)
            <span class="phrase"><button class="chip chip-quiet" data-do="phrase" data-phrase="{{ $phrase }}"><span
                dir="auto">{{ Str::limit($phrase, 40) }}</span>@if ($i < 3) <kbd>{{ $i + 7 }}</kbd> @endif
                </button>@if (in_array($phrase, $kept, true))<button class="mini"
                data-post="{{ route('desk.phrases', $session, false) }}"
                data-body="{{ json_encode(['phrase' => $phrase, 'drop' => true]) }}" data-then="phrases"
                title="{{ __('Drop this phrase') }}"><x-icon name="x" /><span
                class="visually-hidden">{{ __('Drop “:phrase”',
                ['phrase' => Str::limit($phrase, 40)]) }}</span></button>@endif</span>
        @endforeach
        @if ($judgement->note !== '' && ! in_array($judgement->note, $kept, true))
            <button class="mini-text" data-post="{{ route('desk.phrases', $session, false) }}"
                data-body="{{ json_encode(['phrase' => $judgement->note]) }}"
                data-then="phrases">{{ __('Keep this note as a phrase') }}</button>
        @endif
    </div>
    <button class="chip" data-post="{{ route('desk.again', $session, false) }}"
        data-body="{{ json_encode(['canvas' => $canvas->id]) }}"
        title="{{ __('The student can draw on it again, and is told to send it once more') }}"><x-icon name="arrow-repeat" />
        {{ __('Ask for another try') }}</button>
    <p class="form-text">{{ $seen }}</p>
</section>
