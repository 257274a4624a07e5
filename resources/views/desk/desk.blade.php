@php($words = App\Http\BenchWords::all() + [
    'seat' => __('Seat :n'), 'tile' => __(':name, :state. Open close-up'), 'check' => __('Check: :level'), 'unchecked' => __('not checked'),
    'level0' => __('No attempt'), 'level1' => __('Not yet'), 'level2' => __('Nearly'), 'level3' => __('Secure'),
    'not_started' => __('not started'), 'drawing' => __('drawing now'), 'thinking' => __('quiet'), 'quiet' => __('quiet :n min'), 'away' => __('away'),
    'not_started_short' => __('new'), 'drawing_short' => __('draws'), 'quiet_short' => __(':n min'), 'away_short' => __('away'),
    'live' => __('Live'), 'polling' => __('No live connection: looking every 2 seconds'), 'offline' => __('Offline: trying again'),
    'unreachable' => __('That did not reach the server. Nothing has changed; try again.'),
    'saved' => __('Saved'), 'saving' => __('Saving…'), 'offline_lead' => __('Offline — :n steps kept here'), 'player_time' => __(':at of :of'),
    'hands' => __('Hand up: :name'), 'not_yours' => __('That is for the teacher who runs this session.'), 'knocks' => __('Knocking: :name'), 'covered' => __('Covered until you reveal'), 'undo' => __('Undo'), 'kept' => __('Done.'),
    'pens_down' => __('Pens down'), 'pens_up' => __('Pens up'), 'timer' => __('Timer'), 'time_up' => __('Time is up'), 'paused' => __(':left, paused'),
    'ending' => __('Nothing has happened here for a long time. The session ends by itself at :time.'), 'keep' => __('Keep it open'),
    'by' => __(':name: :what'), 'look_here' => __('Students see page :n'), 'look_none' => __('Students see no page of it'), 'look_other' => __('Students see page :n of another prompt'),
    'show_page' => __('Let students look at this page'), 'hide_page' => __('Students see this page'),
    'handed' => __('Handed out: on :n canvases.'), 'give_all' => __('Hand out to everybody'), 'give_some' => __('Hand out to :n'), 'choose_file' => __('Choose a picture or a PDF first.'),
    'give_backdrop' => __('Goes under the ink on :n canvases. No work is lost.'), 'give_pieces' => __('Goes onto :n canvases, to be moved. No work is lost.'),
    'give_fresh' => __('Replaces the ink on :n canvases; the old work stays in Replay and can be given back.'), 'give_late' => __('Late-comers get it too.'),
    'told_set_pens' => __('pens down or up'), 'told_set_timer' => __('timer'), 'told_steer' => __('prompts and pace'), 'told_hand_out' => __('handed out'), 'told_hand_out_to_some' => __('handed out to some'),
    'told_let_in' => __('the door'), 'told_send_out' => __('sent a student out'), 'told_set_door' => __('the door'), 'told_answer' => __('answered a student'), 'told_reveal' => __('revealed the work'),
    'told_change_settings' => __('settings'), 'told_choose_screen' => __('the class screen'), 'told_rename' => __('renamed a student'), 'told_lead' => __('lead canvas'), 'told_check' => __('checks'),
    'pieces_out' => __('On :n canvases, to be moved.'),
    'handout' => __('Goes to :n canvases, under the ink. No work is lost, and late-comers get it too.'),
    'handout_next' => __('Gives :n students a new canvas for the next prompt. The work so far stays on the prompt before.'),
])
<x-layout :title="$session->title" script="desk" class="desk {{ $current->isCovered() ? 'is-covered' : '' }}" data-names="{{ $settings->deskNames->value }}"
    :page="['session' => $session->id, 'prompt' => $current->id, 'me' => App\Http\CurrentTeacher::of(request())?->id, 'role' => $role->value, 'clock' => App\Live\Clock::ms(), 'ink' => $session->id, 'address' => '/desk/'.$session->id, 'assets' => '/asset', 'stamps' => Crag\Canvas\Object\StampArt::all(), 'words' => $words]">
    @include('desk.now')
    <div class="desk-middle">
        @include('desk.rail')
        <main class="desk-grid" aria-label="{{ __('Grid') }}">
            @include('desk.gridline')
            <div id="grid-space" class="grid-space">
                <p id="nobody" class="nobody" hidden>
                    {{ __('Nobody is here yet. Students join with the code :code.', ['code' => $session->code()->spaced()]) }}
                    <button class="btn btn-go" data-do="door">{{ __('Show how to join') }}</button>
                </p>
                <ul id="grid" class="grid" aria-label="{{ __('Canvases') }}"></ul>
            </div>
        </main>
        @include('desk.lead')
        @include('desk.drawer')
    </div>
    @include('desk.lineup')
    @include('desk.tile')
    @include('desk.small-windows')
    <p id="desk-notice" class="notice" role="alert" hidden></p>
    <p id="desk-heard" class="visually-hidden" role="status" aria-live="polite"></p>
    <div id="bands-sink" hidden></div>
</x-layout>
