@use('Crag\Session\Rules\Deed')
{{-- What changes while people come and go. --}}
@php($at = "/desk/{$session->id}")
@php($by = $seats->groupBy(fn ($seat) => $seat->state->value))
<div id="doorway" @isset($swap) hx-swap-oob="true" @endisset>
    <div class="door-states" role="group" aria-label="{{ __('Door') }}">
        @foreach (Crag\Session\Door\Door::cases() as $door)
            @if (! $door->needsClassList() || $session->roster_id !== null) <button class="chip"
                data-post="{{ $at }}/door" data-body="{{ json_encode(['door' => $door->value]) }}"
                @disabled(! $deeds->may(Deed::SetDoor)) aria-pressed="{{ $session->door === $door ? 'true' : 'false' }}"
                title="{{ __($door->meaning()) }}">{{ __($door->word()) }}</button> @endif
        @endforeach
    </div>
    @if ($by->has('knocking'))
        <h3 class="h6">{{ trans_choice('{1} :count student knocks|[2,*] :count students knock',
            $by['knocking']->count()) }}</h3>
        <form data-post="{{ $at }}/let-in" class="knocking">
            @foreach ($by['knocking'] as $seat)
                @php($claims = $seats->firstWhere('id', $seat->claims_id))
                <div class="seat-line" data-seat="{{ $seat->id }}">
                    <x-choice name="seats[]" value="{{ $seat->id }}">
                        <b dir="auto">{{ $seat->name }}</b> <span
                        class="form-text">{{ __($seat->device->word()) }}@if ($seat->isUnlisted()) ·
                        {{ __('not on the list') }}@endif</span></x-choice>
                    @if ($claims !== null)
                        <span class="form-text">{{ __(':name is already in the room.',
                            ['name' => $claims->name]) }}</span>
                        @include('desk.room.who-is-it')
                    @else
                        <button type="button" class="btn btn-sm btn-go" data-post="{{ $at }}/let-in"
                            data-body="{{ json_encode(['seats' => [$seat->id]]) }}">{{ __('Let in') }}</button>
                    @endif
                    <button type="button" class="btn btn-sm btn-outline-slate" data-do="rename"
                        data-seat="{{ $seat->id }}" data-name="{{ $seat->name }}">{{ __('Rename') }}</button>
                    <button type="button" class="btn btn-sm btn-outline-danger" data-do="turn-away"
                        data-seat="{{ $seat->id }}" data-name="{{ $seat->name }}">{{ __('Turn away') }}</button>
                </div>
            @endforeach
            <div class="panel-row">
                <button class="btn btn-sm btn-outline-slate">{{ __('Let in those ticked') }}</button>
                <button type="button" class="btn btn-sm btn-go" data-post="{{ $at }}/let-in"
                    data-body='{"all":true}'>{{ __('Let all in') }}</button>
            </div>
        </form>
    @endif
    @foreach (['kept_out' => __('Kept out'), 'sent_out' => __('Sent out'),
        'turned_away' => __('Turned away')] as $state => $word)
        @if ($by->has($state))
            <h3 class="h6">{{ $word }}</h3>
            @foreach ($by[$state] as $seat)
                <div class="seat-line" data-seat="{{ $seat->id }}"><b dir="auto">{{ $seat->name }}</b>
                    @if ($seat->reason !== '') <span class="form-text">{{ $seat->reason }}</span> @endif
                    <button class="btn btn-sm btn-outline-slate ms-auto" data-post="{{ $at }}/let-in"
                        data-body="{{ json_encode(['seats' => [$seat->id]]) }}">{{ __('Let back in') }}</button></div>
            @endforeach
        @endif
    @endforeach
    @if ($by->has('seated'))
        <h3 class="h6">{{ trans_choice('{1} :count in the room|[2,*] :count in the room',
            $by['seated']->count()) }}</h3>
        <ul class="seat-list">
            @foreach ($by['seated'] as $seat)
                <li><button class="seat-line" data-do="talk" data-seat="{{ $seat->id }}">
                    <span class="seat-n">{{ $seat->n }}</span> <span class="seat-name"><x-seat-name :seat="$seat"
                        /></span>
                    <span class="seat-state" data-state-of="{{ $seat->id }}"></span>
                    <span class="form-text">{{ __($seat->device->word()) }}@if ($seat->light || $settings->light),
                        {{ __('light data') }}@endif @if ($seat->answers_count > 0) ·
                        {{ trans_choice('{1} :count answer|[2,*] :count answers', $seat->answers_count) }} @endif
                        @if ($seat->seen_at_ms > 0) ·
                            {{ __('seen :time',
                            ['time' => App\Live\SchoolTime::of($seat->seen_at_ms)->format('H:i')]) }} @endif</span>
                </button></li>
            @endforeach
        </ul>
    @endif
    @if ($deeds->may(Deed::SendOut) && $fresh >= App\Models\LiveSession::MANY_FRESH)
        <details class="door-join">
            <summary>{{ __('Is someone filling the room?') }}</summary>
            <p
                class="form-text">{{ __('This removes everyone who joined in the last :minutes minutes and has drawn nothing. They can join again while the door is open, so shut it first.',
                ['minutes' => App\Models\LiveSession::FRESH_MINUTES]) }}</p>
            <button class="btn btn-sm btn-outline-danger"
                data-post="{{ $at }}/clear-fresh">{{ __('Remove these :n', ['n' => $fresh]) }}</button>
        </details>
    @endif
</div>
