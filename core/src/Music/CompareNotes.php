<?php

declare(strict_types=1);

namespace Crag\Music;

use Crag\Maths\Comparing\Verdict;

/** Compares notes by their names, in the order in which they are written. An octave counts where the key says one. */
final class CompareNotes
{
    /** @return ?Verdict null where the right answer is no notes */
    public static function verdict(string $right, string $given): ?Verdict
    {
        $wanted = NoteName::several($right);
        if ($wanted === null) {
            return null;
        }
        $found = NoteName::several($given);
        if ($found === null) {
            return Verdict::unreadable('Give the names of notes, such as F♯ or Bb.');
        }
        foreach ($wanted as $i => $note) {
            if ($note->octave !== null && ($found[$i]->octave ?? null) === null && isset($found[$i])) {
                return self::all($wanted, $found, static fn (NoteName $a, NoteName $b): bool => $a->isNamedAs($b))
                    ? Verdict::otherForm('Say which octave: middle C is C4.')
                    : Verdict::wrong();
            }
        }

        $areAll = static fn (callable $isSo): bool => self::all($wanted, $found, $isSo);

        return match (true) {
            $areAll(static fn (NoteName $a, NoteName $b): bool => $a->is($b)) => Verdict::right(),
            $areAll(static fn (NoteName $a, NoteName $b): bool => $a->soundsAs($b)) => Verdict::otherForm(
                'It sounds the same, but it has another name here.',
            ),
            $areAll(static fn (NoteName $a, NoteName $b): bool => $a->isNamedAs($b)) => Verdict::wrong(
                'That’s another octave.',
            ),
            self::names($wanted) === self::names($found) => Verdict::wrong('The order counts.'),
            default => Verdict::wrong(),
        };
    }

    public static function areSame(string $one, string $other): bool
    {
        [$first, $second] = [NoteName::several($one), NoteName::several($other)];

        return $first === null || $second === null
            ? trim($one) === trim($other)
            : self::all($first, $second, static fn (NoteName $a, NoteName $b): bool => $a->is($b));
    }

    /**
     * @param  list<NoteName>  $wanted
     * @param  list<NoteName>  $found
     * @param  callable(NoteName, NoteName): bool  $isSo
     */
    private static function all(array $wanted, array $found, callable $isSo): bool
    {
        return count($wanted) === count($found) && ! in_array(false, array_map($isSo, $wanted, $found), true);
    }

    /**
     * @param  list<NoteName>  $notes
     * @return list<string>
     */
    private static function names(array $notes): array
    {
        $names = array_map(static fn (NoteName $note): string => "{$note->letter}{$note->change} {$note->octave}", $notes);
        sort($names);

        return $names;
    }
}
