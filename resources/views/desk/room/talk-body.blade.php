@use('Crag\Session\Rules\Deed')
@php($at = "/desk/{$session->id}")
@php($isDown = $seat->pens->isDown())
<p class="talk-name" data-seat="{{ $seat->id }}"><x-seat-name :seat="$seat" /> @if ($seat->hand_at_ms !== null)
    <span class="badge-hand"><x-icon name="hand-index" /> {{ __('hand up') }}</span> @endif</p>
<ol class="letters-list">
    @foreach ($messages as $message)
        <li class="{{ $message->isFromStudent() ? 'is-theirs' : 'is-ours' }}"><b dir="auto">{{ $message->sender }}</b>
            <span dir="auto">{{ $message->words }}</span>
            <button class="btn btn-icon" data-post="{{ $at }}/message/{{ $message->id }}/remove" data-body="{}"
                data-then="talk" title="{{ __('Remove this message') }}"><x-icon name="trash3" /><span
                class="visually-hidden">{{ __('Remove this message') }}</span></button></li>
    @endforeach
</ol>
<form data-post="{{ $at }}/hand" data-then="talk">
    <input type="hidden" name="seat" value="{{ $seat->id }}">
    <label for="talk-words">{{ __('Write to this student') }}</label>
    <textarea id="talk-words" name="words" class="form-control" rows="2" maxlength="{{ Crag\Session\Room\ShortMessage::LONGEST }}" dir="auto" required></textarea>
    <div class="ready-replies" role="group" aria-label="{{ __('Ready replies') }}">
        @foreach ([__('I’m coming.'), __('Look at the prompt again.'), __('Draw it first.'), __('Check your units.'),
            __('Well spotted!')] as $reply)
            <button type="button" class="chip" data-post="{{ $at }}/hand"
                data-body="{{ json_encode(['seat' => $seat->id, 'words' => $reply]) }}"
                data-then="talk">{{ $reply }}</button>
        @endforeach
    </div>
    <div class="panel-row">
        <button class="btn btn-go"><x-icon name="send" /> {{ __('Send') }}</button>
        @if ($seat->hand_at_ms !== null) <button type="button" class="btn btn-outline-slate" data-post="{{ $at }}/hand"
            data-body="{{ json_encode(['seat' => $seat->id]) }}" data-then="talk">{{ __('Lower the hand') }}</button>
            @endif
    </div>
</form>
<hr>
<div class="panel-row">
    <button class="btn btn-outline-slate" data-do="open-seat" data-seat="{{ $seat->id }}"><x-icon name="zoom-in" />
        {{ __('Close-up') }}</button>
    @if (config('crag.live_talk') && $deeds->may(Deed::TalkLive)) <button class="btn btn-outline-slate"
        data-do="talk-live" data-seat="{{ $seat->id }}"><x-icon name="volume-up" /> {{ __('Talk live') }}</button> @endif
    <button class="btn btn-outline-slate" data-do="rename" data-seat="{{ $seat->id }}"
        data-name="{{ $seat->name }}"><x-icon name="pencil-square" /> {{ __('Rename') }}</button>
    @if ($deeds->may(Deed::SendOut))
        <button class="btn btn-outline-slate" data-post="{{ $at }}/pens"
            data-body="{{ json_encode(['seat' => $seat->id, 'down' => ! $isDown, 'words' => '']) }}"
            data-then="talk"><x-icon name="pause-circle" /> {{ $isDown ? __('Pens up') : __('Pens down') }}</button>
        <button class="btn btn-outline-danger" data-do="send-out" data-seat="{{ $seat->id }}"
            data-name="{{ $seat->name }}"><x-icon name="person-dash" /> {{ __('Send out') }}</button>
    @endif
</div>
