@use('Crag\Session\Rules\Deed')
@php($groups = $waiting->inside->groupBy(fn ($seat) => $seat->groupName())->forget('')->sortKeys(SORT_NATURAL))
<fieldset id="recipients" @isset($swap) hx-swap-oob="true" @endisset>
    <legend>{{ __('To') }}</legend>
    <x-choice type="radio" name="to" value="all"
        :checked="$deeds->may(Deed::HandOut)" :disabled="! $deeds->may(Deed::HandOut)">
        {{ __('Everyone, including anyone who joins later') }}</x-choice>
    @foreach ($groups as $group => $members)
        <x-choice type="radio" name="to" value="group"
            data-seats="{{ $members->pluck('id')->implode(' ') }}">
            {{ __('Group :group (:n)', ['group' => $group, 'n' => $members->count()]) }}</x-choice>
    @endforeach
    <x-choice type="radio" name="to" value="some"
        :checked="! $deeds->may(Deed::HandOut)"> {{ __('These students') }}</x-choice>
    <div class="recipient-list">
        @foreach ($waiting->inside as $seat)
            <x-choice name="seats[]" value="{{ $seat->id }}">
                <x-seat-name :seat="$seat" /></x-choice>
        @endforeach
    </div>
</fieldset>
