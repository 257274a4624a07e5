{{-- What was drawn in the session, prompt by prompt. $work. --}}
<section class="ended-work" aria-label="{{ __('The work') }}">
    @forelse ($work as $prompt)
        <h2 class="h5">{{ $prompt->title() }} <span class="ended-words"
            dir="auto">{{ Str::limit($prompt->plainWords(), 90) }}</span></h2>
        <ul class="ended-canvases">
            @foreach ($prompt->canvases as $canvas)
                @php($name = $canvas->seat->name)
                <li class="ended-canvas">
                    <a href="{{ route('desk.file', [$session, $canvas, 'png']) }}" download
                        title="{{ __('Download as a picture (PNG)') }}"><img
                        src="{{ route('desk.work.picture', [$session, $canvas]) }}" loading="lazy"
                        alt="{{ __('Canvas of :name', ['name' => $name]) }}"></a>
                    <span class="ended-who"><span dir="auto">{{ $name }}</span>
                        @if ($canvas->check?->level !== null) <x-strata :level="$canvas->check->level->value" />
                            <span class="visually-hidden">{{ __($canvas->check->level->word()) }}</span> @endif</span>
                    @if ($canvas->check !== null && $canvas->check->note !== '') <span class="ended-note"
                        dir="auto">{{ Str::limit($canvas->check->note, 120) }}</span> @endif
                </li>
            @endforeach
        </ul>
    @empty
        <p class="nobody">{{ __('There’s no work to keep.') }}</p>
    @endforelse
</section>
