@php($words = App\Http\BenchWords::all() + [
    'saved' => __('Saved'), 'saving' => __('Saving…'), 'offline' => __('Offline — :n strokes kept here'),
    'polling' => __('Saved — slow connection'), 'refused' => __('Something could not be kept: :reason'),
    'prompt' => __('Prompt :n'), 'question' => __('Question :n'), 'choice' => __('Choice :n'), 'signs' => __('Signs'), 'tray' => __('Your teacher has changed the tools.'),
])
<x-layout :title="$session->title" script="student" class="student"
    :page="['session' => $session->id, 'seat' => $seat->id, 'ink' => $seat->ink_key, 'address' => '/seat/'.$seat->id, 'assets' => '/asset', 'stamps' => Crag\Canvas\Object\StampArt::all(), 'words' => $words]">
    <header id="strip" class="strip {{ $prompt->words === '' ? 'is-wordless' : '' }}">
        <h1 class="visually-hidden">{{ $session->title }}</h1>
        <span id="prompt-number" class="strip-number">{{ __('Prompt :n', ['n' => $prompt->n]) }}</span>
        <p id="prompt-words" class="strip-words" aria-live="polite" dir="auto">{{ $mine }}</p>
        <button id="unfold" class="strip-unfold" aria-expanded="false" aria-controls="prompt-words">
            <x-icon name="chevron-down" /><span class="visually-hidden">{{ __('Whole prompt') }}</span>
        </button>
        <span class="strip-who" dir="auto">{{ $seat->name }}</span>
        <span id="saved" class="strip-saved" role="status" data-state="saved">{{ __('Saved') }}</span>
    </header>
    <p id="notice" class="notice" role="alert" hidden></p>
    <section id="questions" class="questions" aria-label="{{ __('Questions') }}" hidden></section>
    <main id="bench" class="bench">
        @include('bench.bench', ['label' => __('Your canvas'), 'lead' => false, 'files' => '/seat/'.$seat->id.'/work/CANVAS.FORMAT'])
    </main>
</x-layout>
