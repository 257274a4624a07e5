{{-- Bars. $before: the tally of the same question asked earlier, or null. $right: whether the right answer may be
    seen. $who: on a desk, a bar chooses those who stand behind it. --}}
@php($most = max([1, ...array_map(fn ($bar) => $bar->count(), [...$tally->bars, ...($before?->bars ?? [])])]))
<ol class="tally-bars">
    @foreach ($tally->bars as $bar)
        @php($was = $before === null ? null
            : collect($before->bars)->first(fn ($one) => $one->label === $bar->label)?->count() ?? 0)
        <li class="tally-bar" data-outcome="{{ $right ? $bar->outcome?->value : '' }}">
            @if (($who ?? false) && $bar->count() > 0)
                <button class="tally-label tally-who" data-do="choose-seats" data-seat="{{ implode(' ', $bar->voters) }}"
                    title="{{ trans_choice('{1} Choose this student’s tile|[2,*] Choose the tiles of these :count students',
                    $bar->count()) }}" dir="auto">{{ $bar->label }}</button>
            @else <span class="tally-label" dir="auto">{{ $bar->label }}</span> @endif
            <meter class="tally-meter" min="0" max="{{ $most }}" value="{{ $bar->count() }}">{{ $bar->count() }}</meter>
            <b class="tally-n">{{ $bar->count() }}</b>
            @if ($was !== null) <span class="tally-was">{{ __('before: :n', ['n' => $was]) }}</span> @endif
            @if ($right && $bar->outcome !== null) <span class="tally-outcome">{{ __($bar->outcome->word()) }}</span>
                @endif
        </li>
    @endforeach
</ol>
@if (count($tally->line) > 1)
    @php($low = $tally->line[0][0])
    @php($across = max(1e-12, $tally->line[count($tally->line) - 1][0] - $low))
    <svg class="tally-line" viewBox="0 0 400 56" role="img"
        aria-label="{{ __('The numbers on a line: :numbers',
        ['numbers' => implode(', ', array_map(fn ($one) => "{$one[1]} × {$one[2]}", $tally->line))]) }}">
        <path d="M16 24H384" class="tally-axis" />
        @foreach ($tally->line as [$value, $written, $count])
            @php($x = round(16 + 368 * ($value - $low) / $across, 1))
            @if ($written === $tally->middle) <path d="M{{ $x }} 4V44" class="tally-median" /> @endif
            <circle cx="{{ $x }}" cy="24" r="{{ round(min(16, 5 + 2 * sqrt($count)), 1) }}" />
        @endforeach
        <text x="16" y="54">{{ $tally->line[0][1] }}</text><text x="384" y="54"
            text-anchor="end">{{ $tally->line[count($tally->line) - 1][1] }}</text>
    </svg>
@endif
@if ($tally->middle !== null) <p class="form-text">{{ __('In the middle: :middle', ['middle' => $tally->middle]) }}</p>
    @endif
@if ($tally->words !== []) <p class="tally-words">@foreach (array_slice($tally->words, 0, 16,
    true) as $word => $count)<span dir="auto">{{ $word }} <b>{{ $count }}</b></span> @endforeach</p> @endif
