{{-- What students said about this canvas, each played with the drawing as it grew. --}}
@if ($talks->isNotEmpty())
    <h3 class="h6">{{ __('Talk-throughs') }}</h3>
    <ul class="talks">
        @foreach ($talks as $talk)
            <li><button class="btn btn-outline-slate" data-do="play-talk" data-talk="{{ $talk->id }}"
                title="{{ __('Play the voice and the drawing together') }}"><x-icon name="mic" />
                <x-seat-name :seat="$talk->seat" /> {{ $talk->length() }}</button>
                @if ($talk->words !== '') <p class="talk-words" dir="auto">{{ $talk->words }}</p> @endif</li>
        @endforeach
    </ul>
@endif
