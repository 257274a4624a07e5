@php($view = $session->screen_view)
@php($runs = $role === Crag\Session\Role::Colleague)
<footer id="lineup" class="lineup" aria-label="{{ __('Class screen') }}" @isset($swap) hx-swap-oob="true" @endisset>
    <span class="lineup-label"><x-icon name="easel" /> {{ __('The class screen shows') }}</span>
    @foreach (['join' => __('How to join'), 'prompt' => __('The prompt')] + ($session->ask_id === null ? [] : ['tally' => __('The tally')]) + ['nothing' => __('Nothing')] as $value => $word)
        <button id="screen-{{ $value }}" class="chip" @disabled(! $runs) hx-post="{{ route('desk.screen', $session) }}" hx-vals='{"view":"{{ $value }}"}' hx-swap="none"
                aria-pressed="{{ $view->value === $value ? 'true' : 'false' }}">{{ $word }}</button>
    @endforeach
    <span class="lineup-entries">
    @foreach ($lineup as $entry)
        @php($isShown = $view->value === 'showcase' && $session->showcase?->canvas_id === $entry->canvas_id && $session->showcase->page === $entry->page && $session->showcase->at_operation === $entry->at_operation)
        <span class="lineup-entry">
            <button class="chip" id="lineup-{{ $entry->id }}" @disabled(! $runs) data-post="/desk/{{ $session->id }}/line-up/{{ $entry->id }}/show" data-body="{}" aria-pressed="{{ $isShown ? 'true' : 'false' }}" title="{{ __('Show on the class screen as it was when it was chosen') }}">
                <span class="lineup-n">{{ $entry->canvas->prompt->n }}</span> <x-seat-name :seat="$entry->canvas->seat" />@if ($entry->with_notes) <x-icon name="journal-text" /><span class="visually-hidden">{{ __('with private notes') }}</span>@endif</button>
            <button class="btn btn-icon" data-post="/desk/{{ $session->id }}/line-up/{{ $entry->id }}/remove" data-body="{}" title="{{ __('Out of the line-up') }}"><x-icon name="x" /><span class="visually-hidden">{{ __('Out of the line-up') }}</span></button>
        </span>
    @endforeach
    </span>
    @if ($session->showcase !== null && $lineup->doesntContain(fn ($entry) => $entry->canvas_id === $session->showcase->canvas_id && $entry->page === $session->showcase->page))
        <button id="screen-showcase" class="chip" @disabled(! $runs) hx-post="{{ route('desk.screen', $session) }}" hx-vals='{"view":"showcase"}' hx-swap="none"
                aria-pressed="{{ $view->value === 'showcase' ? 'true' : 'false' }}">{{ __('Showcase') }}:
            <x-seat-name :seat="$session->showcase->canvas->seat" /></button>
    @endif
    @if ($lineup->isEmpty()) <span class="lineup-hint">{{ __('S on a tile puts it here') }}</span> @endif
    <div class="lineup-names" role="group" aria-label="{{ __('Names on what is shown') }}">
        {{ __('Names shown') }}
        @foreach (Crag\Session\NameMode::cases() as $mode)
            <button id="shown-{{ $mode->value }}" class="chip chip-quiet" @disabled(! $runs) data-post="/desk/{{ $session->id }}/settings" data-body="{{ json_encode(['shown_names' => $mode->value]) }}" aria-pressed="{{ $settings->shownNames === $mode ? 'true' : 'false' }}">{{ __($mode->word()) }}</button>
        @endforeach
    </div>
    <a class="btn btn-sm btn-slate ms-auto" href="{{ route('screen.open', [$session, $session->screen_key]) }}" target="_blank" rel="noopener"><x-icon name="box-arrow-up" /> {{ __('Open the class screen') }}</a>
</footer>
