@php($view = $session->screen_view)
<footer id="lineup" class="lineup" aria-label="{{ __('Class screen') }}" @isset($swap) hx-swap-oob="true" @endisset>
    <span class="lineup-label"><x-icon name="easel" /> {{ __('The class screen shows') }}</span>
    @foreach (['join' => __('How to join'), 'prompt' => __('The prompt'), 'nothing' => __('Nothing')] as $value => $word)
        <button id="screen-{{ $value }}" class="chip" hx-post="{{ route('desk.screen', $session) }}" hx-vals='{"view":"{{ $value }}"}' hx-swap="none"
                aria-pressed="{{ $view->value === $value ? 'true' : 'false' }}">{{ $word }}</button>
    @endforeach
    @if ($session->showcase !== null)
        <button id="screen-showcase" class="chip" hx-post="{{ route('desk.screen', $session) }}" hx-vals='{"view":"showcase"}' hx-swap="none"
                aria-pressed="{{ $view->value === 'showcase' ? 'true' : 'false' }}">{{ __('Showcase') }}:
            <span class="name-real" dir="auto">{{ $session->showcase->canvas->seat->name }}</span><span class="name-seat">{{ __('Seat :n', ['n' => $session->showcase->canvas->seat->n]) }}</span></button>
        <button id="showcase-named" class="chip chip-quiet" hx-post="{{ route('desk.showcase.named', $session) }}" hx-vals='{"named":{{ $session->showcase->named ? 0 : 1 }}}' hx-swap="none"
                aria-pressed="{{ $session->showcase->named ? 'true' : 'false' }}">{{ $session->showcase->named ? __('with the name') : __('without the name') }}</button>
    @else
        <span class="lineup-hint">{{ __('S on a tile shows it here') }}</span>
    @endif
    <a class="btn btn-sm btn-slate ms-auto" href="{{ route('screen.open', [$session, $session->screen_key]) }}" target="_blank" rel="noopener"><x-icon name="box-arrow-up" /> {{ __('Open the class screen') }}</a>
</footer>
