<?php

declare(strict_types=1);

namespace Crag\Handwriting\Made;

/** The forms of signs that ship: how each may be written. */
final class Forms
{
    /** Those that were drawn apart from the templates. */
    private const TRIAL = ['t', 'u'];

    /**
     * @param  bool  $forTrial  those that nothing was trained on
     * @return array<string, list<list<list<array{float, float, bool}>>>> by sign: its forms, of strokes, of places and
     *      whether each is a corner
     */
    public static function all(bool $forTrial): array
    {
        $forms = [];
        foreach (explode("\n", Drawn::FORMS) as $line) {
            [$sign, $set, $drawn] = explode(' ', $line, 3);
            if (in_array($set, self::TRIAL, true) === $forTrial) {
                $forms[$sign][] = array_map(self::stroke(...), explode('|', $drawn));
            }
        }

        return $forms;
    }

    /** @return list<array{float, float, bool}> */
    private static function stroke(string $drawn): array
    {
        $places = [];
        foreach (preg_split('/\s+/', trim($drawn)) ?: [] as $place) {
            [$x, $y] = explode(',', rtrim($place, '!'));
            $places[] = [(float) $x, (float) $y, str_ends_with($place, '!')];
        }

        return $places;
    }
}
