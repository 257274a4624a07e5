<?php

declare(strict_types=1);

namespace App\Http\Words;

use Crag\Session\Rules\Refusal;

/** The sentences that a student's page says. */
final class StudentWords
{
    /** @return array<string, string> */
    public static function all(): array
    {
        $why = [];
        foreach (Refusal::cases() as $refusal) {
            $why["why_{$refusal->value}"] = __($refusal->sentence());
        }

        return BenchWords::all() +
            $why + [
                'opened_offline' => __('No network: this is your work as this device has it. You can go on drawing.'),
                'left_waiting' => __('Some of your work isn’t saved yet. Wait until it says “Saved”, then leave.'),
                'offline' => __('Offline — 1 stroke kept here|Offline — :n strokes kept here'),
                'held' => __('1 stroke waits here: :reason|:n strokes wait here: :reason'),
                'polling' => __('Saved — slow connection'),
                'refused' => __('Something couldn’t be saved: :reason'),
                'prompt' => __('Prompt :n'),
                'answered' => __('Answered :n of :all'),
                'tray' => __('Your teacher has changed the tools.'),
                'pens_down' => __('Pens down'),
                'time_up' => __('Time is up'),
                'paused' => __(':left, paused'),
                'hand_up' => __('Hand up'),
                'hand_down' => __('Hand is up'),
                'hand_coming' => __('Help is coming'),
                'send' => __('Send to teacher'),
                'sent' => __('Sent'),
                'take_back' => __('Take back'),
                'new_work' => __('Your teacher has handed something out.'),
                'new_page' => __('Your teacher has handed something out, on page :n.'),
                'fresh' => __('Your teacher has given you a fresh start. Your old work is kept.'),
                'hear' => __('Listen'),
                'spoken_note' => __('Spoken note, :length'),
                'live_asks' => __(':name would like to talk with you. The rest of the class can’t hear it.'),
                'live_connecting' => __('Connecting with :name …'),
                'live_on' => __('Talking with :name'),
                'live_over' => __('The talk is over.'),
                'live_lost' => __('The talk was cut off.'),
                'together' => __('With :names'),
                'together_count' => __('With 1 other|With :n others'),
                'together_alone' => __('Shared canvas: nobody else is here yet'),
                'lead' => __('Teacher’s page'),
                'seat' => __('Others see you as :name'),
                'renamed' => __('Your name here is now :name.'),
                'moved' => __('You’re working on another device now.'),
                'slow' => __('The connection is slow. Light data uses less.'),
                'use_light' => __('Use light data'),
                'rate' => __('About :n kB a minute'),
                'light_on' => __('Light data is on'),
                'light_off' => __('Light data is off'),
                'pad_sent' => __('You’ve sent this. Press “Change it” to go on drawing.'),
                'ask_closed' => __('Closed.'),
                'ask_sent' => __('Your answer is in. You can change it until this closes.'),
                'ask_anonymous' => __('Nobody will know who answered what, not even your teacher.'),
                'task_is_done' => __('done'),
                'task_done' => __('Done: :task'),
                'tasks_all' => __('All done. Well done!'),
                'tasks_done' => __(':n of :all tasks done'),
                'ask_team' => __('You’re in :team'),
                'ask_picture' => __('The picture to the question'),
                'worked' => __('Worked answer'),
                'ask_right' => __('Right: :right'),
                'ask_middle' => __('In the middle: :middle'),
                'shown_anonymous' => __('Your work is being shown, without your name.'),
                'shown_named' => __('Your work is being shown.'),
                'work_of' => __(':name’s work'),
                'work_of_somebody' => __('Someone’s work'),
                'kept_back' => __('Your teacher can see you’d rather not be shown.'),
                'teacher' => __('Teacher'),
                'coach_hide' => __('Hide'),
                'coach_show' => __('Show'),
                'about_coach' => __('About what you wrote on my canvas: '),
                'open_until' => __('Open until :date. Go on whenever you like, with the same link.'),
                'points' => __('1 point|:n points'),
                'points_of' => __(':n of :most points'),
                'offered' => __('Offered. Your teacher will look at it first.'),
                'run_result' => __('You had :n of :of right.'),
                'not_now' => __('You can’t do that now: :reason'),
            ];
    }
}
