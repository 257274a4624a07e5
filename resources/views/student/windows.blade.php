<dialog id="hand-window" class="small-window" aria-labelledby="hand-title">
    <form method="dialog">
        <h2 id="hand-title">{{ __('Hand up') }}</h2>
        <div class="only-messages">
            <label for="hand-words">{{ __('What’s it about? (optional)') }}</label>
            <textarea id="hand-words" class="form-control" rows="2" maxlength="{{ Crag\Session\Room\ShortMessage::LONGEST }}" dir="auto"></textarea>
        </div>
        <div class="maths-end">
            <button type="button" class="btn btn-outline-slate" data-cancel>{{ __('Cancel') }}</button>
            <button type="button" id="hand-lower" class="btn btn-outline-slate"
                hidden>{{ __('Lower my hand') }}</button>
            <button class="btn btn-go"><x-icon name="hand-index" /> {{ __('Hand up') }}</button>
        </div>
    </form>
</dialog>
<dialog id="offer-window" class="small-window" aria-labelledby="offer-title">
    <form method="dialog">
        <h2 id="offer-title">{{ __('Offer to the class') }}</h2>
        <p>{{ __('Your teacher looks at it first. Nobody else sees it before then.') }}</p>
        <label class="choice"><input type="radio" name="part" value="page" checked> {{ __('The whole page') }}</label>
        <label class="choice"><input type="radio" name="part" value="seen">
            {{ __('Only the part I can see now (zoom in first)') }}</label>
        <label for="offer-words">{{ __('A line about it (optional)') }}</label>
        <input id="offer-words" class="form-control"
            maxlength="{{ Crag\Session\Screen\OfferBoard::LONGEST_WORDS }}" dir="auto" autocomplete="off">
        <div class="maths-end">
            <button type="button" class="btn btn-outline-slate" data-cancel>{{ __('Cancel') }}</button>
            <button class="btn btn-go"><x-icon name="collection" /> {{ __('Offer it') }}</button>
        </div>
    </form>
</dialog>
<dialog id="device-window" class="small-window" aria-labelledby="device-title">
    <h2 id="device-title">{{ __('Another device') }}</h2>
    <p>{{ __('On the other device, go to :link and type this seat code. It works for 10 minutes. This page then gives up your seat.',
        ['link' => request()->getHttpHost().'/join/'.$session->join_code]) }}</p>
    <p id="device-code" class="door-code" role="status"></p>
    <form method="dialog" class="maths-end"><button class="btn btn-outline-slate">{{ __('Close') }}</button></form>
</dialog>
<template id="letter-template">
    <article class="letter"><p class="letter-words" dir="auto"></p><div class="letter-foot"><span class="letter-from"
        dir="auto"></span><button class="btn btn-sm btn-outline-slate letter-reply"><x-icon name="chat-left-text" />
        {{ __('Reply') }}</button><button
        class="btn btn-sm btn-go letter-read">{{ __('Read') }}</button></div></article>
</template>
