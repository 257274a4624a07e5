@use('Crag\Session\Rules\Deed')
{{-- How long the session is kept, and what can be done with everything of one student. --}}
@php($retention = $session->retention())
<h2 class="h6 mt-3">{{ __('Keep until') }}</h2>
<p>@if ($retention->isNone()) {{ __('Nothing is kept: everything is deleted when the session ends.') }}
    @elseif ($session->isRunning())
        {{ trans_choice('{1} Kept for one day after the session.|[2,*] Kept for :count days after the session.',
        $retention->days) }}
    @else {{ __('Drawings, checks and names are kept until :date, then deleted automatically.',
        ['date' => $session->keptUntil()]) }} @endif
    <a href="{{ route('kept') }}">{{ __('What is kept') }}</a></p>
@if ($deeds->may(Deed::ChooseKeep))
    <form method="post" action="{{ route('desk.keep', $session) }}" class="keep-days">
        @csrf
        <label>{{ __('Days after the session') }} <input type="number" name="keep_days" class="form-control"
            min="{{ $session->isRunning() ? 0 : 1 }}" max="{{ $session->longestDays() ?? Crag\Session\Life\Retention::LONGEST_DAYS }}"
            value="{{ $retention->days }}" required></label>
        <button class="btn btn-outline-slate">{{ __('Keep for this long') }}</button>
    </form>
@endif
@if ($students->isNotEmpty())
    <details class="mt-3"><summary>{{ __('One student: download everything, or delete it') }}</summary>
        <ul class="one-student">
            @foreach ($students as $student)
                <li><span dir="auto">{{ $student->name }}</span>
                    <a href="{{ route('desk.student.everything', [$session, $student]) }}"
                        download>{{ __('Everything as zip') }}<span class="visually-hidden">
                        {{ $student->name }}</span></a>
                    @if ($deeds->may(Deed::ForgetStudent))
                        <form method="post" action="{{ route('desk.student.forget', [$session, $student]) }}"
                            data-ask="{{ __('Delete everything from :name in this session? Their canvases, answers, checks and messages go for good, and so do the PDFs and zips made so far.',
                            ['name' => $student->name]) }}">
                            @csrf @method('DELETE')
                            <button class="btn btn-sm btn-outline-danger">{{ __('Delete') }}<span
                                class="visually-hidden"> {{ $student->name }}</span></button></form>
                    @endif</li>
            @endforeach
        </ul>
    </details>
@endif
