<?php

declare(strict_types=1);

namespace Crag\Music;

/**
 * The name of a note: its letter, its accidental, and its octave where one is said. C4 is middle C, as scientific pitch
 * notation counts them.
 */
final readonly class NoteName
{
    private const STEPS = ['C' => 0, 'D' => 2, 'E' => 4, 'F' => 5, 'G' => 7, 'A' => 9, 'B' => 11];

    /** What is typed for them, and by how many semitones they change a note. */
    private const ACCIDENTALS = [
        'double sharp' => 2, 'double flat' => -2, 'sharp' => 1, 'flat' => -1, 'natural' => 0,
        '𝄪' => 2, '𝄫' => -2, '♯♯' => 2, '♭♭' => -2, '##' => 2, 'bb' => -2, 'x' => 2,
        '#' => 1, '♯' => 1, 'b' => -1, '♭' => -1, '♮' => 0,
    ];

    private function __construct(public string $letter, public int $change, public ?int $octave)
    {
    }

    public static function read(string $typed): ?self
    {
        $accidentals = implode('|', array_map(preg_quote(...), array_keys(self::ACCIDENTALS)));
        $pattern = "/^([A-Ga-g])\\s*-?({$accidentals})?\\s*(-?\\d)?$/u";
        if (preg_match($pattern, trim($typed), $found, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }

        return new self(
            mb_strtoupper((string) $found[1]),
            self::ACCIDENTALS[$found[2] ?? ''] ?? 0,
            isset($found[3]) ? (int) $found[3] : null,
        );
    }

    /**
     * Notes one after the other, apart by spaces, commas or strokes.
     *
     * @return ?list<self> null where something else is written
     */
    public static function several(string $typed): ?array
    {
        // "F sharp" is one note.
        $text = (string) preg_replace(
            '/\s+((?:double\s+)?(?:sharp|flat|natural))(?!\p{L})/iu',
            '-$1',
            strtr($typed, ['double-' => 'double ']),
        );
        $text = (string) preg_replace('/-double\s+/iu', '-double_', mb_strtolower($text));
        $notes = [];
        foreach (preg_split('/\s*[,;–]\s*|\s+(?:-\s+)?/u', trim($text), flags: PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            $note = self::read(str_replace('_', ' ', $one));
            if ($note === null) {
                return null;
            }
            $notes[] = $note;
        }

        return $notes === [] ? null : $notes;
    }

    public function is(self $other): bool
    {
        return $this->letter === $other->letter && $this->change === $other->change && $this->isInOctaveOf($other);
    }

    /** Whether both sound the same: F♯ and G♭. */
    public function soundsAs(self $other): bool
    {
        $difference = $this->semitones() - $other->semitones();

        return $this->octave === null || $other->octave === null ? $difference % 12 === 0 : $difference === 0;
    }

    /** The right name in another octave. */
    public function isNamedAs(self $other): bool
    {
        return $this->letter === $other->letter && $this->change === $other->change;
    }

    private function semitones(): int
    {
        return self::STEPS[$this->letter] + $this->change + 12 * ($this->octave ?? 0);
    }

    private function isInOctaveOf(self $other): bool
    {
        return $this->octave === null || $other->octave === null || $this->octave === $other->octave;
    }
}
