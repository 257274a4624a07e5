{{-- What was said about this canvas, each played with the drawing as it grew. --}}
@use('Crag\Session\Rules\Deed')
@if ($talks->isNotEmpty())
    <h3 class="h6">{{ __('Said about it') }}</h3>
    <ul class="talks">
        @foreach ($talks as $talk)
            @php($at = "/desk/{$session->id}/canvas/{$talk->canvas_id}/talk/{$talk->id}")
            <li>
                @if ($isLead)
                    <audio controls preload="none" src="{{ $at }}.webm"
                        aria-label="{{ __('Spoken by :name', ['name' => $talk->speaker]) }}"></audio>
                @else
                    <button class="btn btn-outline-slate" data-do="play-talk" data-talk="{{ $talk->id }}"
                        title="{{ __('Play the voice and the drawing together') }}"><x-icon name="mic" />
                        @if ($talk->isByTeacher()) <span dir="auto">{{ $talk->speaker }}</span>
                        @else <x-seat-name :seat="$talk->seat" /> @endif {{ $talk->length() }}</button>
                @endif
                @if (! $isLead && $deeds->may(Deed::LineUp)) <button class="btn btn-icon" data-post="{{ $at }}/line-up"
                    data-body="{}" title="{{ __('Add it to the line-up, with its voice') }}"><x-icon name="collection" /><span
                    class="visually-hidden">{{ __('Add it to the line-up, with its voice') }}</span></button> @endif
                @if ($deeds->may(Deed::ChooseScreen)) <button class="btn btn-icon" data-post="{{ $at }}/show"
                    data-body="{}" title="{{ __('Play it to the class') }}"><x-icon name="easel" /><span
                    class="visually-hidden">{{ __('Play it to the class') }}</span></button> @endif
                @if ($talk->isByTeacher() && $deeds->may(Deed::SpeakTo)) <button class="btn btn-icon" data-post="{{ $at }}/remove"
                    data-body="{}" title="{{ __('Remove this spoken note') }}"><x-icon name="trash3" /><span
                    class="visually-hidden">{{ __('Remove this spoken note') }}</span></button> @endif
                @if ($talk->words !== '') <p class="talk-words" dir="auto">{{ $talk->captions()->text() }}</p> @endif</li>
        @endforeach
    </ul>
@endif
