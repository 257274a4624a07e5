{{-- A student's own work to take home. $at: where its files are. --}}
<x-layout :title="$session->isRunning() ? __('Your work') : __('Ended')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            @if ($session->isRunning())
                <h1>{{ __('Your work so far') }}</h1>
                <p>{{ __(':name in “:title”. Take what you like with you; the session goes on.',
                    ['name' => $seat->name, 'title' => $session->title]) }}</p>
            @else
                <h1>{{ __('The session has ended') }}</h1>
                @if (str_starts_with($at, '/seat/') && $session->isJustOver())
                    <span hx-get="{{ $at }}/again" hx-trigger="every 10s" hx-swap="none" hidden></span>
                @endif
                <p>{{ __('Well done, :name. Your work on “:title” is kept. You can take it with you:',
                    ['name' => $seat->name, 'title' => $session->title]) }}</p>
            @endif
            @if ($canvases->isEmpty())
                <p>{{ __('You don’t have a canvas in this session.') }}</p>
            @else
                <ul class="take-home">
                    @foreach ($canvases as $canvas)
                        <li>
                            <img src="{{ $at }}/work/{{ $canvas->id }}/picture.svg" loading="lazy"
                                alt="{{ __('Your canvas: :prompt', ['prompt' => $canvas->prompt->title()]) }}">
                            <span><b>{{ $canvas->prompt->title() }}</b> <span
                                dir="auto">{{ Str::limit($canvas->prompt->plainWords(), 120) }}</span></span>
                            @foreach (['png' => __('Picture (PNG)'), 'svg' => __('Drawing (SVG)'), 'pdf' => __('PDF'),
                                'inkml' => __('Ink (InkML)')] as $format => $name)
                                <a href="{{ $at }}/work/{{ $canvas->id }}.{{ $format }}">{{ $name }}</a>
                            @endforeach
                        </li>
                    @endforeach
                </ul>
            @endif
            @if ($canvases->isNotEmpty()) <p><a class="btn btn-go btn-lg w-100" href="{{ $at }}/work.pdf"><x-icon name="download" />
                {{ __('All pages as PDF') }}</a></p> @endif
            @if ($checks !== [])
                <h2 class="h5">{{ __('What your teacher found') }}</h2>
                <ul class="take-notes">@foreach ($checks as $check)<li>{{ $check['prompt'] }}:
                    @if ($check['level'] !== null) <x-strata :level="$check['level']" /> @endif
                        <span dir="auto">{{ $check['words'] }}</span>
                    @if ($check['points'] !== null)
                        {{ $check['most'] === null ? __(':n points', ['n' => $check['points']])
                        : __(':n of :most points', ['n' => $check['points'], 'most' => $check['most']]) }} @endif
                    <span dir="auto">{{ $check['note'] }}</span></li>@endforeach</ul>
            @endif
            @if ($notes->isNotEmpty())
                <h2 class="h5">{{ __('What your teacher wrote to you') }}</h2>
                <ul class="take-notes">@foreach ($notes as $note)<li dir="auto">{{ $note->words }}
                    <span class="form-text">{{ $note->sender }}</span></li>@endforeach</ul>
            @endif
            <h2 class="h5">{{ __('Your private link') }}</h2>
            <p>{{ __('It opens this page on any device. Anyone who has it can see your work, so keep it to yourself.') }}</p>
            <p class="panel-row"><input class="form-control" readonly aria-label="{{ __('Your private link') }}"
                value="{{ url("/home/{$seat->id}/{$seat->home_key}") }}">
                <button class="btn btn-outline-slate" data-copy="{{ url("/home/{$seat->id}/{$seat->home_key}") }}"
                    data-copied="{{ __('Copied') }}">{{ __('Copy the link') }}</button></p>
            <p class="form-text">
                @if ($session->retention()->isNone())
                    {{ __('Everything is deleted when the session ends, so download your work before then.') }}
                @elseif ($session->isRunning())
                    {{ trans_choice('{1} Kept for one day after the session has ended, or until your teacher forgets it.|[2,*] Kept for :count days after the session has ended, or until your teacher forgets it.',
                        $session->retention()->days) }}
                @else
                    {{ __('This works until :date, or until your teacher forgets the session.',
                        ['date' => $session->keptUntil()]) }}
                @endif
                <a href="{{ route('kept') }}">{{ __('What is kept') }}</a></p>
        </section>
    </main>
</x-layout>
