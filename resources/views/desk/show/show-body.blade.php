@use('Crag\Session\Rules\Deed')
@php($view = $session->screen_view)
@php($may = $deeds->may(Deed::ChooseScreen))
<div id="show-body" @isset($swap) hx-swap-oob="true" @endisset>
    <p class="show-now"><b>{{ __($view->word()) }}</b> · {{ __($session->shown_on->word()) }}
        @if ($view->value !== 'nothing')
            <button class="btn btn-sm btn-outline-slate" id="take-down" @disabled(! $may)
                data-post="/desk/{{ $session->id }}/screen" data-body='{"view":"nothing"}'><x-icon name="x-lg" />
                {{ __('Take it down') }}</button>
        @endif</p>
    <h3 class="h6">{{ __('What') }}</h3>
    <div class="show-choices" role="group" aria-label="{{ __('What the class sees') }}">
        @foreach (['prompt' => __('The prompt'), 'join' => __('How to join')] + ($session->ask_id === null ? []
            : ['tally' => __('The tally')]) +
            ($seats->contains(fn ($seat) => $seat->group !== null) ? ['groups' => __('The groups')] : []) +
            ['nothing' => __('Nothing')] as $value => $word)
            <button id="screen-{{ $value }}" class="chip" @disabled(! $may) data-post="/desk/{{ $session->id }}/screen"
                data-body='{"view":"{{ $value }}"}'
                aria-pressed="{{ $view->value === $value ? 'true' : 'false' }}">{{ $word }}</button>
        @endforeach
        @if ($session->showcase !== null && ! $session->showcase->items->isEmpty())
            <button id="screen-showcase" class="chip" @disabled(! $may) data-post="/desk/{{ $session->id }}/screen"
                data-body='{"view":"showcase"}' aria-pressed="{{ $view->value === 'showcase' ? 'true' : 'false' }}">
                @foreach ($session->showcase->items as $item) @if ($item->canvas->seat !== null)
                    <x-seat-name :seat="$item->canvas->seat" />@if (! $loop->last), @endif @else
                    {{ __('Lead canvas') }} @endif @endforeach</button>
        @endif
        @if ($settings->offers)
            <button class="chip {{ $offersWaiting > 0 ? 'chip-attention' : 'chip-quiet' }}" id="offers-button" data-do="offers"
                aria-pressed="{{ $view->value === 'board' ? 'true' : 'false' }}"
                title="{{ __('Work students have offered (E)') }}">{{ __('Offered work') }} @if ($offersWaiting > 0)
                <b class="count">{{ $offersWaiting }}</b> @endif</button>
        @endif
        @if ($may && $view->value === 'showcase' && ($session->showcase?->items->count() ?? 0) > 1)
            <button class="chip" id="ask-works" data-post="/desk/{{ $session->id }}/ask-works" data-body="{}"
                title="{{ __('A quick ask whose choices are the works: A, B, …') }}"><x-icon name="question-circle" />
                {{ __('Which do you agree with?') }}</button>
        @endif
        @if ($may && $view->value === 'showcase')
            <button class="chip" id="talking-button" data-do="talking"
                title="{{ __('Draw over what the class sees, point, make it larger (U)') }}"><x-icon name="pen" />
                {{ __('Draw over it') }}</button>
        @endif
    </div>
    @if ($may && $view->value === 'showcase' && $session->showcase !== null)
        <h3 class="h6">{{ __('Say something kind') }}</h3>
        <div class="show-praise">
            <input id="praise-words" class="form-control" maxlength="60" dir="auto" hx-preserve="true"
                aria-label="{{ __('What you say') }}" value="{{ __('Well done') }}">
            <div class="show-choices" role="group" aria-label="{{ __('Of which work') }}">
                @foreach ($session->showcase->items as $item)
                    @if ($item->canvas->seat !== null)
                        <button class="chip" data-do="praise" data-n="{{ $item->n }}"
                            aria-pressed="{{ $item->praise === '' ? 'false' : 'true' }}"
                            title="{{ __('The class sees the letter. Only its author is told whose it is.') }}"><x-icon name="award" />
                            {{ $session->showcase->items->count() > 1 ? Crag\Session\Screen\Letter::at($item->n - 1)
                            : __('This work') }}</button>
                    @endif
                @endforeach
            </div>
        </div>
    @endif
    <h3 class="h6">{{ __('Where chosen work is shown') }}</h3>
    <div class="show-choices" role="group" aria-label="{{ __('Where chosen work is shown') }}">
        @foreach (Crag\Session\Screen\Destination::cases() as $where)
            <button id="shown-on-{{ $where->value }}" class="chip" @disabled(! $may)
                data-post="/desk/{{ $session->id }}/shown-on" data-body="{{ json_encode(['on' => $where->value]) }}"
                aria-pressed="{{ $where === $session->shown_on ? 'true' : 'false' }}">{{ __($where->word()) }}</button>
        @endforeach
    </div>
    <h3 class="h6">{{ __('Names on what is shown') }}</h3>
    <div class="show-choices" role="group" aria-label="{{ __('Names on what is shown') }}">
        @foreach (Crag\Session\Door\NameMode::cases() as $mode)
            <button id="shown-{{ $mode->value }}" class="chip" @disabled(! $may)
                data-post="/desk/{{ $session->id }}/settings"
                data-body="{{ json_encode(['shown_names' => $mode->value]) }}"
                aria-pressed="{{ $settings->shownNames === $mode ? 'true' : 'false' }}">{{ __($mode->word()) }}</button>
        @endforeach
    </div>
</div>
