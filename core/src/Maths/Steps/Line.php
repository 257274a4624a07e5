<?php

declare(strict_types=1);

namespace Crag\Maths\Steps;

use Crag\Maths\Algebra\Value;
use Crag\Maths\Comparing\Sampled;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Maths\Structured\Pieces;
use Crag\Maths\Structured\Region;

/**
 * One line of working: expressions joined by "=" (one of them is an expression, two an equation), several solutions, or
 * an inequality.
 */
final readonly class Line
{
    /**
     * @param  list<Node>  $sides  what stands between the signs of equality
     * @param  bool  $goesOn  whether it begins with one: "= 2x + 6"
     * @param  list<self>  $alternatives  "x = 2 or x = −2"
     */
    private function __construct(
        public array $sides,
        public bool $goesOn,
        public array $alternatives = [],
        public ?Region $region = null,
    ) {
    }

    /** Null where it is nothing that is understood. */
    public static function read(string $written): ?self
    {
        $text = Pieces::plain((string) preg_replace('/^\s*(?:\(?\d+[.)]|⇒|⟹|∴|so|then|therefore)\s+/iu', '', $written));
        try {
            if (preg_match('/[<>≤≥]/u', $text) === 1) {
                return new self([], false, [], Region::read($text));
            }
            if (str_contains($text, '±')) {
                $text = str_replace('±', '+', $text).' or '.str_replace('±', '-', $text);
            }
            $pieces = Pieces::alternatives($text);
            if (count($pieces) > 1) {
                $alternatives = [];
                foreach ($pieces as $piece) {
                    $one = self::read($piece);
                    if ($one === null) {
                        return null;
                    }
                    $alternatives[] = $one;
                }

                return new self([], false, $alternatives);
            }
            $goesOn = str_starts_with($text, '=');
            $sides = array_map(
                MathsParser::expression(...),
                Pieces::apart($goesOn ? trim(substr($text, 1)) : $text, '='),
            );

            return new self($sides, $goesOn);
        } catch (UnreadableMaths) {
            return null;
        }
    }

    public function isExpression(): bool
    {
        return count($this->sides) === 1;
    }

    /** An equation with letters, or "letter = what it is worth". */
    public function isEquation(): bool
    {
        return count($this->sides) === 2 && $this->letters() !== [];
    }

    /** "x = 5": the number that is said of its letter. */
    public function solution(): ?Value
    {
        if (count($this->sides) !== 2 || ! $this->sides[0]->is(NodeKind::Letter)) {
            return null;
        }
        $value = $this->sides[1]->value();

        return $value->hasLetters() ? null : $value;
    }

    /** @return list<string> */
    public function letters(): array
    {
        $letters = [];
        foreach ($this->sides as $side) {
            $letters = [...$letters, ...Sampled::letters($side)];
        }
        foreach ($this->alternatives as $one) {
            $letters = [...$letters, ...$one->letters()];
        }

        return array_values(array_unique($letters));
    }
}
