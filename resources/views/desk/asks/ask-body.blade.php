@use('Crag\Session\Rules\Deed')
{{-- The present ask and its tally, live. --}}
<div id="ask-planned" data-cards="{{ json_encode(array_map(fn ($card) => $card->toArray(), $planned)) }}"
    data-running="{{ $run !== null && ! $run->isOver() ? '1' : '' }}" hidden></div>
@php($at = "/desk/{$session->id}")
@if ($run !== null) @include('desk.asks.run') @endif
@if ($ask !== null)
    @php($question = $ask->question)
    @php($tally = $ask->tally())
    @php($all = $ask->seats === null ? $seats->count() : count($ask->seats))
    @php($isOpen = $ask->isOpen(App\Live\Clock::ms()))
    <article class="ask-now" data-ask="{{ $ask->id }}" data-ends="{{ $isOpen ? $ask->ends_at_ms : '' }}">
        <h3 class="ask-words" dir="auto">{{ $question->words === '' ? __('Quick ask :n', ['n' => $ask->n])
            : $question->words }}</h3>
        @if ($ask->picture !== '') <img class="ask-picture" src="/asset/{{ $ask->picture }}"
            alt="{{ __('The picture to the question') }}"> @endif
        @if ($question->words === '' && $deeds->may(Deed::Ask))
            <form class="ask-add-words" data-post="{{ $at }}/ask/{{ $ask->id }}/words" data-then="ask">
                <input name="words" class="form-control" maxlength="300" dir="auto" autocomplete="off" required
                    aria-label="{{ __('Words for it') }}" placeholder="{{ __('Add the words, if you like') }}">
                <button class="btn btn-outline-slate">{{ __('Add') }}</button></form>
        @endif
        <p class="ask-count" role="status"><b>{{ $ask->drawings === null ? __(':n of :all answered',
            ['n' => $tally->answered, 'all' => $all]) : __(':n of :all sent their drawing',
            ['n' => $ask->answered(), 'all' => $all]) }}</b> @if ($tally->right() !== null) ·
            {{ __(':n right', ['n' => $tally->right()]) }} @endif @if (! $isOpen) · {{ __('closed') }} @endif
            @if ($ask->is_anonymous) · {{ __('anonymous') }} @endif</p>
        @if ($ask->drawings === null) @include('desk.asks.tally', ['tally' => $tally,
            'before' => $ask->againOf?->tally(), 'right' => true, 'who' => ! $ask->is_anonymous])
        @else <p><button class="btn btn-go" data-do="look" data-prompt="{{ $ask->drawings->id }}"><x-icon name="grid" />
            {{ __('See the drawings') }}</button></p> @endif
        @if ($ask->drawings === null && $ask->moves() !== null) @include('desk.asks.moves', ['moves' => $ask->moves(), 'names' => $seats]) @endif
        @unless ($ask->is_anonymous || $ask->drawings !== null)
            @php($missing = ($ask->seats === null ? $seats
                : $seats->only($ask->seats))->except(array_keys($ask->latest())))
            @if ($missing->isNotEmpty()) <details id="ask-missing"><summary>{{ __('Not answered yet') }}
                <b>{{ $missing->count() }}</b></summary> <p class="ask-missing">@foreach ($missing as $seat)<x-seat-name
                :seat="$seat" />@if (! $loop->last), @endif @endforeach</p></details> @endif
        @endunless
        @foreach ($ask->changes()->all as $change)
            <p class="form-text mb-0">{{ __(':n changed from :from to :to',
                ['n' => count($change['voters']), 'from' => $change['from'],
                'to' => $change['to']]) }}@unless ($ask->is_anonymous):
                @foreach ($seats->only($change['voters']) as $seat)<x-seat-name :seat="$seat" />@if (! $loop->last),
                @endif @endforeach @endunless</p>
        @endforeach
        @if ($deeds->may(Deed::Ask))
            <div class="panel-row">
                <button class="btn btn-outline-slate" data-post="{{ $at }}/ask/{{ $ask->id }}/longer" data-body="{}"
                    data-then="ask">{{ $ask->ends_at_ms === null && $isOpen ? __('30 s left') : __('30 s more') }}</button>
                @if ($isOpen) <button class="btn btn-slate" data-post="{{ $at }}/ask/{{ $ask->id }}/close"
                    data-body="{}" data-then="ask">{{ __('Stop answers') }}</button> @endif
                @if ($ask->drawings === null)
                <button class="btn btn-outline-slate" data-do="ask-step"
                    title="{{ __('For everyone: the bars, then the right answer, then hidden again (/)') }}">{{ __('Next') }}
                    <kbd>/</kbd></button>
                <button class="btn btn-outline-slate" aria-pressed="{{ $ask->is_tally_shown ? 'true' : 'false' }}"
                    data-post="{{ $at }}/ask/{{ $ask->id }}/show"
                    data-on='{"tally":true}' data-off='{"tally":false}'
                    data-then="ask">{{ $ask->is_tally_shown ? __('Hide the tally')
                    : __('Show everyone the tally') }}</button>
                @if ($question->asked->hasKey()) <button class="btn btn-outline-slate"
                    aria-pressed="{{ $ask->is_right_shown ? 'true' : 'false' }}"
                    data-post="{{ $at }}/ask/{{ $ask->id }}/show"
                    data-on='{"right":true}' data-off='{"right":false}'
                    data-then="ask">{{ $ask->is_right_shown ? __('Hide the right answer')
                    : __('Show the right answer') }}</button> @endif
                @endif
                <button class="btn btn-outline-slate" data-post="{{ $at }}/ask/{{ $ask->id }}/again" data-body="{}"
                    data-then="ask">{{ __('Ask again') }}</button>
                <button class="btn btn-outline-slate" data-post="{{ $at }}/screen"
                    data-body='{"view":"tally"}'>{{ __('On the class screen') }}</button>
                @unless ($ask->is_anonymous || $ask->drawings !== null) <button class="btn btn-outline-slate"
                    data-post="{{ $at }}/ask/{{ $ask->id }}/one-of-each" data-body="{}"
                    title="{{ __('One canvas for each common answer, side by side on the class screen') }}"><x-icon name="easel" />
                    {{ __('Show one of each') }}</button> @endunless
                @if ($run === null || $run->isOver()) <button class="btn btn-outline-slate"
                    data-post="{{ $at }}/ask-away" data-body="{}" data-then="ask">{{ __('Clear') }}</button> @endif
            </div>
        @endif
    </article>
@endif
@if ($deeds->may(Deed::Ask) && ($run === null || $run->isOver()) && $planned !== [])
    <div class="ask-planned" role="group" aria-label="{{ __('Planned asks') }}">
        @foreach ($planned as $card)
            @if ($card->question !== null) <button class="chip" data-post="{{ $at }}/runs"
                data-body="{{ json_encode(['cards' => [$card->toArray()], 'seconds' => 60, 'auto' => false,
                'screen' => true]) }}" data-then="ask" title="{{ __('Ask it now') }}"
                dir="auto">{{ Str::limit($card->words === '' ? __('Quick ask') : $card->words, 40) }}</button> @endif
        @endforeach
    </div>
@endif
@if ($before->isNotEmpty())
    <details class="mb-2" id="ask-before"><summary>{{ __('Asked before') }} <b>{{ $before->count() }}</b></summary>
        @foreach ($before as $one)
            <h4 class="h6 mt-2" dir="auto">{{ $one->n }}.
                {{ $one->question->words === '' ? __('Quick ask') : $one->question->words }}</h4>
            @if ($one->drawings === null) @include('desk.asks.tally',
                ['tally' => $one->tally(), 'before' => null, 'right' => true])
            @else <button class="chip" data-do="look" data-prompt="{{ $one->drawings->id }}"><x-icon name="grid" />
                {{ __('See the drawings') }}</button> @endif
            @if ($deeds->may(Deed::Ask)) <button class="chip" data-post="{{ $at }}/ask/{{ $one->id }}/again" data-body="{}"
                data-then="ask">{{ __('Ask again') }}</button> @endif
        @endforeach
    </details>
@endif
