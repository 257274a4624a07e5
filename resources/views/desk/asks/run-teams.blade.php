{{-- How teams stand: nobody is named. --}}
<ol class="run-teams">
    @foreach ($result->teams as $team => $mean)
        <li><span dir="auto">{{ $team }}</span>
            <meter class="tally-meter" min="0" max="{{ max(1, $result->of) }}"
            value="{{ $mean }}">{{ $mean }}</meter> <b>{{ number_format($mean, 1) }}</b></li>
    @endforeach
</ol>
@if ($result->teams !== [])
    <p class="form-text">{{ __('A team’s score is the average of its members’ right answers.') }}</p>
@endif
