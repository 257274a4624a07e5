@use('Crag\Session\Rules\Deed')
{{-- The plan for the talk: work in the order in which it is talked about. Not there while it is empty. --}}
@php($view = $session->screen_view)
<footer id="lineup" class="lineup" aria-label="{{ __('Line-up') }}" @if ($lineup->isEmpty()) hidden @endif
    @isset($swap) hx-swap-oob="true" @endisset>
    <span class="lineup-label">{{ __('Line-up') }}</span>
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
                <b class="lineup-letter">{{ Crag\Session\Screen\Letter::at($loop->index) }}</b>
                @if ($prompts->count() > 1) <span class="lineup-n">{{ $entry->canvas->prompt->n }}</span> @endif
                    <x-seat-name :seat="$entry->canvas->seat" />@if ($entry->is_live) <x-icon name="broadcast" /><span
                    class="visually-hidden">{{ __('live') }}</span>@endif
                @if ($entry->canvas->seat->keeps_back) <span class="keeps-back"
                    title="{{ __('Asks not to be shown') }}"><x-icon name="eye-slash" /></span><span
                    class="visually-hidden">{{ __('asks not to be shown') }}</span>@endif
                @if ($entry->talk_id !== null) <x-icon name="mic" /><span
                    class="visually-hidden">{{ __('with its voice') }}</span>@endif
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
</footer>
