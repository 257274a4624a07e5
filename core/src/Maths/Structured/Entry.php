<?php

declare(strict_types=1);

namespace Crag\Maths\Structured;

use Crag\Maths\Algebra\Value;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;
use Crag\Maths\Parsing\UnreadableMaths;

/** One of several things in an answer: a number or an expression, for a letter where that is said, or an equation. */
final readonly class Entry
{
    /** @param  ?Value  $left  of an equation that is no "letter = number" */
    private function __construct(private string $letter, public Node $node, private Value $value, private ?Value $left)
    {
    }

    /** @throws UnreadableMaths */
    public static function read(string $written): self
    {
        $sides = Pieces::apart($written, '=');
        if (count($sides) > 2) {
            throw UnreadableMaths::extra('='.$sides[2]);
        }
        if (count($sides) === 1) {
            $node = MathsParser::expression($sides[0]);

            return new self('', $node, $node->value(), null);
        }
        [$left, $right] = [MathsParser::expression($sides[0]), MathsParser::expression($sides[1])];
        $value = $right->value();
        if ($left->is(NodeKind::Letter) && ! in_array($left->letter, $value->letters(), true)) {
            return new self($left->letter, $right, $value, null);
        }

        return new self('', $right, $value, $left->value());
    }

    /** @return list<self> two where a sign stands for both */
    public static function both(string $written): array
    {
        return str_contains($written, '±')
            ? [self::read(str_replace('±', '+', $written)), self::read(str_replace('±', '-', $written))]
            : [self::read($written)];
    }

    /** Whether it says the same; a letter counts where both say one. */
    public function is(self $other): bool
    {
        if ($this->left !== null || $other->left !== null) {
            return $this->difference()->isMultipleOf($other->difference());
        }

        return ($this->letter === $other->letter || $this->letter === '' || $other->letter === '') &&
            $this->value->equals($other->value);
    }

    public function letter(): string
    {
        return $this->letter;
    }

    public function value(): Value
    {
        return $this->value;
    }

    private function difference(): Value
    {
        $left = $this->left ?? ($this->letter === '' ? Value::number(0) : Value::letter($this->letter));

        return $left->minus($this->value);
    }
}
