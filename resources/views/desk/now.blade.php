<header id="now" class="now" data-names="{{ $session->names_shown ? 'shown' : 'hidden' }}" data-words="{{ $current->words }}" data-backdrop="{{ json_encode($current->backdrop) }}" @isset($swap) hx-swap-oob="true" @endisset>
    <a class="bar-home" href="{{ route('home') }}"><img src="/crag.svg" alt="{{ __('Home') }}" width="28" height="28"></a>
    <h1 class="now-title" title="{{ $session->title }}">{{ $session->title }}</h1>
    <div class="now-prompt">
        <span class="now-label">{{ __('Students have') }}</span>
        <span class="now-words" title="{{ $current->plainWords() }}"><b>{{ __('Prompt :n', ['n' => $current->n]) }}</b>
            {{ $current->words === '' ? __('no words yet') : $current->plainWords() }} · {{ __($current->backdropValue()->kind->word()) }}</span>
    </div>
    <button id="lead-button" class="btn btn-paper" data-do="lead" aria-pressed="false" title="{{ __('Your own canvas for this prompt (F)') }}"><x-icon name="easel" /> <span class="now-word">{{ __('Lead canvas') }}</span></button>
    <button id="tools-button" class="btn btn-paper" data-do="tools" title="{{ __('Which tools students have') }}"><x-icon name="tools" /> <span class="now-word">{{ __('Tools: :tray', ['tray' => __($current->trayInForce()->now->kind->word())]) }}</span></button>
    <button id="hand-out" class="btn btn-paper" data-do="hand-out" title="{{ __('Hand out words and a backdrop (H)') }}"><x-icon name="send" /> {{ __('Hand out') }}</button>
    <form hx-post="{{ route('desk.names', $session) }}" hx-target="#bands-sink" hx-swap="none">
        <input type="hidden" name="shown" value="{{ $session->names_shown ? 0 : 1 }}">
        <button id="names" class="btn btn-paper" aria-pressed="{{ $session->names_shown ? 'true' : 'false' }}" title="{{ __('Names on this desk: on or off (N)') }}">
            @if ($session->names_shown) <x-icon name="eye" /> {{ __('Names on') }} @else <x-icon name="eye-slash" /> {{ __('Names off') }} @endif
        </button>
    </form>
    <button id="door-button" class="btn btn-code" data-do="join" title="{{ __('How students join') }}"><x-icon name="door-open" /> {{ $session->code()->spaced() }}</button>
    <button id="keys-button" class="btn btn-paper" data-do="keys" title="{{ __('All keys (?)') }}"><x-icon name="keyboard" /><span class="visually-hidden">{{ __('Keys') }}</span></button>
    <form action="{{ route('desk.end', $session) }}" method="post"
          data-ask="{{ __('End the session? The code stops working for all :n students; their work is kept, and they can take it with them.', ['n' => $current->canvases_count]) }}">
        @csrf
        <button id="end" class="btn btn-end">{{ __('End') }}</button>
    </form>
</header>
