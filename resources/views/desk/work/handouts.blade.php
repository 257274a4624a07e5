{{-- What was handed out, and whose page has it. --}}
<div id="handouts" class="handouts" @isset($swap) hx-swap-oob="true" @endisset>
    @if ($handouts->isNotEmpty()) <h3 class="h6">{{ __('Handed out') }}</h3> @endif
    @foreach ($handouts as $handout)
        @php($without = $handout->canvases->filter(fn ($canvas) => $canvas->pivot->got_at_ms === null))
        <div class="handout" data-handout="{{ $handout->id }}">
            <div><b>{{ $handout->label }}</b> · {{ __($handout->mode->word()) }} ·
                {{ __('Prompt :n', ['n' => $handout->prompt->n]) }}</div>
            <div class="handout-count">{{ __('on :n of :all',
                ['n' => $handout->canvases->count() - $without->count(),
                'all' => $handout->canvases->count()]) }}@if ($without->isNotEmpty()) —
                {{ __('not here, will get it when they’re back:') }}
                @foreach ($without->take(6) as $canvas)
                    <span class="handout-missing"><x-seat-name :seat="$canvas->seat" />
                        <button class="rail-step" data-post="/desk/{{ $session->id }}/handout/{{ $handout->id }}/again"
                        data-body="{{ json_encode(['seat' => $canvas->seat_id]) }}">{{ __('Retry') }}</button></span>
                @endforeach
                @if ($without->count() > 6) {{ __('and :n more', ['n' => $without->count() - 6]) }} @endif
            @endif</div>
            <button class="btn btn-sm btn-outline-slate"
                data-post="/desk/{{ $session->id }}/handout/{{ $handout->id }}/undo"
                data-body="{}"><x-icon name="arrow-counterclockwise" /> {{ __('Undo for everyone') }}</button>
        </div>
    @endforeach
</div>
