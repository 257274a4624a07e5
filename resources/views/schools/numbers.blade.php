{{-- What a school uses, each with what it may use. --}}
@foreach ([
    [$used->teachers, $school->most_teachers],
    [$used->running, $school->most_sessions],
    [$used->sessions, null],
    [$used->students, null],
    [intdiv($used->bytes, 1_000_000), $school->most_megabytes],
] as [$n, $most])
    <td @class(['is-full' => $most !== null && $n >= $most])>{{ $most === null
        ? number_format($n)
        : __(':n of :most', ['n' => number_format($n), 'most' => number_format($most)]) }}</td>
@endforeach
