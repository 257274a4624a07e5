<?php

declare(strict_types=1);

namespace App\Plans;

use Crag\Plan\PromptChange;

/** What has changed in a prompt, as it is said in a sentence. */
final class PromptChanges
{
    /** @param  list<PromptChange>  $changes */
    public static function inWords(array $changes): string
    {
        return implode(', ', array_map(static fn (PromptChange $one): string => __($one->word()), $changes));
    }
}
