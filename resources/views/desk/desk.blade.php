@php($words = App\Http\BenchWords::all() + [
    'seat' => __('Seat :n'), 'tile' => __(':name, :state. Open close-up'), 'check' => __('Check: :level'), 'unchecked' => __('not checked'),
    'level0' => __('No attempt'), 'level1' => __('Not yet'), 'level2' => __('Nearly'), 'level3' => __('Secure'),
    'not_started' => __('not started'), 'drawing' => __('drawing now'), 'thinking' => __('quiet'), 'quiet' => __('quiet :n min'), 'away' => __('away'),
    'not_started_short' => __('new'), 'drawing_short' => __('draws'), 'quiet_short' => __(':n min'), 'away_short' => __('away'),
    'live' => __('Live'), 'polling' => __('No live connection: looking every 2 seconds'), 'offline' => __('Offline: trying again'),
    'unreachable' => __('That did not reach the server. Nothing has changed; try again.'),
    'saved' => __('Saved'), 'saving' => __('Saving…'), 'offline_lead' => __('Offline — :n steps kept here'), 'player_time' => __(':at of :of'),
    'pieces_out' => __('On :n canvases, to be moved. Late-comers get them too.'),
    'handout' => __('Goes to :n canvases, under the ink. No work is lost, and late-comers get it too.'),
    'handout_next' => __('Gives :n students a new canvas for the next prompt. The work so far stays on the prompt before.'),
])
<x-layout :title="$session->title" script="desk" @class(['desk', 'names-hidden' => ! $session->names_shown])
    :page="['session' => $session->id, 'prompt' => $current->id, 'address' => '/desk/'.$session->id, 'assets' => '/asset', 'stamps' => Crag\Canvas\Object\StampArt::all(), 'words' => $words]">
    @include('desk.now')
    <div class="desk-middle">
        @include('desk.rail')
        <main class="desk-grid" aria-label="{{ __('Grid') }}">
            @include('desk.gridline')
            <div id="grid-space" class="grid-space">
                <p id="nobody" class="nobody" hidden>
                    {{ __('Nobody is here yet. Students join with the code :code.', ['code' => $session->code()->spaced()]) }}
                    <button class="btn btn-go" data-do="join">{{ __('Show how to join') }}</button>
                </p>
                <ul id="grid" class="grid" aria-label="{{ __('Canvases') }}"></ul>
            </div>
        </main>
        @include('desk.lead')
        @include('desk.drawer')
    </div>
    @include('desk.lineup')
    @include('desk.tile')
    <p id="desk-notice" class="notice" role="alert" hidden></p>
    <div id="bands-sink" hidden></div>
</x-layout>
