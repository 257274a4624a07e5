<?php

declare(strict_types=1);

namespace Crag\Canvas\Marking;

use Crag\Prompt\Question\MarkedOptions;
use Crag\Prompt\Question\PrintedOption;

/** What all the marks on a page say about options that are printed there. */
final class InkMarks
{
    /** With more ink than so many times the way around it, an option is scribbled over. */
    private const SCRIBBLED = 3.5;

    /**
     * @param  list<InkMark>  $marks
     * @param  list<PrintedOption>  $options
     */
    public static function on(array $options, array $marks): MarkedOptions
    {
        $found = [];
        $isClear = true;
        foreach ($marks as $mark) {
            $on = $mark->on($options);
            $isClear = $isClear && $on !== null;
            foreach ($on ?? [] as $i) {
                $found[$i] = ($found[$i] ?? 0.0) + $mark->lengthOn($options[$i]);
            }
        }
        foreach ($found as $i => $length) {
            // Nobody can say whether what is scribbled over is chosen or struck out.
            $isClear = $isClear && $length < self::SCRIBBLED * 2 * ($options[$i]->w + $options[$i]->h);
        }
        ksort($found);

        return new MarkedOptions(array_keys($found), $isClear);
    }
}
