{{-- What came of it in numbers. --}}
<h2 class="h6 mt-3">{{ __('Results: checks, matrix, answers, quick asks') }}</h2>
<ul class="result-files">
    @foreach (['names' => __('With names'), 'seats' => __('With seat numbers')] as $names => $word)
        <li>{{ $word }}:
            @foreach (['ods' => 'ODS', 'xlsx' => 'XLSX', 'csv' => 'CSV'] as $format => $label)<a
                href="{{ route('desk.sheet', [$session, $format]) }}?names={{ $names }}" download>{{ $label }}</a>
                @endforeach
            @foreach (['matrix' => __('Matrix as CSV'), 'answers' => __('Answers as CSV'),
                'asks' => __('Quick asks as CSV')] as $table => $label)<a
                href="{{ route('desk.sheet', [$session, 'csv']) }}?names={{ $names }}&amp;table={{ $table }}"
                download>{{ $label }}</a> @endforeach
            <a href="{{ route('desk.statements', $session) }}?names={{ $names }}"
                download>{{ __('xAPI statements') }}</a></li>
    @endforeach
</ul>
