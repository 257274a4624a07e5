@use('Crag\Session\Screen\OfferState')
@use('Crag\Session\Rules\Deed')
@php($board = $session->board)
@php($waiting = $offers->where('state', OfferState::Waiting))
@php($desk = "/desk/{$session->id}")
<p
    class="form-text">{{ __('Students can offer a canvas, or part of one. Nothing appears until you accept it, and declining is quiet.') }}</p>
@if ($deeds->may(Deed::ChooseScreen))
    <x-choice name="open" data-to="{{ $desk }}/offers/board"
        :checked="$board->isOpen"> {{ __('Show all offers at once, without accepting each') }}</x-choice>
@endif
<h3 class="h6">{{ __('Waiting') }} <span class="count">{{ $waiting->count() }}</span></h3>
@if ($waiting->isEmpty()) <p
    class="form-text">{{ __('No new offers. Students find “Offer to the class” under More.') }}</p>
    @endif
<ul class="offers">
    @foreach ($waiting as $offer)
        <li class="offer">
            <img src="{{ $desk }}/offer/{{ $offer->id }}.svg"
                alt="{{ __('What :name offers', ['name' => $offer->seat->name]) }}">
            <p><b><x-seat-name :seat="$offer->seat" /></b> · {{ __('Prompt :n', ['n' => $offer->canvas->prompt->n]) }}
                @if ($offer->words !== '') <br><span dir="auto">“{{ $offer->words }}”</span> @endif</p>
            @if ($deeds->may(Deed::ChooseScreen))
                <div class="panel-row"><button class="btn btn-sm btn-go"
                    data-post="{{ $desk }}/offer/{{ $offer->id }}/accept" data-then="offers">{{ __('Accept') }}</button>
                    <button class="btn btn-sm btn-outline-slate" data-post="{{ $desk }}/offer/{{ $offer->id }}/decline"
                        data-then="offers">{{ __('Decline') }}</button>
                    <button class="btn btn-sm btn-outline-slate"
                        data-post="{{ $desk }}/offer/{{ $offer->id }}/line-up">{{ __('Line-up') }}</button></div>
            @endif
        </li>
    @endforeach
</ul>
@php($accepted = $offers->where('state', OfferState::Accepted))
<h3 class="h6">{{ __('On one page') }}</h3>
@if ($deeds->may(Deed::ChooseScreen))
    <div class="panel-row">
        <button class="btn btn-sm btn-slate" data-post="{{ $desk }}/screen"
            data-body='{"view":"board"}'><x-icon name="easel" /> {{ __('Show the page') }}</button>
        @if ($accepted->isNotEmpty()) <a class="btn btn-sm btn-outline-slate" href="{{ $desk }}/board.pdf"><x-icon
            name="printer" /> {{ __('Print it (PDF)') }}</a> @endif
        @if (count($board->headings) < Crag\Session\Screen\OfferBoard::MOST_COLUMNS)
            <button class="mini-text" data-post="{{ $desk }}/offers/board"
            data-body="{{ json_encode(['headings' => [...$board->headings, '']]) }}"
            data-then="offers"><x-icon name="plus-lg" /> {{ __('Column') }}</button> @endif
        @if (count($board->headings) > 1) <button class="mini-text" data-post="{{ $desk }}/offers/board"
            data-body="{{ json_encode(['headings' => array_slice($board->headings, 0, -1)]) }}"
            data-then="offers"><x-icon name="dash-lg" /> {{ __('Column') }}</button> @endif
    </div>
@endif
@if ($deeds->may(Deed::Ask) && $accepted->count() > 1)
    <form class="panel-row offer-vote" data-post="{{ $desk }}/offers/vote" data-then="ask">
        <label>{{ __('Votes each') }} <select name="votes"
            class="form-select form-select-sm">@foreach (range(1, App\Sessions\Show\VoteOnOffers::MOST) as $n)<option
            value="{{ $n }}">{{ $n }}</option>@endforeach</select></label>
        <button class="btn btn-sm btn-outline-slate">{{ __('Let the class vote') }}</button></form>
@endif
<form class="board" data-columns="{{ count($board->headings) }}" data-post="{{ $desk }}/offers/board" data-live
    data-then="offers">
    @foreach ($board->headings as $i => $heading)
        <section class="board-column" data-column="{{ $i }}">
            <div class="board-head">@if (count($board->headings) > 1 && $deeds->may(Deed::ChooseScreen)) <button
                type="button" class="btn btn-icon board-grip"
                title="{{ __('Drag to reorder, or use the arrow keys') }}"><x-icon name="grip-vertical" /><span
                class="visually-hidden">{{ __('Drag to reorder, or use the arrow keys') }}</span></button> @endif
                <input name="headings[]" class="form-control" maxlength="{{ Crag\Session\Screen\OfferBoard::LONGEST_HEADING }}"
                value="{{ $heading }}" placeholder="{{ __('Heading of column :n', ['n' => $i + 1]) }}"
                aria-label="{{ __('Heading of column :n', ['n' => $i + 1]) }}" dir="auto"
                @disabled(! $deeds->may(Deed::ChooseScreen))></div>
            <ul class="board-offers">
                @foreach ($accepted->where('column', $i)->sortBy('place') as $offer)
                    <li class="offer" data-offer="{{ $offer->id }}">
                        <img src="{{ $desk }}/offer/{{ $offer->id }}.svg" draggable="false"
                            alt="{{ __('What :name offers', ['name' => $offer->seat->name]) }}">
                        <p><b class="offer-number">{{ $offer->number }}</b> <b><x-seat-name :seat="$offer->seat" /></b>
                            @if ($offer->words !== '') <span dir="auto">“{{ $offer->words }}”</span> @endif</p>
                        @if ($deeds->may(Deed::ChooseScreen))
                            <div class="panel-row">
                                <button type="button" class="btn btn-icon offer-grip"
                                    title="{{ __('Drag to reorder, or use the arrow keys') }}"><x-icon
                                    name="arrows-move" /><span
                                    class="visually-hidden">{{ __('Drag to reorder, or use the arrow keys') }}</span></button>
                                <button type="button" class="btn btn-icon" data-post="{{ $desk }}/offer/{{ $offer->id }}/decline"
                                    data-then="offers" title="{{ __('Off the page') }}"><x-icon name="x-lg" /><span
                                    class="visually-hidden">{{ __('Off the page') }}</span></button>
                            </div>
                        @endif
                    </li>
                @endforeach
            </ul>
        </section>
    @endforeach
</form>
