<x-window id="hand-window" :title="__('Hand up')">
    <div class="only-messages">
        <label for="hand-words">{{ __('What’s it about? (optional)') }}</label>
        <textarea id="hand-words" class="form-control" rows="2" maxlength="{{ Crag\Session\Room\ShortMessage::LONGEST }}" dir="auto"></textarea>
    </div>
    <x-slot:actions><button type="button" id="hand-lower" class="btn btn-outline-slate"
                hidden>{{ __('Lower my hand') }}</button>
        <button class="btn btn-go"><x-icon name="hand-index" /> {{ __('Hand up') }}</button></x-slot>
</x-window>
<x-window id="offer-window" :title="__('Offer to the class')">
    <p>{{ __('Your teacher looks at it first. Nobody else sees it before then.') }}</p>
    <x-choice type="radio" name="part" value="page" checked> {{ __('The whole page') }}</x-choice>
    <x-choice type="radio" name="part" value="seen">
        {{ __('Only the part I can see now (zoom in first)') }}</x-choice>
    <label for="offer-words">{{ __('A line about it (optional)') }}</label>
    <input id="offer-words" class="form-control"
        maxlength="{{ Crag\Session\Screen\OfferBoard::LONGEST_WORDS }}" dir="auto" autocomplete="off">
    <x-slot:actions><button class="btn btn-go"><x-icon name="collection" /> {{ __('Offer it') }}</button></x-slot>
</x-window>
<dialog id="device-window" class="small-window" aria-labelledby="device-title">
    <h2 id="device-title">{{ __('Another device') }}</h2>
    <p>{{ __('On the other device, go to :link and type this seat code. It works for 10 minutes. This page then gives up your seat.',
        ['link' => $host.'/join/'.$code]) }}</p>
    <p id="device-code" class="door-code" role="status"></p>
    <form method="dialog" class="maths-end"><button class="btn btn-outline-slate">{{ __('Close') }}</button></form>
</dialog>
<template id="letter-template">
    <article class="letter"><p class="letter-words" dir="auto"></p><div class="letter-foot"><span class="letter-from"
        dir="auto"></span><button class="btn btn-sm btn-outline-slate letter-reply"><x-icon name="chat-left-text" />
        {{ __('Reply') }}</button><button
        class="btn btn-sm btn-go letter-read">{{ __('Read') }}</button></div></article>
</template>
<template id="voice-template">
    <article class="letter voice"><p class="letter-words" dir="auto"></p><audio controls preload="metadata"></audio><div
        class="letter-foot"><span class="letter-from" dir="auto"></span><button
        class="btn btn-sm btn-go letter-read">{{ __('Close') }}</button></div></article>
</template>
<x-window id="leave-window">
    <x-slot:title>{{ __('Leave this device?') }}</x-slot>
    <p>{{ __('This page, your drawings and your place are deleted from this device, so that the next person here sees nothing of yours. Your teacher still has your work.') }}</p>
    <p class="form-text">{{ __('To go on somewhere else, first choose “Another device” and note the code.') }}</p>
    <x-slot:actions><button class="btn btn-end"><x-icon name="box-arrow-right" />
        {{ __('Leave this device') }}</button></x-slot>
</x-window>
