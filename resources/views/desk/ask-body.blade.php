{{-- The present ask and its tally, live. --}}
@php($at = "/desk/{$session->id}")
@php($runs = $role === Crag\Session\Role::Colleague)
@if ($ask !== null)
    @php($question = $ask->value())
    @php($tally = $ask->tally())
    @php($all = $ask->seats === null ? $seats->count() : count($ask->seats))
    @php($isOpen = $ask->isOpen(App\Live\Clock::ms()))
    <article class="ask-now" data-ask="{{ $ask->id }}" data-ends="{{ $isOpen ? $ask->ends_at_ms : '' }}">
        <h3 class="ask-words" dir="auto">{{ $question->words === '' ? __('Quick ask :n', ['n' => $ask->n]) : $question->words }}</h3>
        <p class="ask-count" role="status"><b>{{ __(':n of :all answered', ['n' => $tally->answered, 'all' => $all]) }}</b> @if ($tally->right() !== null) · {{ __(':n right', ['n' => $tally->right()]) }} @endif @if (! $isOpen) · {{ __('closed') }} @endif @if ($ask->is_anonymous) · {{ __('anonymous') }} @endif</p>
        @include('desk.tally', ['tally' => $tally, 'before' => $ask->againOf?->tally(), 'right' => true])
        @unless ($ask->is_anonymous)
            @php($missing = ($ask->seats === null ? $seats : $seats->only($ask->seats))->except(array_keys($ask->latest())))
            @if ($missing->isNotEmpty()) <details><summary>{{ __('Not answered yet') }} <b>{{ $missing->count() }}</b></summary> <p class="ask-missing">@foreach ($missing as $seat)<x-seat-name :seat="$seat" />@if (! $loop->last), @endif @endforeach</p></details> @endif
        @endunless
        @foreach ($ask->changes()->all as $change)
            <p class="form-text mb-0">{{ __(':n changed from :from to :to', ['n' => count($change['voters']), 'from' => $change['from'], 'to' => $change['to']]) }}</p>
        @endforeach
        @if ($runs)
            <div class="panel-row">
                @if ($isOpen) <button class="btn btn-slate" data-post="{{ $at }}/ask/{{ $ask->id }}/close" data-body="{}" data-then="ask">{{ __('Close it') }}</button> @endif
                <button class="btn btn-outline-slate" aria-pressed="{{ $ask->is_tally_shown ? 'true' : 'false' }}" data-post="{{ $at }}/ask/{{ $ask->id }}/show" data-body="{{ json_encode(['tally' => ! $ask->is_tally_shown]) }}" data-then="ask">{{ $ask->is_tally_shown ? __('Hide the tally') : __('Show all the tally') }}</button>
                @if ($question->asked->hasKey()) <button class="btn btn-outline-slate" aria-pressed="{{ $ask->is_right_shown ? 'true' : 'false' }}" data-post="{{ $at }}/ask/{{ $ask->id }}/show" data-body="{{ json_encode(['right' => ! $ask->is_right_shown]) }}" data-then="ask">{{ $ask->is_right_shown ? __('Hide what is right') : __('Show what is right') }}</button> @endif
                <button class="btn btn-outline-slate" data-post="{{ $at }}/ask/{{ $ask->id }}/again" data-body="{}" data-then="ask">{{ __('Ask again') }}</button>
                <button class="btn btn-outline-slate" data-post="{{ $at }}/screen" data-body='{"view":"tally"}'>{{ __('On the class screen') }}</button>
                <button class="btn btn-outline-slate" data-post="{{ $at }}/ask-away" data-body="{}" data-then="ask">{{ __('Put away') }}</button>
            </div>
        @endif
    </article>
@endif
@if ($before->isNotEmpty())
    <details class="mb-2"><summary>{{ __('Asked before') }} <b>{{ $before->count() }}</b></summary>
        @foreach ($before as $one)
            <h4 class="h6 mt-2" dir="auto">{{ $one->n }}. {{ $one->value()->words === '' ? __('Quick ask') : $one->value()->words }}</h4>
            @include('desk.tally', ['tally' => $one->tally(), 'before' => null, 'right' => true])
            @if ($runs) <button class="chip" data-post="{{ $at }}/ask/{{ $one->id }}/again" data-body="{}" data-then="ask">{{ __('Ask again') }}</button> @endif
        @endforeach
    </details>
@endif
