@use('Crag\Session\Rules\Deed')
{{-- A run of quick asks: where it is, and at its end how everybody did. Names stand on the desk alone. --}}
@php($at = "/desk/{$session->id}/run/{$run->id}")
@if (! $run->isOver())
    <div class="run-now" data-run="{{ $run->id }}" data-at="{{ $run->at }}" data-auto="{{ $run->is_auto ? '1' : '' }}">
        @php($card = $run->card())
        <p><b>{{ __('Card :n of :all', ['n' => $run->at, 'all' => count($run->cards)]) }}</b>
            @if ($card !== null && $card->question === null) · {{ __($card->kind->word()) }} @endif
            {{ $run->is_auto ? __('The next one comes by itself when the time is up.') : '' }}</p>
        @if ($card?->kind === Crag\Asks\CardKind::Worked) <p dir="auto">{{ $card->words }}</p> @endif
        @if ($run->teams !== null) @include('desk.asks.run-teams', ['result' => $run->result()])
            <details id="run-members"><summary>{{ __('Who is in which team') }}</summary>
                <ul class="run-students">@foreach ($seats as $seat)<li><x-seat-name :seat="$seat" />
                    <b dir="auto">{{ $run->teams->of($seat->id) ?? __('from the next card on') }}</b></li>@endforeach</ul></details>
        @endif
        @if ($deeds->may(Deed::Ask)) <div class="panel-row"><button class="btn btn-slate" data-post="{{ $at }}/next"
            data-body="{{ json_encode(['at' => $run->at, 'looked' => $run->looked_at_ms !== null]) }}"
            data-then="ask">{{ $card?->isLookedAtFirst($run->looked_at_ms) ? __('Show the answers')
            : ($run->at < count($run->cards) ? __('Next card') : __('Finish')) }}</button>
            <button class="btn btn-outline-slate" data-post="{{ $at }}/end" data-body="{}"
                data-then="ask">{{ __('Stop the run') }}</button></div> @endif
    </div>
@else
    @php($result = $run->result())
    <article class="ask-now run-result">
        <h3 class="h6">{{ __('How everyone did') }}</h3>
        @include('desk.asks.run-result')
        <details><summary>{{ __('By student (only on this desk)') }}</summary>
            <ul
                class="run-students">@foreach ($seats->filter(fn ($seat) => isset($result->right[$seat->id])) as $seat)<li
                ><x-seat-name
                :seat="$seat" /> <b>{{ __(':n of :of',
                ['n' => $result->right[$seat->id], 'of' => $result->of]) }}</b></li>@endforeach</ul></details>
        @if ($deeds->may(Deed::Ask)) <div class="panel-row"><button class="btn btn-outline-slate"
            aria-pressed="{{ $run->is_shown ? 'true' : 'false' }}" data-post="{{ $at }}/show"
            data-on='{"on":true}' data-off='{"on":false}'
            data-then="ask">{{ $run->is_shown ? __('Hide it from the class') : __('Show the class') }}</button>
            <button class="btn btn-outline-slate" data-post="{{ $at }}/away" data-body="{}"
                data-then="ask">{{ __('Close the result') }}</button></div> @endif
    </article>
@endif
