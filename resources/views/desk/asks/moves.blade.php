{{-- Where answers went since the same was asked before: a row for each answer then, a column for each now. $moves;
    $names: the seats by their ids where names may be read, null where only numbers may. --}}
@php($used = $moves->used())
@if ($used !== [])
    <table class="moves">
        <caption>{{ __(':n of :all changed their answer', ['n' => $moves->moved(), 'all' => $moves->both()]) }}</caption>
        <thead><tr><th scope="col">{{ __('before ↓ now →') }}</th>
            @foreach ($used as $to) <th scope="col" dir="auto">{{ Str::limit($moves->labels[$to], 24) }}</th> @endforeach
        </tr></thead>
        <tbody>
            @foreach ($used as $from)
                <tr><th scope="row" dir="auto">{{ Str::limit($moves->labels[$from], 24) }}</th>
                    @foreach ($used as $to)
                        @php($voters = $moves->cells[$from][$to])
                        <td class="{{ $from === $to ? 'is-same' : '' }}">
                            @if ($voters === []) <span class="moves-none">·</span>
                            @elseif ($names === null) <b>{{ count($voters) }}</b>
                            @else
                                <button class="moves-who" data-do="choose-seats"
                                    data-seat="{{ implode(' ', $voters) }}"><b>{{ count($voters) }}</b>
                                    @if ($from !== $to) @foreach ($names->only($voters) as $seat)<x-seat-name
                                        :seat="$seat" />@if (! $loop->last), @endif @endforeach @endif</button>
                            @endif
                        </td>
                    @endforeach</tr>
            @endforeach
        </tbody>
    </table>
@endif
