@use('Crag\Session\Rules\Deed')
{{-- A group that draws together: who is in it, and what can be done with all of them. --}}
@php($ids = array_map(fn ($one) => $one->id, $members))
@php($areDown = $members !== [] && array_filter($members, fn ($one) => ! $one->pens->isDown()) === [])
<p class="talk-name" data-seat="{{ $group->id }}"><b dir="auto">{{ $group->name }}</b></p>
@if ($members === [])
    <p class="form-text">{{ __('Nobody from this group is here right now. Their canvas is kept.') }}</p>
@else
    <ul class="group-people">
        @foreach ($members as $member)
            <li><x-seat-name :seat="$member" /> @if ($member->hand_at_ms !== null) <span
                class="badge-hand"><x-icon name="hand-index" /> {{ __('hand up') }}</span> @endif
                @if ($member->pens->isDown()) <span class="form-text">{{ __('pens down') }}</span> @endif
                <button class="chip" data-do="talk" data-seat="{{ $member->id }}">{{ __('Open') }}</button></li>
        @endforeach
    </ul>
    @if ($deeds->may(Deed::SendOut))
        <button class="btn btn-outline-slate" data-post="/desk/{{ $session->id }}/pens"
            data-body="{{ json_encode(['seats' => $ids, 'down' => ! $areDown, 'words' => '']) }}"
            data-then="talk"><x-icon name="pause-circle" /> {{ $areDown ? __('Pens up for this group')
            : __('Pens down for this group') }}</button>
    @endif
@endif
