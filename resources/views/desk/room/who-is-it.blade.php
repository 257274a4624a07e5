{{-- Somebody typed the name of a student who is in: what is known of both devices stands in the window that asks. --}}
@php($claims = $seats->firstWhere('id', $seat->claims_id))
@if ($claims !== null)
    @php($here = app(App\Sessions\Room\Presence::class)->isHere($claims))
    <button type="button" class="btn btn-sm btn-outline-slate" data-do="who-is-it" data-seat="{{ $seat->id }}"
        data-name="{{ $claims->name }}"
        data-there="{{ $here ? __('In the room: open now on a :device.', ['device' => __($claims->device->word())])
            : __('In the room, but their page isn’t open. It was last open on a :device.',
            ['device' => __($claims->device->word())]) }}"
        data-asks="{{ __('At the door: a :device.', ['device' => __($seat->device->word())]) }}"
            data-here="{{ $here ? '1' : '' }}">{{ __('Who is it?') }}</button>
@endif
