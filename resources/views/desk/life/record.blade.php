<div id="record" class="record" @if ($record?->isUnderWay()) hx-get="{{ route('desk.record', $session) }}"
    hx-trigger="every 700ms" hx-swap="outerHTML" @endif>
    @if ($record?->isUnderWay())
        <label for="record-progress"
            role="status">{{ $record->total === 0 ? __('Getting ready to make the record…')
            : __('Drawn: :done of :total canvases', ['done' => $record->done, 'total' => $record->total]) }}</label>
        <progress id="record-progress" class="w-100" max="{{ max(1, $record->total) }}"
            value="{{ $record->done }}"></progress>
    @else
        @if ($record?->isReady())
            <p><a class="btn btn-go btn-lg w-100"
                href="{{ $record->kind === 'zip' ? route('desk.zip', $session) : route('desk.pdf',
                $session) }}"><x-icon name="download" />
                {{ $record->kind === 'zip' ? __('Canvases as zip (:n)', ['n' => $record->total])
                : __('Canvases as PDF (:n)', ['n' => $record->total]) }}</a></p>
        @elseif ($record !== null)
            <p class="problem"
                role="alert">{{ __('The record couldn’t be made. The canvases are safe; try again.') }}</p>
        @endif
        <form hx-post="{{ route('desk.record.make', $session) }}" hx-target="#record" hx-swap="outerHTML">
            <details @if ($record === null) open
                @endif><summary>{{ $record === null ? __('Canvases as PDF or zip') : __('Make another one') }}</summary>
                <div class="settings-row record-row">
                    <label>{{ __('As') }} <select name="kind" class="form-select"><option
                        value="pdf">{{ __('one PDF') }}</option><option
                        value="zip">{{ __('zip of PNG, SVG and InkML') }}</option></select></label>
                    <label>{{ __('In order of') }} <select name="by" class="form-select"><option
                        value="prompt">{{ __('prompts') }}</option><option
                        value="seat">{{ __('students') }}</option></select></label>
                    <label>{{ __('Names') }} <select name="names" class="form-select"><option
                        value="names">{{ __('Names') }}</option><option
                        value="seats">{{ __('Seat numbers') }}</option></select></label>
                    <label>{{ __('Checks') }} <select name="checks" class="form-select"><option
                        value="1">{{ __('included') }}</option><option
                        value="0">{{ __('left out') }}</option></select></label>
                    <label>{{ __('Notes') }} <select name="notes" class="form-select"><option
                        value="1">{{ __('included') }}</option><option
                        value="0">{{ __('left out') }}</option></select></label>
                    <label>{{ __('Prompt') }} <select name="words" class="form-select"><option
                        value="1">{{ __('with its words') }}</option><option
                        value="0">{{ __('only its number') }}</option></select></label>
                    <label>{{ __('Quick asks') }} <select name="asks" class="form-select"><option
                        value="1">{{ __('included') }}</option><option
                        value="0">{{ __('left out') }}</option></select></label>
                    <label>{{ __('On each page') }} <select name="per"
                        class="form-select">@foreach (Crag\Render\Sheet::COUNTS as $count)<option
                        value="{{ $count }}">{{ trans_choice('{1} one canvas|[2,*] :count canvases',
                        $count) }}</option>@endforeach</select></label>
                </div>
                @if ($prompts->count() > 1)
                    <fieldset><legend class="h6">{{ __('Prompts') }}</legend>
                        @foreach ($prompts as $prompt)<x-choice name="prompts[]"
                            value="{{ $prompt->id }}" checked> {{ $prompt->title() }}:
                            {{ Str::limit($prompt->plainWords(), 60) }}</x-choice>@endforeach
                    </fieldset>
                @endif
                @if ($drew->count() > 1)
                    <details><summary>{{ __('Students: all, or only some') }}</summary>
                        <fieldset class="record-students"><legend class="visually-hidden">{{ __('Students') }}</legend>
                            @foreach ($drew as $student)<x-choice name="seats[]"
                                value="{{ $student->id }}" checked> <span
                                dir="auto">{{ $student->name }}</span></x-choice>@endforeach
                        </fieldset></details>
                @endif
                <button class="btn btn-go btn-lg w-100 mt-2">{{ __('Make it') }}</button>
            </details>
        </form>
    @endif
</div>
