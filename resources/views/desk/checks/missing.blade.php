<div id="missing" class="missing" @isset($swap) hx-swap-oob="true" @endisset>
    @if ($session->roster !== null)
        <h3 class="h6">{{ $missing->isEmpty() ? __('Everyone in :class is here.', ['class' => $session->roster->name])
            : __(':n of :class are missing', ['n' => $missing->count(), 'class' => $session->roster->name]) }}</h3>
        <p dir="auto">{{ $missing->implode('name', ' · ') }}</p>
    @endif
</div>
