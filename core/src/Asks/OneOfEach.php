<?php

declare(strict_types=1);

namespace Crag\Asks;

/**
 * One canvas for each common answer, to talk about them side by side: the answers that most gave, and of those who gave
 * one, the canvas that explains it best without being asked for. Clear is what has about as much on it as those beside
 * it usually have: hardly anything explains nothing, and a page full of crossings-out is nobody's to read from the back
 * of a room. Who was shown already steps back, and who asks not to be shown is left out.
 */
final readonly class OneOfEach
{
    /** As many as stand beside each other on the class screen. */
    public const MOST = 4;

    /** @param  int  $alike  how many gave this answer */
    private function __construct(public string $label, public Work $work, public int $alike, public bool $isFresh)
    {
    }

    /**
     * @param  array<array-key, Work>  $works  by voter
     * @return list<self> the most frequent answer first; one without any work to show has none
     */
    public static function among(Tally $tally, array $works): array
    {
        $bars = array_filter($tally->bars, static fn (Bar $bar): bool => $bar->count() > 0);
        usort($bars, static fn (Bar $a, Bar $b): int => $b->count() <=> $a->count());
        $found = [];
        $taken = [];
        foreach ($bars as $bar) {
            $candidates = array_filter(
                array_map(static fn (string $voter): ?Work => $works[$voter] ?? null, $bar->voters),
                static fn (?Work $work): bool => $work !== null &&
                    $work->objects > 0 &&
                    ! $work->keepsBack &&
                    ! in_array($work->canvas, $taken, true),
            );
            $best = self::best($candidates);
            if ($best !== null && count($found) < self::MOST) {
                $taken[] = $best->canvas;
                $found[] = new self($bar->label, $best, $bar->count(), $best->shown === 0);
            }
        }

        return $found;
    }

    /** @param  array<int, Work>  $works */
    private static function best(array $works): ?Work
    {
        $amounts = array_map(static fn (Work $work): int => $work->objects, $works);
        sort($amounts);
        $usual = $amounts[intdiv(count($amounts), 2)] ?? 0;
        usort(
            $works,
            static fn (Work $a, Work $b): int => [$a->shown, abs($a->objects - $usual), $a->canvas] <=>
                [$b->shown, abs($b->objects - $usual), $b->canvas],
        );

        return $works[0] ?? null;
    }
}
