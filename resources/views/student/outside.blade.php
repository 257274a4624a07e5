@php($state = $seat->state)
@php($told = match ($state) {
    Crag\Session\Room\SeatState::Knocking => [__('You’re knocking'),
        __('Your teacher sees you as “:name” and will let you in soon. Leave this page open.', ['name' => $seat->name])],
    Crag\Session\Room\SeatState::TurnedAway => [__('Not this time'), __('Your teacher didn’t let you in. If it was your name, change it and knock again.')],
    default => [__('You’re outside for now'),
        __('Your teacher has asked you to leave the room for a while. Everything you drew is kept.')],
})
<x-layout :title="$session->title" script="outside" class="home"
    :page="['address' => '/seat/'.$seat->id, 'channel' => $seat->channelId(), 'join' => '/join/'.$session->join_code, 'state' => $state->value, 'position' => App\Live\CatchUp::position($session, App\Live\Audience::seat($seat))]">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper outside" data-state="{{ $state->value }}" aria-live="polite">
            <h1>{{ $told[0] }}</h1>
            <p>{{ $told[1] }}</p>
            @if ($seat->reason !== '') <blockquote class="outside-reason" dir="auto">{{ $seat->reason }}</blockquote>
                @endif
            @if ($state === Crag\Session\Room\SeatState::Knocking)
                <p class="outside-wait" aria-hidden="true"><i></i><i></i><i></i></p>
            @elseif ($state === Crag\Session\Room\SeatState::KeptOut)
                <p class="mb-0">{{ __('Talk to your teacher. This page opens by itself when you can come back.') }}</p>
            @else
                @if ($state === Crag\Session\Room\SeatState::TurnedAway) <label
                    for="knock-name">{{ __('Your name') }}</label>
                    <input id="knock-name" class="form-control mb-2" maxlength="60" dir="auto" autocomplete="off"
                    value="{{ $seat->name }}" aria-describedby="knock-problem"> @endif
                <button id="knock" class="btn btn-go btn-lg w-100"><x-icon name="door-open" />
                    {{ __('Knock') }}</button>
                <p id="knock-problem" class="problem" role="alert"></p>
            @endif
        </section>
    </main>
</x-layout>
