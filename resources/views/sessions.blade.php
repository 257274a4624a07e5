@if ($sessions->isNotEmpty())
    <section class="mt-4">
        <h2 class="h5">{{ $heading }}</h2>
        <ul class="session-list">
            @foreach ($sessions as $session)
                <li>
                    <a href="{{ route('desk', $session) }}">{{ $session->title }}</a>
                    <span>{{ App\Live\SchoolTime::of($session->created_at)->translatedFormat('j F Y, H:i') }}</span>
                    <span>{{ trans_choice('{0} nobody joined|{1} :count student|[2,*] :count students',
                        $session->seats_count) }}</span>
                    <a class="btn btn-sm btn-outline-slate"
                        href="{{ route('desk.ended', $session) }}">{{ __('Record') }}</a>
                    <x-menu button="btn btn-sm btn-outline-slate">
<x-slot:head>{{ __('Carry on from it') }}</x-slot>
                        <form class="menu" action="{{ route('desk.go-on', $session) }}" method="post">@csrf
                            <p
                                class="form-text">{{ __('A new session with the same prompts, class and groups.') }}</p>
                            <button class="menu-item" name="canvases"
                                value="carried">{{ __('Carry the canvases on') }}</button>
                            <button class="menu-item" name="canvases"
                                value="empty">{{ __('Start with empty canvases') }}</button>
                        </form></x-menu>
                    <span class="form-text">{{ __('kept until :date', ['date' => $session->keptUntil()]) }}</span>
                    <form action="{{ route('desk.forget', $session) }}" method="post"
                          data-ask="{{ __('Forget “:title”? This deletes every canvas, check and picture for good.',
                              ['title' => $session->title]) }}">
                        @csrf @method('DELETE')
                        <button class="btn btn-sm btn-outline-danger">{{ __('Forget now') }}</button>
                    </form>
                </li>
            @endforeach
        </ul>
    </section>
@endif
