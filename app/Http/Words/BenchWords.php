<?php

declare(strict_types=1);

namespace App\Http\Words;

use Crag\Canvas\Drawing\StampArt;
use Crag\Construct\ElementKind;
use Crag\Manipulative\ManipulativeKind;

/** The sentences that a canvas's script says. */
final class BenchWords
{
    /** @return array<string, string> */
    public static function all(): array
    {
        $stamps = [];
        foreach (StampArt::names() as $name) {
            $stamps["stamp_{$name}"] = __(StampArt::word($name));
        }

        return $stamps + [
            'typing' => __('Words on the page'),
            'talk_no_microphone' => __('No microphone: allow it for this page, then try again.'),
            'talk_no_camera' => __('No camera or microphone: allow them for this page, then try again.'),
            'dictation_here' => __('Your voice stays on this device.'),
            'dictation_away' => __('Your browser may send your voice to its maker to do this.'),
            'talk_long' => __('That’s 3 minutes, the longest a recording can be.'),
            'talk_waits' => __('No network: it goes as soon as there is one.'),
            'page' => __('Page :n of :all'),
            'squares' => __('1 square|:n squares'),
            'question' => __('Question :n'),
            'page_text' => __('Text of this page'),
            'hand_in' => __('Check'),
            'mark_right' => __('Right'),
            'mark_wrong' => __('Not right: it’s :key'),
            'course_row' => __(':n of :all right in a row'),
            'course_done' => __('Done: :all right in a row'),
            'answer_strip' => __('Answer a box'),
            'box_before' => __('Previous box'),
            'box_next' => __('Next box'),
            'box_close' => __('Close'),
            'written_bar' => __('Your written answer'),
            'written_as' => __('Read as'),
            'written_unsure' => __('Not sure. Is it'),
            'written_unread' => __('That can’t be read. Write it again, or type it:'),
            'written_yes' => __('Yes'),
            'written_type' => __('Type it'),
            'written_take' => __('Take this'),
            'ink_unread' => __('That can’t be read. Choose the strokes of one line.'),
            'choice' => __('Choice :n'),
            'signs' => __('Signs'),
            'saved' => __('Saved'),
            'saving' => __('Saving…'),
            'unreachable' => __('That didn’t reach the server. Nothing has changed; try again.'),
            'no_camera' => __('This page can’t use a camera. Choose a picture from a file instead.'),
            'bringing' => __('Bringing it in…'),
            'paste_cut' => __('Only the first :n characters fit in a text box.'),
            'only_lines_in_parts' => __('You can only rub out parts of lines. Choose “Whole lines” to rub this out.'),
            'no_shape' => __('That isn’t close to a line or a shape.'),
            'nothing_chosen' => __('Nothing is chosen.'),
            'chosen' => __(':n chosen'),
            'object' => __(':what, :where'),
            'no_objects' => __('Nothing on this page yet.'),
            'a_stroke' => __('Stroke'),
            'a_writing' => __('Writing, :n strokes'),
            'a_highlight' => __('Highlighted line'),
            'a_line' => __('Straight line'),
            'a_arrow' => __('Arrow'),
            'a_rectangle' => __('Rectangle'),
            'a_ellipse' => __('Ellipse'),
            'a_triangle' => __('Triangle'),
            'a_polygon' => __('Polygon'),
            'a_curve' => __('Curve'),
            'a_text' => __('Text “:text”'),
            'a_note' => __('Sticky note “:text”'),
            'a_maths' => __('Formula :text'),
            'a_construction' => __('Construction: :text'),
            ...self::elements(),
            ...self::pieces(),
            'answer_by_graph' => __('Your answer is what you plot or construct on the axes.'),
            'answer_by_piece' => __('Your answer is what the piece on the page shows: :piece.'),
            'a_manipulative' => __(':what: :state'),
            'construct_words' => __('Try “segment A B”, “midpoint A B”, “perpendicular C AB”, “point 3 2”, or “A 4 1” to move A.'),
            'construct_axes' => __('A graph needs a page with axes.'),
            'slider' => __(':letter in :line'),
            'construct_none' => __('Tap a point, line or circle that’s there, or put a point first.'),
            'construct_step' => __(':n of :all'),
            'construct_gone' => __('Removed, with what depended on it (:n).'),
            'a_stamp' => __('Stamp: :text'),
            'a_picture' => __('Picture'),
            'a_named_picture' => __('Picture: :text'),
            'a_piece' => __('Piece: :text'),
            'a_area' => __('Place to sort into: :text'),
            'a_locked' => __('Locked piece: :text'),
            'a_stack' => __('Stack: :text'),
            'at_top_left' => __('top left'),
            'at_top_centre' => __('top'),
            'at_top_right' => __('top right'),
            'at_middle_left' => __('left'),
            'at_middle_centre' => __('middle'),
            'at_middle_right' => __('right'),
            'at_bottom_left' => __('bottom left'),
            'at_bottom_centre' => __('bottom'),
            'at_bottom_right' => __('bottom right'),
        ];
    }

    /** @return array<string, string> what manipulatives are called */
    private static function pieces(): array
    {
        $words = [];
        foreach (ManipulativeKind::cases() as $kind) {
            $words["piece_{$kind->value}"] = __($kind->word());
        }

        return $words;
    }

    /** @return array<string, string> what the parts of a construction are called */
    private static function elements(): array
    {
        $words = [];
        foreach (ElementKind::cases() as $kind) {
            $words["element_{$kind->value}"] = __($kind->word());
        }

        return $words;
    }
}
