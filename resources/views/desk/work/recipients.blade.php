@use('Crag\Session\Rules\Deed')
@php($inside = $seats->where('state', Crag\Session\Room\SeatState::Seated))
@php($groups = $inside->groupBy(fn ($seat) => $seat->groupName())->forget('')->sortKeys(SORT_NATURAL))
<fieldset id="recipients" @isset($swap) hx-swap-oob="true" @endisset>
    <legend>{{ __('To') }}</legend>
    <label class="choice"><input type="radio" name="to" value="all"
        @checked($deeds->may(Deed::HandOut)) @disabled(! $deeds->may(Deed::HandOut))>
        {{ __('Everyone, including anyone who joins later') }}</label>
    @foreach ($groups as $group => $members)
        <label class="choice"><input type="radio" name="to" value="group"
            data-seats="{{ $members->pluck('id')->implode(' ') }}">
            {{ __('Group :group (:n)', ['group' => $group, 'n' => $members->count()]) }}</label>
    @endforeach
    <label class="choice"><input type="radio" name="to" value="some"
        @checked(! $deeds->may(Deed::HandOut))> {{ __('These students') }}</label>
    <div class="recipient-list">
        @foreach ($inside as $seat)
            <label class="choice"><input type="checkbox" name="seats[]" value="{{ $seat->id }}">
                <x-seat-name :seat="$seat" /></label>
        @endforeach
    </div>
</fieldset>
