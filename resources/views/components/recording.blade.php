@props(['as', 'label', 'send'])
{{-- A voice that is recorded, listened to, and sent or thrown away: resources/ts/bench/talkthrough.ts. --}}
<section id="{{ $as }}" {{ $attributes->merge(['class' => 'talk-bar']) }} aria-label="{{ $label }}" data-state="nothing" hidden>
    <span class="talk-light" role="status"><span class="if-voice">{{ __('Recording your voice') }}</span><span
        class="if-film">{{ __('Recording your voice and your camera') }}</span> <span class="talk-time" aria-live="off"></span></span>
    <video class="talk-film" playsinline autoplay hidden aria-label="{{ __('What the camera sees') }}"></video>
    <button class="talk-stop btn btn-slate"><x-icon name="stop-circle" /> {{ __('Stop') }}</button>
    <audio class="talk-play" controls aria-label="{{ __('What you said') }}"></audio>
    @if (config('crag.dictation'))
        <label class="talk-dictate choice" hidden><input type="checkbox"> {{ __('Write it down as I speak') }}
            <span class="talk-dictate-where form-text"></span></label>
    @endif
    <label class="talk-words">{{ __('What you say, in writing (optional)') }}
        <textarea class="form-control" rows="2" dir="auto" aria-describedby="{{ $as }}-how"
        maxlength="{{ Crag\Session\Room\TalkLimits::LONGEST_WORDS }}"></textarea>
        <span id="{{ $as }}-how" class="form-text">{{ __('While you listen, Enter starts a line at that moment.') }}</span></label>
    <button class="talk-send btn btn-go"><x-icon name="send" /> {{ $send }}</button>
    <button class="talk-drop btn btn-outline-slate"><x-icon name="trash3" /> {{ __('Delete') }}</button>
</section>
