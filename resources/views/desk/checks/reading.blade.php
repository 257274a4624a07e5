{{-- What a reader proposes, with its reasons; nothing goes to the student until it is sent. --}}
@php($say = fn (Crag\Reading\Point $point): string => __($point->sentence, $point->values))
<p class="form-text">{{ __($reader) }}</p>
@foreach ([__('Holds') => $reading->holds, __('Missing') => $reading->missing] as $title => $points)
    @if ($points !== [])
        <h4 class="h6">{{ $title }}</h4>
        <ul class="reading-points">@foreach ($points as $point)<li dir="auto">{{ $say($point) }}
            @if ($point->where !== null) <button type="button" class="chip" data-do="see-place"
                data-page="{{ $point->where->page }}" data-x="{{ $point->where->x }}"
                data-y="{{ $point->where->y }}">{{ __('Show where') }}</button> @endif
            <span class="form-text">{{ __($point->reason, $point->values) }}</span></li>@endforeach</ul>
    @endif
@endforeach
<form data-post="/desk/{{ $session->id }}/hand">
    <input type="hidden" name="seat" value="{{ $seat->id }}">
    <label for="reading-words">{{ __('Suggested words: send, change or ignore them') }}</label>
    <textarea id="reading-words" name="words" class="form-control mb-2" rows="4" maxlength="{{ Crag\Session\Room\ShortMessage::LONGEST }}" dir="auto"
        required>{{ App\Sessions\Checks\ReadWork::words($reading) }}</textarea>
    <button class="btn btn-go"><x-icon name="send" /> {{ __('Send to the student') }}</button>
</form>
<x-choice label="mt-2" name="on"
    data-to="/desk/{{ $session->id }}/prompt/{{ $prompt->id }}/reader" :checked="$prompt->reads_at_once">
    {{ __('Send feedback automatically whenever a student sends work on this prompt') }}</x-choice>
