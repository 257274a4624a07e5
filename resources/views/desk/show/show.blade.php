{{-- What the class sees: one place for what, where and under which names, with a small picture of exactly that. --}}
<x-panel id="show" :title="__('Show')">
    <button class="mini-screen" id="mini-screen" aria-expanded="false"
        title="{{ __('What the class screen shows; press to make it larger') }}"><span
        class="visually-hidden">{{ __('The class screen, small') }}</span><iframe
        data-src="{{ route('screen', $session) }}" title="{{ __('The class screen, small') }}"
        tabindex="-1"></iframe></button>
    <div id="show-these" class="panel-row" hidden>
        <button class="btn btn-go" data-do="show-these"><x-icon name="easel" /> <span
            id="show-these-words"></span></button>
        <button class="btn btn-outline-slate" data-do="line-up"><x-icon name="collection" />
            {{ __('Add to the line-up') }} <kbd>J</kbd></button>
    </div>
    @include('desk.show.show-body')
    <div class="panel-row">
        <a class="btn btn-outline-slate" href="{{ route('screen.open', [$session, $session->screen_key]) }}"
            id="open-screen" target="_blank" rel="noopener"><x-icon name="box-arrow-up" />
            {{ __('Open the class screen in a window') }}</a>
    </div>
</x-panel>
