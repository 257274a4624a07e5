<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Chemistry\CompareChemistry;
use Crag\Chemistry\UnreadableChemistry;
use Crag\Maths\Comparing\Outcome;
use Crag\Maths\Comparing\Verdict;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Music\CompareNotes;

/** What the words of an answer are. */
enum TextReading: string
{
    case Words = 'words';
    case Chemistry = 'chemistry';
    case Notes = 'notes';

    public function word(): string
    {
        return match ($this) {
            self::Words => 'words',
            self::Chemistry => 'a chemical formula or equation',
            self::Notes => 'names of notes',
        };
    }

    /**
     * @param  list<string>  $right  any of these
     *
     * @throws UnreadableMaths when a right answer cannot be read
     */
    public function compare(array $right, Wording $wording, string $given): Verdict
    {
        if ($this === self::Words) {
            return $wording->compare($right, $given);
        }
        $verdicts = array_map(fn (string $one): Verdict => $this->verdict($one, $given), $right);
        foreach ([Outcome::Right, Outcome::OtherForm] as $outcome) {
            foreach ($verdicts as $verdict) {
                if ($verdict->outcome === $outcome) {
                    return $verdict;
                }
            }
        }

        return $verdicts[0] ?? Verdict::wrong();
    }

    public function isSame(Wording $wording, string $one, string $other): bool
    {
        return match ($this) {
            self::Words => $wording->isSame($one, $other),
            self::Chemistry => CompareChemistry::areSame($one, $other),
            self::Notes => CompareNotes::areSame($one, $other),
        };
    }

    private function verdict(string $right, string $given): Verdict
    {
        if ($this === self::Notes) {
            return CompareNotes::verdict($right, $given) ?? throw UnreadableMaths::because('Give the names of notes, such as F♯ or Bb.');
        }
        try {
            return CompareChemistry::verdict($right, $given);
        } catch (UnreadableChemistry $problem) {
            throw UnreadableMaths::because($problem->getMessage());
        }
    }
}
