@php($view = $session->isRunning() ? $session->screen_view->value : 'ended')
@php($pens = App\Sessions\Room\CurrentSituation::pens($session, null))
@if ($session->isRunning() && $pens->isDown()) <div class="shown-pens" id="shown-pens" role="status"><p
    dir="auto"><x-icon name="pause-circle" /> {{ $pens->words === '' ? __('Pens down') : $pens->words }}</p></div>
    @endif
<div class="shown-{{ $view }}" id="shown-{{ $view }}"
    data-room="{{ json_encode(['timer' => $session->timer?->toArray(),
    'sound' => $session->settings->sound, 'clock' => App\Live\Clock::ms()]) }}">
    <p class="shown-timer" id="shown-timer" role="timer" hidden></p>
    @if ($view === 'join')
        <h1>{{ $session->title }}</h1>
        @if ($session->door === Crag\Session\Door\Door::Shut)
            <p class="shown-words">{{ __('The door is shut.') }}</p>
        @else
        <p class="shown-n">{{ trans_choice('{0} Nobody is in yet|{1} :count student is in|[2,*] :count students are in',
            $here) }}</p>
        <div class="shown-ways">
            <div class="shown-code">
                <p>{{ __('Go to') }} <b>{{ request()->getHttpHost() }}</b></p>
                <p>{{ __('and type the code') }}</p>
                <p class="shown-letters">{{ $session->code()->spaced() }}</p>
            </div>
            <div class="shown-qr" data-qr="{{ route('join', $session->join_code) }}" role="img"
                aria-label="{{ __('QR code with the join link') }}"></div>
        </div>
        @endif
    @elseif ($view === 'prompt')
        <p class="shown-n">{{ __('Prompt :n', ['n' => $session->prompt->n]) }}</p>
        <h1 class="shown-words" dir="auto" @if ($session->prompt->words !== '')
            data-maths="{{ $session->prompt->wordsForAll() }}"
            @endif>{{ $session->prompt->words === '' ? $session->title : $session->prompt->wordsForAll() }}</h1>
        @if ($hasPicture)
            <img class="shown-picture" src="{{ route('screen.prompt',
            [$session, $session->prompt]) }}?{{ $session->prompt->sceneVersion() }}"
            alt="{{ __('What is drawn for the prompt') }}"> @endif
        @if ($session->door !== Crag\Session\Door\Door::Shut) <p class="shown-late">{{ __('Late? The code is') }}
            <b>{{ $session->code()->spaced() }}</b></p> @endif
    @elseif ($view === 'showcase' && $session->showcase !== null)
        <h1 class="visually-hidden">{{ __('Showcase') }}</h1>
        @php($items = $session->shown_on->isOnScreen() ? $session->showcase->items : collect())
        <div class="shown-works" id="shown-works" data-showcase="{{ $session->showcase->id }}"
            data-items="{{ json_encode($items->map(fn ($item) => $item->told($session))->values()) }}"
            @if ($items->contains(fn ($item) => $item->at_operation === null)) data-live @endif></div>
    @elseif ($view === 'tally' && $session->ask !== null)
        @php($ask = $session->ask)
        <h1 class="shown-words"
            dir="auto">{{ $ask->question->words === '' ? __('Quick ask') : $ask->question->words }}</h1>
        <p class="shown-n">{{ trans_choice('{0} Nobody has answered yet|{1} :count answer|[2,*] :count answers',
            $ask->answered()) }}@if ($ask->isOpen(App\Live\Clock::ms()) && $ask->ends_at_ms !== null) ·
            <span class="timer-left" data-ends="{{ $ask->ends_at_ms }}" role="timer"></span>@endif</p>
        @if ($ask->picture !== '') <img class="shown-picture" src="/asset/{{ $ask->picture }}"
            alt="{{ __('The picture to the question') }}"> @endif
        @if ($ask->is_tally_shown)
            @include('desk.asks.tally', ['tally' => $ask->tally(), 'before' => $ask->againOf?->tally(),
            'right' => $ask->is_right_shown])
            @if ($ask->moves() !== null) @include('desk.asks.moves', ['moves' => $ask->moves(), 'names' => null]) @endif
        @elseif (in_array($ask->question->asked->kind()->value, ['choice', 'choices'], true))
            <ol class="shown-choices">
                @foreach ($ask->tally()->bars as $bar) <li dir="auto">{{ $bar->label }}</li> @endforeach
            </ol>
        @endif
        @if ($ask->is_right_shown && $ask->question->asked->hasKey()) <p class="shown-right"
            dir="auto">{{ __('Right: :key', ['key' => $ask->question->asked->key()]) }}</p> @endif
        @if ($ask->is_tally_shown && $ask->run_id !== null && $session->run?->teams !== null)
            <section class="shown-teams" aria-label="{{ __('Teams') }}">@include('desk.asks.run-teams',
                ['result' => $session->run->result()])</section> @endif
    @elseif ($view === 'run' && $session->run?->card()?->kind === Crag\Asks\CardKind::Worked
        && ! $session->run->isOver())
        @php($card = $session->run->card())
        <p class="shown-n">{{ __('Worked answer') }}@if ($session->run->ends_at_ms !== null) ·
            <span class="timer-left" data-ends="{{ $session->run->ends_at_ms }}" role="timer"></span>@endif</p>
        <h1 class="shown-words" dir="auto">{{ $card->words }}</h1>
        @if ($card->picture !== '') <img class="shown-picture" src="/asset/{{ $card->picture }}"
            alt="{{ __('The picture to the worked answer') }}"> @endif
    @elseif ($view === 'run' && $session->run !== null && $session->run->is_shown)
        @php($result = $session->run->result())
        <h1 class="shown-words">{{ __('How everyone did') }}</h1>
        <div class="shown-results"
            data-rows="{{ max(count($result->asks), count($result->teams)) }}">@include('desk.asks.run-result')</div>
    @elseif ($view === 'pick')
        @php($names = $session->settings->shownNames)
        @php($name = $picked === null ? '' : $names->show($picked->name, $picked->seatName()))
        @if ($picked !== null) <p class="shown-n">{{ __('Picked') }}</p>
            <h1 class="shown-picked" dir="auto">{{ $name === '' ? __('Seat :n', ['n' => $picked->n]) : $name }}</h1>
            @endif
    @elseif ($view === 'groups')
        @php($names = $session->settings->shownNames)
        <h1 class="shown-words">{{ __('Groups') }}</h1>
        <ul class="shown-group-list" data-groups="{{ $groups->count() }}">
            @foreach ($groups as $n => $seats)
                <li class="shown-group"><h2>{{ __('Group :n', ['n' => $n]) }}
                    @if (($session->group_places[$n - 1] ?? '') !== '') <span class="shown-place"
                        dir="auto">{{ $session->group_places[$n - 1] }}</span> @endif</h2>
                    <p>@foreach ($seats as $seat)
                        @php($name = $names->show($seat->name, $seat->seatName()))
                        <span dir="auto">{{ $name === '' ? __('Seat :n', ['n' => $seat->n]) : $name }}</span>
                    @endforeach</p></li>
            @endforeach
        </ul>
    @elseif ($view === 'board')
        @php($board = $session->board)
        @php($votes = App\Sessions\Show\VoteOnOffers::shown($session))
        <h1 class="visually-hidden">{{ __('Offered work') }}</h1>
        <div class="shown-board" data-columns="{{ count($board->headings) }}"
            data-most="{{ $offers->max(fn ($some) => $some->count()) ?? 0 }}">
            @foreach ($board->headings as $i => $heading)
                <section class="shown-column">
                    @if ($heading !== '') <h2 dir="auto">{{ $heading }}</h2> @endif
                    @foreach ($offers->get($i, collect())->sortBy('place') as $offer)
                        @php($names = $session->settings->shownNames)
                        @php($name = $names->show($offer->seat->name, $offer->seat->seatName()))
                        <figure class="shown-offer"><img src="{{ route('screen.offer', [$session, $offer]) }}"
                            alt="{{ $offer->words === '' ? __('A canvas of the class') : $offer->words }}">
                            <figcaption dir="auto"><b class="shown-number">{{ $offer->number }}</b> {{ $offer->words }}
                                @if ($name !== '') <b>{{ $name }}</b> @endif
                                @if ($votes !== []) <b class="shown-votes">{{ trans_choice('{0} no votes|{1} :count vote|[2,*] :count votes',
                                $votes[$offer->number] ?? 0) }}</b> @endif</figcaption></figure>
                    @endforeach
                </section>
            @endforeach
        </div>
    @elseif ($view === 'ended')
        <h1>{{ __('The session has ended') }}</h1>
    @else
        <h1 class="visually-hidden">{{ $session->title }}</h1>
    @endif
</div>
