{{-- Bars. $before: the tally of the same question asked earlier, or null. $right: whether what is right may be seen. --}}
@php($most = max(1, ...array_map(fn ($bar) => $bar->count(), [...$tally->bars, ...($before?->bars ?? [])])))
<ol class="tally-bars">
    @foreach ($tally->bars as $bar)
        @php($was = $before === null ? null : collect($before->bars)->first(fn ($one) => $one->label === $bar->label)?->count() ?? 0)
        <li class="tally-bar" data-outcome="{{ $right ? $bar->outcome?->value : '' }}">
            <span class="tally-label" dir="auto">{{ $bar->label }}</span>
            <meter class="tally-meter" min="0" max="{{ $most }}" value="{{ $bar->count() }}">{{ $bar->count() }}</meter>
            <b class="tally-n">{{ $bar->count() }}</b>
            @if ($was !== null) <span class="tally-was">{{ __('before: :n', ['n' => $was]) }}</span> @endif
            @if ($right && $bar->outcome !== null) <span class="tally-outcome">{{ __($bar->outcome->word()) }}</span> @endif
        </li>
    @endforeach
</ol>
@if ($tally->middle !== null) <p class="form-text">{{ __('In the middle: :middle', ['middle' => $tally->middle]) }}</p> @endif
@if ($tally->words !== []) <p class="tally-words">@foreach (array_slice($tally->words, 0, 16, true) as $word => $count)<span dir="auto">{{ $word }} <b>{{ $count }}</b></span> @endforeach</p> @endif
