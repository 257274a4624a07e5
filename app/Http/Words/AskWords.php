<?php

declare(strict_types=1);

namespace App\Http\Words;

use Crag\Asks\OneOfEach;
use Crag\Session\Screen\Letter;

/** Sentences about quick asks. */
final class AskWords
{
    /** @param  list<OneOfEach>  $found */
    public static function shown(array $found): string
    {
        $said = [];
        foreach ($found as $i => $one) {
            $said[] = trans_choice(
                '{1} :letter: :label (:count student)|[2,*] :letter: :label (:count students)',
                $one->alike,
                ['letter' => Letter::at($i), 'label' => $one->label],
            ).($one->isFresh ? '' : ' '.__('shown before'));
        }

        return __('Showing one of each. :works', ['works' => implode(' · ', $said)]);
    }
}
