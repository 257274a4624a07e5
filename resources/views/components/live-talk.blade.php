@props(['as', 'label'])
{{-- A talk from page to page: asked about, put through, on. In the slot, what answers a question. --}}
<section id="{{ $as }}" class="talk-bar live-talk" aria-label="{{ $label }}" data-state="none" hidden>
    <span id="{{ $as }}-words" class="live-words" role="status" dir="auto"></span>
    <span class="talk-light"><span id="{{ $as }}-time" aria-live="off"></span></span>
    {{ $slot }}
    <button id="{{ $as }}-mute" class="live-mute btn btn-outline-slate" aria-pressed="false"><x-icon name="mic-mute" />
        {{ __('Mute') }}</button>
    <button id="{{ $as }}-end" class="live-end btn btn-end"><x-icon name="stop-circle" />
        <span class="if-asked">{{ __('Stop asking') }}</span><span class="if-on">{{ __('End the talk') }}</span></button>
</section>
