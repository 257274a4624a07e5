@use('Crag\Session\Rules\Deed')
@php($view = $session->screen_view)
<footer id="lineup" class="lineup" aria-label="{{ __('Class screen') }}" @isset($swap) hx-swap-oob="true" @endisset>
    <span class="lineup-label"><x-icon name="easel" /><span
        class="visually-hidden">{{ __('The class screen shows') }}</span></span>
    @foreach (['join' => __('How to join'),
        'prompt' => __('The prompt')] + ($session->ask_id === null ? []
        : ['tally' => __('The tally')]) + ['nothing' => __('Nothing')] as $value => $word)
        <button id="screen-{{ $value }}" class="chip" @disabled(! $deeds->may(Deed::ChooseScreen)) data-post="/desk/{{ $session->id }}/screen"
            data-body='{"view":"{{ $value }}"}' aria-pressed="{{ $view->value === $value ? 'true' : 'false' }}">{{ $word }}</button>
    @endforeach
    @if ($deeds->may(Deed::ChooseScreen) && $lineup->count() > 1)
        <button class="btn btn-icon" id="lineup-back" data-post="/desk/{{ $session->id }}/line-up/step"
            data-body='{"by":-1}' title="{{ __('The one before ([)') }}"><x-icon name="chevron-left" /><span
            class="visually-hidden">{{ __('Show the one before') }}</span></button>
    @endif
    <span class="lineup-entries">
    @php($shown = $view->value === 'showcase' ? $session->showcase?->items->pluck('lineup_entry_id')->all() ?? [] : [])
    @foreach ($lineup as $entry)
        <span class="lineup-entry" data-entry="{{ $entry->id }}" draggable="{{ $deeds->may(Deed::ChooseScreen) ? 'true' : 'false' }}">
            <button class="chip" id="lineup-{{ $entry->id }}" data-do="show-entry" data-entry="{{ $entry->id }}"
                @disabled(! $deeds->may(Deed::ChooseScreen)) aria-pressed="{{ in_array($entry->id, $shown, true) ? 'true' : 'false' }}"
                    title="{{ $entry->caption !== '' ? $entry->caption
                        : __('Show it. Ctrl+click puts it beside what’s shown. Drag it, or press Alt+← →, to move it') }}">
                <span class="lineup-n">{{ $entry->canvas->prompt->n }}</span>
                    <x-seat-name :seat="$entry->canvas->seat" />@if ($entry->is_live) <x-icon name="broadcast" /><span
                    class="visually-hidden">{{ __('live') }}</span>@endif
                @if ($entry->canvas->seat->keeps_back) <span class="keeps-back"
                    title="{{ __('Asks not to be shown') }}"><x-icon name="eye-slash" /></span><span
                    class="visually-hidden">{{ __('asks not to be shown') }}</span>@endif
                @if ($entry->with_notes) <x-icon name="journal-text" /><span
                    class="visually-hidden">{{ __('with private notes') }}</span>@endif</button>
            <button class="btn btn-icon" data-do="entry"
                data-entry="{{ json_encode(['id' => $entry->id, 'caption' => $entry->caption,
                'is_live' => $entry->is_live, 'names' => $entry->names?->value, 'with_notes' => $entry->with_notes]) }}"
                title="{{ __('Caption, moment, names, order') }}"><x-icon name="three-dots" /><span
                class="visually-hidden">{{ __('Caption, moment, names, order') }}</span></button>
        </span>
    @endforeach
    </span>
    @if ($deeds->may(Deed::ChooseScreen) && $lineup->count() > 1)
        <button class="btn btn-icon" id="lineup-on" data-post="/desk/{{ $session->id }}/line-up/step"
            data-body='{"by":1}' title="{{ __('The next one (])') }}"><x-icon name="chevron-right" /><span
            class="visually-hidden">{{ __('Show the next one') }}</span></button>
    @endif
    @if ($session->showcase !== null
        && $session->showcase->items->contains(fn ($item) => $item->lineup_entry_id === null))
        <button id="screen-showcase" class="chip" @disabled(! $deeds->may(Deed::ChooseScreen)) data-post="/desk/{{ $session->id }}/screen"
            data-body='{"view":"showcase"}' aria-pressed="{{ $view->value === 'showcase' ? 'true' : 'false' }}">{{ __('Showcase') }}:
            @foreach ($session->showcase->items as $item) @if ($item->canvas->seat !== null)
                <x-seat-name :seat="$item->canvas->seat" /> @endif @endforeach</button>
    @endif
    @if ($lineup->isEmpty()) <span class="lineup-hint">{{ __('Press S on a tile to add it') }}</span> @endif
    @if ($settings->offers)
        <button class="chip {{ $offersWaiting > 0 ? 'chip-attention' : 'chip-quiet' }}" id="offers-button" data-do="offers"
            aria-pressed="{{ $view->value === 'board' ? 'true' : 'false' }}"
            title="{{ __('Work students have offered (E)') }}">{{ __('Offered work') }} @if ($offersWaiting > 0)
            <b class="count">{{ $offersWaiting }}</b> @endif</button>
    @endif
    @if ($deeds->may(Deed::ChooseScreen) && $view->value === 'showcase')
        <button class="btn btn-icon" id="talking-button" data-do="talking"
            title="{{ __('Draw over what the class sees, point, make it larger (U)') }}"><x-icon name="pen" /><span
            class="visually-hidden">{{ __('Draw over what the class sees') }}</span></button>
    @endif
    <select id="shown-on" class="form-select form-select-sm lineup-on"
        aria-label="{{ __('Where chosen work is shown') }}" @disabled(! $deeds->may(Deed::ChooseScreen))>
        @foreach (Crag\Session\Screen\Destination::cases() as $where)<option value="{{ $where->value }}"
            @selected($where === $session->shown_on)>{{ __($where->word()) }}</option>@endforeach
    </select>
    <div class="lineup-names" role="group" aria-label="{{ __('Names on what is shown') }}">
        @foreach (Crag\Session\Door\NameMode::cases() as $mode)
            <button id="shown-{{ $mode->value }}" class="chip chip-quiet" @disabled(! $deeds->may(Deed::ChooseScreen))
                data-post="/desk/{{ $session->id }}/settings"
                data-body="{{ json_encode(['shown_names' => $mode->value]) }}"
                aria-pressed="{{ $settings->shownNames === $mode ? 'true' : 'false' }}">{{ __($mode->word()) }}</button>
        @endforeach
    </div>
    <a class="btn btn-sm btn-slate ms-auto" href="{{ route('screen.open', [$session, $session->screen_key]) }}"
        target="_blank" rel="noopener"><x-icon name="box-arrow-up" /> {{ __('Class screen') }}</a>
</footer>
