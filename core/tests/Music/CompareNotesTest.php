<?php

declare(strict_types=1);

namespace Crag\Tests\Music;

use Crag\Music\CompareNotes;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Names of notes as students type them. */
final class CompareNotesTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> right, given, outcome */
    public static function answers(): iterable
    {
        $cases = <<<'CASES'
            in words|F#|F sharp|right
            the sign itself|F#|F♯|right
            a small letter|B|b|right
            two small letters|Bb|bb|right
            flat in words|Bb|b flat|right
            a double sharp|F##|Fx|right
            a double sharp in words|F##|F double sharp|right
            a natural|F|F♮|right
            the sharp is missing|F#|F|wrong
            it sounds the same|F#|Gb|other-form
            it sounds the same across the octave|C4|B#3|other-form
            no note|F#|H|unreadable
            nothing|F#||unreadable
            an octave that is not asked for|C|C4|right
            an octave that is asked for|C4|C|other-form
            another note without its octave|C4|D|wrong
            another octave|C4|C5|wrong
            the octave|C4|c4|right
            a chord|C E G|C, E, G|right
            with strokes|C E G|C - E - G|right
            in another order|C E G|G E C|wrong
            a note too few|C E G|C E|wrong
            flats in words|Eb G Bb|E flat, G, B flat|right
            a minor chord for a major one|C E G|C Eb G|wrong
            CASES;
        foreach (explode("\n", $cases) as $line) {
            [$why, $right, $given, $outcome] = explode('|', $line);
            yield $why => [$right, $given, $outcome];
        }
    }

    #[DataProvider('answers')]
    public function test_an_answer_is_read_and_compared(string $right, string $given, string $outcome): void
    {
        $verdict = CompareNotes::verdict($right, $given);
        self::assertSame($outcome, $verdict?->outcome->value, $verdict->why ?? '');
        if (in_array($outcome, ['other-form', 'unreadable'], true)) {
            self::assertNotSame('', $verdict->why);
        }
    }

    public function test_a_key_that_names_no_notes_is_told_apart(): void
    {
        self::assertNull(CompareNotes::verdict('middle see', 'C'));
    }

    public function test_equal_answers_are_grouped_however_they_are_typed(): void
    {
        self::assertTrue(CompareNotes::areSame('F# A', 'f sharp, a'));
        self::assertFalse(CompareNotes::areSame('F#', 'Gb'));
        self::assertTrue(CompareNotes::areSame('no idea', ' no idea'));
    }
}
