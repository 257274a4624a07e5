@php($words = [
    'saved' => __('Saved'), 'saving' => __('Saving…'), 'offline' => __('Offline — :n strokes kept here'),
    'polling' => __('Saved — slow connection'), 'refused' => __('Something could not be kept: :reason'),
    'prompt' => __('Prompt :n'), 'typing' => __('Words on the page'),
])
<x-layout :title="$session->title" script="student" class="student"
    :page="['session' => $session->id, 'seat' => $seat->id, 'ink' => $seat->ink_key, 'address' => '/seat/'.$seat->id, 'assets' => '/asset', 'words' => $words]">
    <header id="strip" class="strip {{ $prompt->words === '' ? 'is-wordless' : '' }}">
        <h1 class="visually-hidden">{{ $session->title }}</h1>
        <span id="prompt-number" class="strip-number">{{ __('Prompt :n', ['n' => $prompt->n]) }}</span>
        <p id="prompt-words" class="strip-words" aria-live="polite">{{ $prompt->words }}</p>
        <button id="unfold" class="strip-unfold" aria-expanded="false" aria-controls="prompt-words">
            <x-icon name="chevron-down" /><span class="visually-hidden">{{ __('Whole prompt') }}</span>
        </button>
        <span class="strip-who" dir="auto">{{ $seat->name }}</span>
        <span id="saved" class="strip-saved" role="status" data-state="saved">{{ __('Saved') }}</span>
    </header>
    <p id="notice" class="notice" role="alert" hidden></p>
    <main id="stage" class="stage">
        <div id="page-frame" class="page-frame" tabindex="0" role="application" aria-label="{{ __('Your canvas') }}" data-tool="pen">
            <div id="page" class="page"></div>
        </div>
    </main>
    @include('student.tray')
</x-layout>
