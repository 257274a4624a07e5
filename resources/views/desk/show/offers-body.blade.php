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
<h3 class="h6">{{ __('On one page') }}</h3>
@if ($deeds->may(Deed::ChooseScreen))
    <form class="offer-headings" data-post="{{ $desk }}/offers/board" data-live data-then="offers">
        @foreach ($board->headings as $i => $heading)<input name="headings[]" class="form-control" maxlength="{{ Crag\Session\Screen\OfferBoard::LONGEST_HEADING }}"
            value="{{ $heading }}" placeholder="{{ __('Heading of column :n', ['n' => $i + 1]) }}"
            aria-label="{{ __('Heading of column :n', ['n' => $i + 1]) }}" dir="auto">@endforeach
    </form>
    <div class="panel-row">
        @if (count($board->headings) < Crag\Session\Screen\OfferBoard::MOST_COLUMNS)
            <button class="mini-text" data-post="{{ $desk }}/offers/board"
            data-body="{{ json_encode(['headings' => [...$board->headings, '']]) }}"
            data-then="offers"><x-icon name="plus-lg" /> {{ __('Column') }}</button> @endif
        @if (count($board->headings) > 1) <button class="mini-text" data-post="{{ $desk }}/offers/board"
            data-body="{{ json_encode(['headings' => array_slice($board->headings, 0, -1)]) }}"
            data-then="offers"><x-icon name="dash-lg" /> {{ __('Column') }}</button> @endif
        <button class="btn btn-sm btn-slate" data-post="{{ $desk }}/screen"
            data-body='{"view":"board"}'><x-icon name="easel" /> {{ __('Show the page') }}</button>
    </div>
@endif
<ul class="offers">
    @php($accepted = $offers->where('state', OfferState::Accepted))
    @foreach ($accepted->sortBy(fn ($offer) => [$offer->column, $offer->place]) as $offer)
        <li class="offer">
            <img src="{{ $desk }}/offer/{{ $offer->id }}.svg"
                alt="{{ __('What :name offers', ['name' => $offer->seat->name]) }}">
            <p><b><x-seat-name :seat="$offer->seat" /></b> @if ($offer->words !== '')
                <span dir="auto">“{{ $offer->words }}”</span> @endif</p>
            @if ($deeds->may(Deed::ChooseScreen))
                <div class="panel-row">
                    @if (count($board->headings) > 1)
                        <select name="column" class="form-select form-select-sm"
                            data-to="{{ $desk }}/offer/{{ $offer->id }}/arrange"
                            aria-label="{{ __('Column') }}">@foreach ($board->headings as $i => $heading)<option
                            value="{{ $i }}" @selected($i === $offer->column)>{{ $heading === '' ? $i + 1
                            : $heading }}</option>@endforeach</select>
                    @endif
                    <button class="mini" data-post="{{ $desk }}/offer/{{ $offer->id }}/arrange" data-body='{"by":-1}'
                        data-then="offers" title="{{ __('Further up') }}"><x-icon name="arrow-up" /><span
                        class="visually-hidden">{{ __('Further up') }}</span></button>
                    <button class="mini" data-post="{{ $desk }}/offer/{{ $offer->id }}/arrange" data-body='{"by":1}'
                        data-then="offers" title="{{ __('Further down') }}"><x-icon name="arrow-down" /><span
                        class="visually-hidden">{{ __('Further down') }}</span></button>
                    <button class="mini" data-post="{{ $desk }}/offer/{{ $offer->id }}/decline" data-then="offers"
                        title="{{ __('Off the page') }}"><x-icon name="x" /><span
                        class="visually-hidden">{{ __('Off the page') }}</span></button>
                </div>
            @endif
        </li>
    @endforeach
</ul>
