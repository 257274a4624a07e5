<x-layout :title="__('Ended')" class="home">
    <x-bar />
    <main class="container-sm narrow py-4">
        <section class="card-paper">
            <h1>{{ __('The session has ended') }}</h1>
            <p>{{ __('Well done, :name. Your work on “:title” is kept. You can take it with you:', ['name' => $seat->name, 'title' => $session->title]) }}</p>
            @if ($canvases->isEmpty())
                <p>{{ __('There is no canvas of yours in this session.') }}</p>
            @else
                <p><a class="btn btn-go btn-lg w-100" href="{{ route('seat.pdf', $seat) }}"><x-icon name="download" /> {{ __('All pages as PDF') }}</a></p>
                <ul class="take-home">
                    @foreach ($canvases as $canvas)
                        <li>
                            <span>{{ __('Prompt :n', ['n' => $canvas->prompt->n]) }}</span>
                            @foreach (['png' => __('Picture (PNG)'), 'svg' => __('Drawing (SVG)'), 'pdf' => __('PDF'), 'inkml' => __('Ink (InkML)')] as $format => $name)
                                <a href="{{ route('seat.file', [$seat, $canvas->id, $format]) }}">{{ $name }}</a>
                            @endforeach
                        </li>
                    @endforeach
                </ul>
            @endif
            <p class="form-text">{{ __('This works on this device until :date, or until your teacher forgets the session.', ['date' => Illuminate\Support\Carbon::createFromTimestampMs(Crag\Session\Retention::keepUntilMs((int) $session->endedMs(), config()->integer('crag.keep_days')), config('app.timezone'))->translatedFormat('j F Y')]) }}</p>
        </section>
    </main>
</x-layout>
