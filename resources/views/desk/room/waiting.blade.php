{{-- Who wants something, in order: those who knock, and hands. --}}
<section id="{{ $as ?? 'waiting' }}" class="waiting" aria-label="{{ __('Waiting for you') }}" @isset($swap)
    hx-swap-oob="true" @endisset>
    @if (isset($as) && $waiting->count() === 0) <p
        class="waiting-none form-text">{{ __('Nobody is waiting.') }}</p> @endif
    @if ($waiting->knocking->isNotEmpty())
        <h2>{{ __('Knocking') }}</h2>
        @if ($session->carries_on_id !== null) <p
            class="waiting-note">{{ __('Students carry on with their earlier work here, so only let in people you know.') }}</p>
            @endif
        @foreach (isset($as) ? $waiting->knocking : $waiting->knocking->take(3) as $seat)
            <div class="waiting-one is-knocking">
                <span class="waiting-name" dir="auto">{{ $seat->name }}</span>
                @if ($seat->claims_id !== null) <span
                    class="waiting-note">{{ __('says: I’m :name',
                    ['name' => $seats->firstWhere('id', $seat->claims_id)?->name]) }}</span> @endif
                <div class="rail-steps">
                    @if ($seat->claims_id === null) <button class="btn btn-sm btn-go"
                        data-post="/desk/{{ $session->id }}/let-in"
                        data-body="{{ json_encode(['seats' => [$seat->id]]) }}">{{ __('Let in') }}</button>
                    @else @include('desk.room.who-is-it') @endif
                    <button class="rail-step" data-do="door" title="{{ __('The door, and who’s knocking') }}">…<span
                        class="visually-hidden">{{ __('More') }}</span></button>
                </div>
            </div>
        @endforeach
        @if ($waiting->knocking->count() > 1) <button class="rail-step" data-post="/desk/{{ $session->id }}/let-in"
            data-body='{"all":true}'>{{ __('Let all :n in', ['n' => $waiting->knocking->count()]) }}</button> @endif
    @endif
    @if ($waiting->hands->isNotEmpty())
        <h2>{{ __('Hands') }}</h2>
        <ol class="hands">
            @foreach ($waiting->hands as $i => $seat)
                @php($note = $messages->get($seat->id)?->last(fn ($message) => $message->isFromStudent()
                    && $message->made_at_ms >= $seat->hand_at_ms))
                <li><button class="waiting-one" data-do="talk" data-seat="{{ $seat->id }}">
                    <b>{{ $i + 1 }}</b> <span class="waiting-name"><x-seat-name :seat="$seat" /></span>
                    @if ($note !== null) <span class="waiting-note" dir="auto">{{ Str::limit($note->words, 60) }}</span>
                        @endif
                </button></li>
            @endforeach
        </ol>
    @endif
</section>
