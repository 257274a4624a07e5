<div id="pieces-to" @isset($swap) hx-swap-oob="true" @endisset>
    <label for="pieces-seats">{{ __('To') }}</label>
    <select id="pieces-seats" name="to" class="form-select">
        <option value="">{{ __('Everyone, including anyone who joins later') }}</option>
        @php($groups = $waiting->inside->groupBy(fn ($seat) => $seat->groupName())->forget('')->sortKeys(SORT_NATURAL))
        @foreach ($groups as $group => $members)
            <option value="{{ $members->pluck('id')->implode(' ') }}">{{ __('Group :group (:n)',
                ['group' => $group, 'n' => $members->count()]) }}</option>
        @endforeach
        @foreach ($waiting->inside as $seat)
            <option value="{{ $seat->id }}"
                dir="auto">{{ $settings->deskNames->show($seat->name, $seat->seatName())
                ?: __('Student') }}</option>
        @endforeach
    </select>
</div>
