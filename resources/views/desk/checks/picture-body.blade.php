@php($picture = $stand->picture)
@php($hasPoints = $picture->whole->points !== null)
@php($share = fn (?float $secure): string => $secure === null ? '–' : round(100 * $secure).' %')
@php($time = fn (int $ms): string => $ms < 60_000 ? __(':n s', ['n' => intdiv($ms, 1000)]) : __(':n min',
    ['n' => intdiv($ms, 60_000)]))
@if ($stand->seats->isEmpty() || $stand->prompts->isEmpty())
    <p class="nobody">{{ __('Nothing to show yet.') }}</p>
@else
    <table class="picture-table">
        <caption class="visually-hidden">{{ __('The check of each student for each prompt, with sums') }}</caption>
        <thead>
            <tr><th scope="col">{{ __('Student') }}</th>
                @foreach ($stand->prompts as $prompt) <th scope="col"
                    title="{{ $prompt->plainWords() }}">{{ $prompt->n }}</th> @endforeach
                <th scope="col">{{ __('Started') }}</th><th scope="col">{{ __('Sent') }}</th><th scope="col"
                    title="{{ __('Time between strokes, leaving out pauses of more than 20 seconds') }}">{{ __('At work') }}</th>@if ($hasPoints)
                    <th scope="col">{{ __('Points') }}</th> @endif <th scope="col"
                    title="{{ __('Average of what was checked (100 is Secure)') }}">{{ __('Average') }}</th></tr>
        </thead>
        <tbody>
            @php($sitting = $stand->seats->keyBy('id'))
            @foreach ($picture->byNeed() as $id)
                @php($seat = $sitting[$id])
                @php($row = $picture->rows[$seat->id])
                <tr><th scope="row"><button class="picture-name" data-do="open-seat"
                    data-seat="{{ $seat->id }}"><x-seat-name :seat="$seat" /></button></th>
                    @foreach ($stand->prompts as $prompt)
                        @php($cell = $picture->at($seat->id, $prompt->id))
                        <td @if ($cell->level !== null) data-level="{{ $cell->level->value }}" @endif>@if ($cell->level !== null)
                            <b title="{{ __($cell->level->word()) }}">{{ $cell->level->value }}</b><span
                            class="visually-hidden">{{ __($cell->level->word()) }}</span> @elseif ($cell->isSent)
                            <span class="picture-mark" title="{{ __('Sent') }}"><x-icon name="check2-all" /><span
                            class="visually-hidden">{{ __('sent') }}</span></span> @elseif ($cell->isStarted)
                            <span class="picture-mark" title="{{ __('Started') }}">·<span
                            class="visually-hidden">{{ __('started') }}</span></span> @endif</td>
                    @endforeach
                    <td class="num">{{ $row->started }}</td><td class="num">{{ $row->sent }}</td><td
                        class="num">{{ $time($row->drawingMs) }}</td>@if ($hasPoints) <td
                        class="num">{{ $row->points ?? '–' }}</td> @endif <td
                        class="num">{{ $share($row->secure) }}</td></tr>
            @endforeach
        </tbody>
        <tfoot>
            @foreach (array_reverse(Crag\Checks\Level::cases()) as $level)
                <tr><th scope="row"><x-strata :level="$level->value" /> {{ __($level->word()) }}</th>
                    @foreach ($stand->prompts as $prompt) <td
                        class="num">{{ $picture->columns[$prompt->id]->tally->at($level) }}</td> @endforeach
                    <td class="num" colspan="{{ $hasPoints ? 4 : 3 }}"></td><td
                        class="num">{{ $picture->whole->tally->at($level) }}</td></tr>
            @endforeach
            <tr><th scope="row">{{ __('Started') }}</th>@foreach ($stand->prompts as $prompt)
                <td class="num">{{ $picture->columns[$prompt->id]->started }}</td> @endforeach
                <td class="num">{{ $picture->whole->started }}</td><td class="num">{{ $picture->whole->sent }}</td><td
                class="num">{{ $time($picture->whole->drawingMs) }}</td>@if ($hasPoints) <td class="num"></td> @endif
                <td class="num">{{ $share($picture->whole->secure) }}</td></tr>
            @if ($hasPoints) <tr><th scope="row">{{ __('Points') }}</th>@foreach ($stand->prompts as $prompt)
                <td class="num">{{ $picture->columns[$prompt->id]->points ?? '–' }}</td> @endforeach
                <td colspan="3"></td><td class="num">{{ $picture->whole->points }}</td><td></td></tr> @endif
        </tfoot>
    </table>
    <div class="picture-more">
        @if ($picture->skills !== [])
            <section><h3 class="h6">{{ __('Skills') }}</h3>
                <ul>@foreach ($picture->skills as $skill => $of) <li><span dir="auto">{{ $skill }}</span>
                    <b>{{ $share($of['class']) }}</b></li> @endforeach</ul></section>
        @endif
        @foreach ($stand->prompts as $prompt)
            @php($patterns = $stand->patterns($prompt))
            @if ($patterns !== [])
                <section><h3 class="h6">{{ __('Patterns at prompt :n', ['n' => $prompt->n]) }}</h3>
                    <ul>@foreach ($patterns as $pattern) <li><button class="chip" data-do="choose-seats"
                        data-seat="{{ implode(' ', $pattern->who) }}"
                        title="{{ __('Choose their tiles') }}"><b>{{ count($pattern->who) }}</b>
                        <span dir="auto">{{ __($pattern->point->sentence, $pattern->point->values) }}</span></button></li>
                        @endforeach</ul></section>
            @endif
            @php($slips = $stand->slips($prompt))
            @if ($slips !== [])
                <section><h3 class="h6">{{ __('Not right at prompt :n', ['n' => $prompt->n]) }}</h3>
                    <ul>@foreach ($slips as $slip) <li><button class="chip" data-do="choose-seats"
                        data-seat="{{ implode(' ', $slip->seats) }}"><b>{{ count($slip->seats) }}</b>
                        <span dir="auto">{{ $slip->written }}</span></button></li> @endforeach</ul></section>
            @endif
            @php($hasPattern = ($hasPattern ?? false) || $patterns !== [] || $slips !== [])
        @endforeach
        @if ($hasPattern ?? false) <p><button class="btn btn-outline-slate" data-do="groups-by-pattern"><x-icon
            name="people" /> {{ __('Group them by what they share') }}</button></p> @endif
    </div>
@endif
