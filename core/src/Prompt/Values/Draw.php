<?php

declare(strict_types=1);

namespace Crag\Prompt\Values;

use Crag\Maths\Algebra\Value;
use Crag\Maths\Algebra\Written;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\UnreadableMaths;

/** The values that one student has, and texts with them put in. */
final readonly class Draw
{
    /** What gives values, or holds the name of one. */
    private const MEANT = '/^\s*\p{L}[\p{L}\p{N}_]*\s*(?:[:=].*)?$/us';

    /**
     * @param  array<string, Value>  $values  by name
     * @param  bool  $isUnknown  whether nothing can be drawn: dots stand for what was meant to be
     */
    public function __construct(public array $values, private bool $isUnknown = false)
    {
    }

    /** For a prompt whose values cannot be drawn: a student never sees how they were written. */
    public static function unknown(): self
    {
        return new self([], true);
    }

    /** Every name standing for itself: how a prompt reads for everybody at once. */
    public static function names(Values $values): self
    {
        return new self(array_combine($values->names(), array_map(Value::letter(...), $values->names())));
    }

    public function fill(string $text): string
    {
        if ($this->isUnknown) {
            return Braces::replace(
                $text,
                static fn (string $inside, bool $isMaths): ?string => preg_match(self::MEANT, $inside) === 1 &&
                (! $isMaths || str_contains($inside, ':'))
                    ? '…'
                    : null,
            );
        }
        if ($this->values === [] || ! str_contains($text, '{')) {
            return $text;
        }

        return Braces::replace($text, function (string $inside, bool $isMaths): ?string {
            $value = $this->worth($inside, $isMaths);
            if ($value === null) {
                return null;
            }

            return $isMaths ? '{'.str_replace('−', '-', Written::latex($value)).'}' : Written::plain($value);
        });
    }

    /** @return list<string> names that stand for themselves */
    private function selves(): array
    {
        return array_merge(
            ...array_values(array_map(static fn (Value $value): array => $value->letters(), $this->values)),
        );
    }

    private function worth(string $inside, bool $isMaths): ?Value
    {
        $first = trim(explode(';', $inside)[0]);
        if (preg_match('/^(\p{L})\s*[:=]/u', $first, $found) === 1 && (! $isMaths || str_contains($first, ':'))) {
            return $this->values[$found[1]] ?? null;
        }
        if ($isMaths) {
            return $this->values[$first] ?? null;
        }
        try {
            $value = MathsParser::expression($first)->value($this->values);
        } catch (UnreadableMaths) {
            return null;
        }

        return array_diff($value->letters(), $this->selves()) === [] ? $value : null;
    }
}
