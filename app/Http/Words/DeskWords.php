<?php

declare(strict_types=1);

namespace App\Http\Words;

use Crag\Maths\Comparing\Outcome;
use Crag\Session\Rules\Deed;
use Crag\Watch\CanvasState;

/** The sentences that the desk's script says. */
final class DeskWords
{
    /** @return array<string, string> */
    public static function all(): array
    {
        $outcomes = [];
        foreach (Outcome::cases() as $outcome) {
            $outcomes["outcome_{$outcome->value}"] = __($outcome->word());
        }

        $told = [];
        foreach (Deed::cases() as $deed) {
            $told["told_{$deed->value}"] = __($deed->word());
        }

        $states = [];
        foreach (CanvasState::counted() as $state) {
            $states["state_{$state->value}"] = __($state->words());
            $states["state_{$state->value}_short"] = __($state->shortWords());
        }

        return BenchWords::all() +
            $outcomes +
            $told +
            $states + [
                'seat' => __('Seat :n'),
                'tile' => __(':name, :state. Open close-up'),
                'check' => __('Check: :level'),
                'unchecked' => __('not checked'),
                'show_one' => __('Show :name to the class'),
                'show_some' => __('Show these :n beside each other'),
                'chose' => __('Answered the quick ask: :choice'),
                'talks' => __('1 talk-through|:n talk-throughs'),
                'live_asking' => __('Asking :name …'),
                'live_connecting' => __('Connecting with :name …'),
                'live_on' => __('Talking with :name'),
                'live_already' => __('End the other talk first.'),
                'live_no_answer' => __(':name didn’t answer.'),
                'live_declined' => __(':name can’t talk right now.'),
                'live_over' => __('The talk with :name is over.'),
                'live_lost' => __('The talk was cut off.'),
                'take_on' => __('I take these'),
                'not_mine' => __('No longer mine'),
                'taken_by' => __('With :name'),
                'colleague_helps' => __(':name (helper)'),
                'colleague_at' => __(':name, at :student’s canvas'),
                'colleague_here' => __(':name is looking at this'),
                'held_all' => __('Held since :time · Go on'),
                'held_some' => __(':n held since :time · Go on'),
                'pass_at' => __(':n of :all'),
                'sorted' => __(':n of :all in the right place'),
                'tasks' => __(':n of :all tasks done'),
                'practice_right' => __(':n of :all tasks right'),
                'tasks_all' => __(':n of :all have done every task'),
                'nothing_shown' => __('Nothing is being shown yet: choose a canvas in the line-up first.'),
                'lead_canvas' => __('Lead canvas'),
                'changed_since' => __('The work has changed since the check'),
                'check_keys' => __('Check (0 to 3)'),
                'propose' => __('Check by answers…'),
                'who_wrote_n' => __(':n wrote it'),
                'proposed' => __('Going by the answers, those not yet checked would be: :counts.'),
                'nothing_proposed' => __('Everyone who answered has a check already.'),
                'accept' => __('Accept'),
                'level0' => __('No attempt'),
                'level1' => __('Not yet'),
                'level2' => __('Nearly'),
                'level3' => __('Secure'),
                'signal' => __('Worth a look: :name, :reason'),
                'ask_chosen' => __('Only the student you’ve chosen|Only the :n students you’ve chosen'),
                'ask_yes' => __('Yes'),
                'ask_no' => __('No'),
                'ask_unsure' => __('Not sure'),
                'ask_sure' => __('How sure are you?'),
                'picture_first' => __('Choose a picture first.'),
                'ask_guessed' => __('guessed'),
                'ask_certain' => __('certain'),
                'and_others' => __(':names and :n more'),
                'chosen_count' => __(':n chosen'),
                'answers_say' => __(':n say :answer'),
                'question_n' => __('Question :n'),
                'page_n' => __('page :n'),
                'checked_some' => __('Checked 1 canvas.|Checked :n canvases.'),
                'compare_few' => __('Choose two to four canvases to compare.'),
                'picked_among' => __(
                    'The only student here who’s been picked least.|Picked from the :n students here who’ve been picked least.',
                ),
                'picked' => __('Picked: :name'),
                'coach_saved' => __('The student has it'),
                'notes_saved' => __('Kept for teachers'),
                'offline_close' => __('Offline — 1 stroke kept here|Offline — :n strokes kept here'),
                'never_looked' => __('No teacher has looked at it yet.'),
                'as_looked' => __('As it was when a teacher last looked'),
                'step_of' => __('step :at of :of'),
                'now' => __('now'),
                'pens_for' => __('Look up for a moment, please.'),
                'no_canvas' => __('There are no canvases for this prompt yet.'),
                'shielded' => __('Shield is on'),
                'unshielded' => __('Shield is off'),
                'live' => __('Live'),
                'screen_up' => __('On the class screen'),
                'screen_down' => __('Take it off the class screen'),
                'names_names' => __('Names'),
                'names_seats' => __('Seat numbers'),
                'names_hidden' => __('Hidden'),
                'student' => __('Student'),
                'stale' => __('States and answers are as they were at :time. Trying again every 3 seconds.'),
                'polling' => __('No live connection: looking every 2 seconds'),
                'offline' => __('Offline: trying again'),
                'offline_lead' => __('Offline — 1 step kept here|Offline — :n steps kept here'),
                'player_time' => __(':at of :of'),
                'heard_hand' => __('Hand up: :name'),
                'heard_offers' => __(':name offers work'),
                'heard_sent' => __(':name has sent their work'),
                'heard_wrote' => __(':name wrote to you'),
                'not_yours' => __('Only the teacher running this session can do that.'),
                'heard_knocks' => __('Knocking: :name'),
                'covered' => __('Covered until you reveal'),
                'undo' => __('Undo'),
                'kept' => __('Done.'),
                'pens_down' => __('Pens down'),
                'pens_up' => __('Pens up'),
                'timer' => __('Timer'),
                'time_up' => __('Time is up'),
                'paused' => __(':left, paused'),
                'ending' => __('Nothing has happened here for a while. The session will end by itself at :time.'),
                'keep' => __('Keep it open'),
                'by' => __(':name :what.'),
                'look_here' => __('Students see page :n'),
                'look_none' => __('Students can’t see it'),
                'look_other' => __('Students see page :n of another prompt'),
                'show_page' => __('Let students look at this page'),
                'hide_page' => __('Students see this page'),
                'handout_at' => __('For prompt :n: :words'),
                'handout_new' => __('As a new prompt, after the others'),
                'handed' => __('Handed out on 1 canvas.|Handed out on :n canvases.'),
                'give_all' => __('Hand out to everyone'),
                'give_some' => __('Hand out to :n'),
                'choose_file' => __('Choose a picture or a PDF first.'),
                'give_backdrop' => __(
                    'Goes under the ink on 1 canvas. No work is lost.|Goes under the ink on :n canvases. No work is lost.',
                ),
                'give_pieces' => __(
                    'Goes on 1 canvas, for the student to move. No work is lost.|Goes on :n canvases, for students to move. No work is lost.',
                ),
                'give_fresh' => __(
                    'Clears 1 canvas first. The old work stays in Replay, and Undo brings it back.|Clears :n canvases first. The old work stays in Replay, and Undo brings it back.',
                ),
                'give_fresh_do' => __('Clear 1 canvas and hand out|Clear :n canvases and hand out'),
                'give_late' => __('Anyone who joins later gets it too.'),
                'pieces_out' => __('On 1 canvas, for the student to move.|On :n canvases, for students to move.'),
                'handout' => __(
                    'Goes on 1 canvas, under the ink. No work is lost, and anyone who joins later gets it too.|Goes on :n canvases, under the ink. No work is lost, and anyone who joins later gets it too.',
                ),
                'handout_next' => __(
                    'Gives 1 student a new canvas for the next prompt. The work so far stays on the prompt before.|Gives :n students a new canvas for the next prompt. The work so far stays on the prompt before.',
                ),
            ];
    }
}
