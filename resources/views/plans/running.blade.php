{{-- The sessions that run now, each opened by one press. $running. --}}
@if ($running->isNotEmpty())
    <section class="running" aria-labelledby="running-title">
        <h2 id="running-title" class="visually-hidden">{{ __('Running now') }}</h2>
        @foreach ($running as $session)
            <a class="running-one" href="{{ route('desk', $session) }}">
                <x-icon name="play-circle" /> <b>{{ $session->title }}</b>
                <span>{{ __('running since :time',
                    ['time' => App\Live\SchoolTime::of($session->created_at)->translatedFormat('H:i')]) }}</span>
                <span>{{ trans_choice('{0} nobody joined|{1} :count student|[2,*] :count students',
                    $session->seats_count) }}</span>
                <span class="badge-code">{{ $session->code()->spaced() }}</span>
            </a>
        @endforeach
    </section>
@endif
