<?php

declare(strict_types=1);

namespace App\Http\Words;

use App\Plans\BringInPlan;
use Crag\Prompt\Question\QuestionKind;

/** The sentences that the script of a plan's page says. */
final class PlanWords
{
    /** @return array<string, string> */
    public static function all(): array
    {
        $kinds = [];
        foreach (QuestionKind::cases() as $kind) {
            $kinds["kind_{$kind->value}"] = __($kind->word());
        }

        return BenchWords::all() + $kinds + [
            'gaps_none' => __('No new gaps were found.'),
            'gaps_left' => __('1 more gap found no room.|:n more gaps found no room.'),
            'gaps_found' => __(
                '1 answer box added. Undo takes it away again.|:n answer boxes added. Undo takes them away again.',
            ),
            'unsaved' => __('Not saved yet — trying again'),
            'offline' => __('Offline — 1 step kept here|Offline — :n steps kept here'),
            'prompt' => __('Prompt :n'),
            'no_words' => __('no words yet'),
            'on_page' => __('at a place on page :n'),
            'place' => __('Place it on the page'),
            'unplace' => __('Under the words'),
            'removed' => __('Prompt :n is removed. Undo brings it back.'),
            'nothing_to_undo' => __('There’s nothing to undo.'),
            'changed_since' => __('Someone has changed this since, so it can’t be undone.'),
            'conflict' => __('“:field” was changed on another page in the meantime.'),
            'bringing_pages' => __('Page :done of :total is in …'),
            'brought_in' => __('Your answer is in.'),
            'follows' => __('1 prompt changed in the running session.|:n prompts changed in the running session.'),
            'too_large' => __('That file is over :n MB.', ['n' => BringInPlan::MOST_MEGABYTES]),
            'running' => __('A session has been running since :since. Students don’t have: :lacks.'),
            'not_saved' => __('1 thing not saved|:n things not saved'),
            'give_up' => __('Use the saved one instead'),
            'untitled' => __('A plan needs a title, so it keeps the one it had.'),
            'original_changed' => __('The plan that you copied has changed: :changes.'),
            'took_over' => __('1 prompt taken over. Undo brings yours back.|:n prompts taken over. Undo brings yours back.'),
            'chosen' => __('1 chosen|:n chosen'),
            'removed_all' => __('1 prompt removed. Undo brings it back.|:n prompts removed. Undo brings them back, one by one.'),
            'no_others' => __('You have no other plan yet.'),
            'other_empty' => __('Nothing in it yet.'),
            'take_prompt' => __('Take a copy of it'),
            'is_here' => __(':name is here'),
            'follow' => __('Give students these changes'),
            'move_spot' => __('Question :n. Arrow keys move it, with Shift they change its size.'),
            'value_range' => __(':name: from :from to :to'),
            'value_list' => __(':name: :list'),
            'value_dash' => __('Did you mean from :from to :to?'),
            'value_moved' => __('The words were changed meanwhile. Select the number again.'),
            'value_choose' => __('Select a number in the words first.'),
            'draws' => __('1 way to draw it. For example:|:n different draws. For example:'),
            'draws_many' => __('More than :n different draws. For example:'),
            'draw_boxes' => __('Drag a box on the page for each answer. Escape ends it.'),
            'draw_marked' => __('Drag around each printed answer. Escape ends it.'),
            'move_printed' => __('Answer :letter of question :n. Arrow keys move it, with Shift they change its size.'),
            'boxes_full' => __('A prompt holds up to :n questions.'),
            'ask_guessed' => __('guessed'),
            'ask_certain' => __('certain'),
            'picture_first' => __('Choose a picture first.'),
        ];
    }
}
