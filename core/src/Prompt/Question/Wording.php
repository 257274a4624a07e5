<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Verdict;
use Normalizer;

/**
 * How strictly the words of an answer are compared. Small and large letters, Unicode forms, spaces and a full stop at
 * the end never count; a star in a right answer stands for any words. If wished, small slips of spelling are forgiven,
 * articles are left out, and the words may stand in any order.
 */
final readonly class Wording
{
    private const ARTICLES = ['a', 'an', 'the'];

    /** From so many letters on a word may have one slip, and from so many two. */
    private const ONE_SLIP = 4;

    private const TWO_SLIPS = 8;

    private function __construct(private bool $spelling, private bool $articles, private bool $order)
    {
    }

    public static function strict(): self
    {
        return new self(false, false, false);
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        return new self($fields->flag('spelling'), $fields->flag('articles'), $fields->flag('order'));
    }

    /** @return array{spelling: bool, articles: bool, order: bool} */
    public function toArray(): array
    {
        return ['spelling' => $this->spelling, 'articles' => $this->articles, 'order' => $this->order];
    }

    public function isStrict(): bool
    {
        return ! $this->spelling && ! $this->articles && ! $this->order;
    }

    /** @param  list<string>  $right  any of these */
    public function compare(array $right, string $given): Verdict
    {
        foreach ($right as $one) {
            if ($this->isMet($one, $given)) {
                return Verdict::right();
            }
        }
        foreach ($this->spelling ? $right : [] as $one) {
            $slips = $this->slips($this->words($one), $this->words($given));
            if ($slips !== null) {
                return Verdict::right('Spelling: '.implode(', ', $slips).'.');
            }
        }

        return Verdict::wrong();
    }

    /** Whether two answers say the same, slips apart. */
    public function isSame(string $one, string $other): bool
    {
        return $this->close($one) === $this->close($other);
    }

    private function isMet(string $right, string $given): bool
    {
        if (! str_contains($right, '*')) {
            return $this->close($right) === $this->close($given);
        }
        // Around a star spaces count: "the *" is met by "the load", and not by "then".
        $parts = array_map(
            static fn (string $part): string => preg_quote($part, '/'),
            explode('*', implode(' ', $this->kept(explode(' ', self::plain($right))))),
        );
        $words = implode(' ', $this->kept(explode(' ', self::plain($given))));

        return preg_match('/^'.implode('.*', $parts).'$/us', $words) === 1;
    }

    /** Without what does not count. */
    private function close(string $text): string
    {
        return implode($this->order ? ' ' : '', $this->words($text));
    }

    /** @return list<string> */
    private function words(string $text): array
    {
        $words = $this->kept(preg_split('/\s+/u', self::plain($text), flags: PREG_SPLIT_NO_EMPTY) ?: []);
        if ($this->order) {
            sort($words);
        }

        return $words;
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private function kept(array $words): array
    {
        return ! $this->articles ? $words : array_values(array_filter(
            $words,
            static fn (string $word): bool => ! in_array(mb_strtolower($word), self::ARTICLES, true),
        ));
    }

    /**
     * @param  list<string>  $right
     * @param  list<string>  $given
     * @return ?list<string> the words that are written otherwise, as "given → right"; null where more is different
     */
    private function slips(array $right, array $given): ?array
    {
        if (count($right) !== count($given)) {
            return null;
        }
        $slips = [];
        foreach ($right as $i => $word) {
            if ($word === $given[$i]) {
                continue;
            }
            $letters = mb_strlen($word);
            $most = $letters >= self::TWO_SLIPS ? 2 : ($letters >= self::ONE_SLIP ? 1 : 0);
            // A number that is written otherwise is another number.
            if ($most === 0 || preg_match('/\d/', $word) === 1 || self::distance($word, $given[$i]) > $most) {
                return null;
            }
            $slips[] = "{$given[$i]} → {$word}";
        }

        return $slips;
    }

    /**
     * How many letters are left out, put in, replaced or swapped with the next: the optimal string alignment of Damerau
     * (1964) and Levenshtein (1966).
     */
    private static function distance(string $one, string $other): int
    {
        [$a, $b] = [mb_str_split($one), mb_str_split($other)];
        $rows = [range(0, count($b))];
        foreach ($a as $i => $letter) {
            $row = [$i + 1];
            foreach ($b as $j => $with) {
                $row[] = min(
                    $rows[$i][$j + 1] + 1,
                    $row[$j] + 1,
                    $rows[$i][$j] + ($letter === $with ? 0 : 1),
                    $i > 0 && $j > 0 && $letter === $b[$j - 1] && $a[$i - 1] === $with
                        ? $rows[$i - 1][$j - 1] + 1
                        : PHP_INT_MAX,
                );
            }
            $rows[] = $row;
        }

        return $rows[count($a)][count($b)];
    }

    private static function plain(string $text): string
    {
        $normal = Normalizer::normalize($text, Normalizer::FORM_KC);
        $text = trim((string) preg_replace('/\s+/u', ' ', is_string($normal) ? $normal : $text));

        return mb_convert_case((string) preg_replace('/[.!?]+$/u', '', $text), MB_CASE_FOLD, 'UTF-8');
    }
}
