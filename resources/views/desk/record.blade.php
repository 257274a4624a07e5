<div id="record" class="record" @if ($record?->isUnderWay()) hx-get="{{ route('desk.record', $session) }}" hx-trigger="every 700ms" hx-swap="outerHTML" @endif>
    @if ($record?->isUnderWay())
        <label for="record-progress" role="status">{{ $record->total === 0 ? __('The record is about to be made…') : __('Drawn: :done of :total canvases', ['done' => $record->done, 'total' => $record->total]) }}</label>
        <progress id="record-progress" class="w-100" max="{{ max(1, $record->total) }}" value="{{ $record->done }}"></progress>
    @elseif ($record?->isReady())
        <p><a class="btn btn-go btn-lg w-100" href="{{ route('desk.pdf', $session) }}"><x-icon name="download" /> {{ __('All canvases as PDF (:n pages)', ['n' => $record->total]) }}</a></p>
    @else
        @if ($record !== null) <p class="problem" role="alert">{{ __('The record could not be made. The canvases are safe; try again.') }}</p> @endif
        <button class="btn btn-go btn-lg w-100" hx-post="{{ route('desk.record.make', $session) }}" hx-target="#record" hx-swap="outerHTML">{{ __('Make a PDF of all canvases') }}</button>
    @endif
</div>
