@use('Crag\Session\Rules\Deed')
<x-layout :title="$session->title" script="desk" hx-ext="morph" class="desk {{ $current->isCovered() ? 'is-covered' : '' }}"
    data-names="{{ $settings->deskNames->value }}"
    :page="App\Http\Pages\DeskPage::script(request(), $session, $current)">
    @include('desk.room.now')
    <div class="desk-middle">
        <div class="rail-side" id="rail-side">
            @include('desk.room.rail')
            <section id="signals" class="signals" aria-labelledby="signals-title" hidden>
                <h2 id="signals-title">{{ __('Worth a look') }}</h2>
                <ul></ul>
            </section>
        </div>
        <main class="desk-grid" aria-label="{{ __('Grid') }}">
            @include('desk.watch.gridline')
            <div id="grid-space" class="grid-space">
                <p id="nobody" class="nobody" hidden>
                    {{ __('Nobody is here yet. Students join with the code :code.',
                        ['code' => $session->code()->spaced()]) }}
                    <button class="btn btn-go" data-do="door">{{ __('Show how to join') }}</button>
                </p>
                <p id="none-of-these" class="nobody" hidden>{{ __('Nobody right now.') }}
                    <button class="btn btn-outline-slate" data-do="filter"
                    data-filter="">{{ __('Show all') }}</button></p>
                <ul id="grid" class="grid" aria-label="{{ __('Canvases') }}"></ul>
            </div>
            @include('desk.watch.chosen')
        </main>
        @include('desk.work.lead')
        @if ($deeds->may(Deed::ChooseScreen)) @include('desk.show.talking') @else
            <div id="talking" hidden><div id="talking-which"></div><button id="talking-whole"></button><button
            id="talking-replay"></button><button id="talking-lead"></button><button id="talking-give"></button></div>
            @endif
        @include('desk.watch.closeup')
        @include('desk.watch.compare')
        @include('desk.checks.picture')
        @include('desk.drawer')
    </div>
    <div id="shield" class="shield" role="status" hidden><p><x-icon name="shield" />
        {{ __('Everything on this desk is hidden.') }} <button class="btn btn-slate"
        data-do="shield">{{ __('Show it again') }} <kbd>B</kbd></button></p></div>
    @include('desk.show.lineup')
    @include('desk.watch.tile')
    {{-- A desk has three benches, and each is made of this when it is first opened: resources/ts/bench/place.ts. --}}
    <template id="bench">{{ App\Http\SameForAll::view('bench.bench',
        ['label' => '', 'lead' => true, 'isOnDesk' => true, 'as' => 'bench-', 'files' => 'its own'], []) }}</template>
    @include('desk.small-windows')
    <x-toast id="desk-notice" />
    <p id="desk-heard" class="visually-hidden" role="status" aria-live="polite"></p>
    <div id="bands-sink" hidden></div>
</x-layout>
