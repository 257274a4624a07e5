<?php

declare(strict_types=1);

namespace App\Http\Words;

/** The sentences that the class screen's script says. */
final class ScreenWords
{
    /** @return array<string, string> */
    public static function all(): array
    {
        return [
            'work_of' => __(':name’s work'),
            'hear' => __('Sound on'),
            'work_of_somebody' => __('A canvas of the class'),
        ];
    }
}
