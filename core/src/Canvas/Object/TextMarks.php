<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * Which letters of a text are bold, italic, raised or lowered: [from, to, "b", "i", "sup" or "sub"], counted in
 * characters of the words as they were typed, line ends among them.
 */
final readonly class TextMarks
{
    public const KINDS = ['b', 'i', 'sup', 'sub'];

    private const MOST = 200;

    /** @param  list<array{int, int, string}>  $marks */
    private function __construct(private array $marks)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $marks = [];
        foreach ($fields->has('marks') ? $fields->list('marks', 0, self::MOST) : [] as $mark) {
            $isMark =
                is_array($mark) &&
                array_is_list($mark) &&
                count($mark) === 3 &&
                is_int($mark[0]) &&
                is_int($mark[1]) &&
                $mark[0] >= 0 &&
                $mark[1] > $mark[0] &&
                in_array($mark[2], self::KINDS, true);
            if (! $isMark) {
                throw UnreadableFields::badValue('marks', 'is not a list of marks');
            }
            $marks[] = [$mark[0], $mark[1], $mark[2]];
        }

        return new self($marks);
    }

    /** Without what lies beyond the end of the words, which may have become shorter since. */
    public function within(string $text): self
    {
        $length = mb_strlen(Words::typed($text));
        $marks = [];
        foreach ($this->marks as [$from, $to, $kind]) {
            if ($from < $length) {
                $marks[] = [$from, min($to, $length), $kind];
            }
        }

        return new self($marks);
    }

    /** @return list<array{int, int, string}> */
    public function toArray(): array
    {
        return $this->marks;
    }

    /**
     * A part of the words cut where its look changes.
     *
     * @param  int  $from  where it begins in the words as they were typed
     * @return list<array{string, list<string>}> each with the kinds of its marks
     */
    public function runs(string $line, int $from): array
    {
        if ($this->marks === []) {
            return [[$line, []]];
        }
        $length = mb_strlen($line);
        $cuts = [0, $length];
        foreach ($this->marks as [$begin, $end]) {
            array_push($cuts, $begin - $from, $end - $from);
        }
        $cuts = array_unique(array_filter($cuts, static fn (int $at): bool => $at >= 0 && $at <= $length));
        sort($cuts);
        $runs = [];
        for ($i = 1; $i < count($cuts); $i++) {
            $kinds = [];
            foreach ($this->marks as [$begin, $end, $kind]) {
                if ($begin - $from <= $cuts[$i - 1] && $end - $from >= $cuts[$i]) {
                    $kinds[$kind] = $kind;
                }
            }
            $runs[] = [mb_substr($line, $cuts[$i - 1], $cuts[$i] - $cuts[$i - 1]), array_values($kinds)];
        }

        return $runs;
    }
}
