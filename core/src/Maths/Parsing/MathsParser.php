<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

/**
 * Reads an expression by recursive descent. Products without a sign bind as strongly as those with one, from left to
 * right: 1/2x is half of x.
 */
final class MathsParser
{
    private const DEEPEST = 40;

    /** Functions that can be plotted. */
    private const FUNCTIONS = ['sin', 'cos', 'tan', 'asin', 'acos', 'atan', 'ln', 'log', 'exp', 'abs'];

    private int $at = 0;

    private int $depth = 0;

    /** @param  list<Token>  $tokens */
    private function __construct(private readonly array $tokens)
    {
    }

    /** @throws UnreadableMaths */
    public static function expression(string $typed): Node
    {
        $parser = new self(Lexer::cut($typed));
        $node = $parser->sum();
        if ($parser->at < count($parser->tokens)) {
            $rest = $parser->tokens[$parser->at];
            throw $rest->kind === 'number'
                ? UnreadableMaths::sideBySide($rest->text)
                : UnreadableMaths::extra($rest->text);
        }

        return $node;
    }

    private function next(int $ahead = 0): ?Token
    {
        return $this->tokens[$this->at + $ahead] ?? null;
    }

    private function nextIs(string ...$kinds): bool
    {
        return in_array($this->next()?->kind, $kinds, true);
    }

    private function take(string ...$kinds): ?Token
    {
        return $this->nextIs(...$kinds) ? $this->tokens[$this->at++] : null;
    }

    private function sum(): Node
    {
        if (++$this->depth > self::DEEPEST) {
            throw UnreadableMaths::large();
        }
        $parts = [$this->signed()];
        while ($this->nextIs('+', '-')) {
            $minus = $this->take('-') !== null;
            if (! $minus) {
                $this->take('+');
            }
            $product = $this->signed();
            $parts[] = $minus ? Node::of(NodeKind::Negative, $product) : $product;
        }
        $this->depth--;

        return count($parts) === 1 ? $parts[0] : Node::of(NodeKind::Sum, ...$parts);
    }

    private function signed(): Node
    {
        $sign = $this->take('-', '+');

        return $sign?->kind === '-'
            ? Node::of(NodeKind::Negative, $this->signed())
            : ($sign === null
                ? $this->product()
                : $this->signed());
    }

    private function product(): Node
    {
        $node = $this->power();
        while (true) {
            if ($this->take('/') !== null) {
                $node = Node::of(NodeKind::Quotient, $node, $this->factor());
            } elseif ($this->take('*') !== null) {
                $node = self::times($node, $this->factor());
            } elseif (
                $this->nextIs('letter', 'command', 'based', '(', '[', '{', '√') ||
                ($this->nextIs('number') && self::endsIn($node, NodeKind::Factorial))
            ) {
                $node = self::times($node, $this->power());
            } else {
                return $node;
            }
        }
    }

    /** Whether the last factor is of a kind: 3!2! is a product. */
    private static function endsIn(Node $node, NodeKind $kind): bool
    {
        $last = $node->is(NodeKind::Product) ? $node->parts[count($node->parts) - 1] : $node;

        return $last->is($kind);
    }

    /** What stands after a sign: 2 × −3 is read too. */
    private function factor(): Node
    {
        return $this->take('-') !== null ? Node::of(NodeKind::Negative, $this->factor()) : $this->power();
    }

    private static function times(Node $one, Node $two): Node
    {
        return $one->is(NodeKind::Product)
            ? Node::of(NodeKind::Product, ...$one->parts, ...[$two])
            : Node::of(NodeKind::Product, $one, $two);
    }

    private function power(): Node
    {
        $node = $this->primary();
        while (true) {
            if (($raised = $this->take('raised')) !== null) {
                $node = Node::of(NodeKind::Power, $node, self::whole($raised->text));
            } elseif ($this->take('^') !== null) {
                $node = Node::of(NodeKind::Power, $node, $this->factor());
            } elseif ($this->take('!') !== null) {
                $node = Node::of(NodeKind::Factorial, $node);
            } elseif ($this->take('%') !== null) {
                $node = Node::of(NodeKind::Percent, $node);
            } else {
                return $node;
            }
        }
    }

    private static function whole(string $text): Node
    {
        $number = Node::number(Numeral::of(ltrim($text, '-')));

        return str_starts_with($text, '-') ? Node::of(NodeKind::Negative, $number) : $number;
    }

    private function primary(): Node
    {
        $token = $this->next();
        if ($token === null) {
            throw UnreadableMaths::expected('a number or a letter', '');
        }
        $this->at++;

        return match ($token->kind) {
            'number' => $this->number($token),
            'recurring' => self::recurring($token->text),
            '|' => $this->betweenBars(),
            'fraction' => self::fraction($token),
            'letter' => Node::letter($token->text),
            '(', '[', '{' => $this->inBrackets($token->kind),
            '√' => Node::root(2, $this->primary()),
            'command' => $this->command($token),
            'based' => $this->function('log', self::expression($token->text)),
            default => throw UnreadableMaths::expected('a number or a letter', $token->text),
        };
    }

    private function number(Token $token): Node
    {
        $goesOn = $this->take('…') !== null;
        $number = Node::number(Numeral::of($token->text, $goesOn));
        if (! $number->isWhole()) {
            return $this->inTens($number);
        }
        if ($this->nextIs('fraction')) {
            return Node::of(NodeKind::Mixed, $number, self::fraction($this->tokens[$this->at++]));
        }
        [$numerator, $line, $denominator] = [$this->next(), $this->next(1), $this->next(2)];
        if (
            $numerator?->kind === 'number' &&
            $numerator->spaceBefore &&
            $line?->kind === '/' &&
            $denominator?->kind === 'number'
        ) {
            $this->at += 3;
            $fraction = Node::of(
                NodeKind::Quotient,
                Node::number(Numeral::of($numerator->text)),
                Node::number(Numeral::of($denominator->text)),
            );
            if (! $fraction->isFraction()) {
                throw UnreadableMaths::sideBySide($numerator->text);
            }

            return Node::of(NodeKind::Mixed, $number, $fraction);
        }
        if ($this->next()?->kind === 'command' && in_array($this->next()->text, ['frac'], true)) {
            $fraction = $this->primary();

            return $fraction->isFraction()
                ? Node::of(NodeKind::Mixed, $number, $fraction)
                : self::times($number, $fraction);
        }

        return $this->inTens($number);
    }

    /** 1.2e3, as calculators write it. */
    private function inTens(Node $number): Node
    {
        $e = $this->next();
        if ($e?->kind !== 'letter' || ! in_array($e->text, ['e', 'E'], true) || $e->spaceBefore) {
            return $number;
        }
        $sign = in_array($this->next(1)?->kind, ['-', '+'], true) ? $this->next(1)->kind : '';
        $tens = $this->next($sign === '' ? 1 : 2);
        if ($tens?->kind !== 'number' || $tens->spaceBefore) {
            return $number;
        }
        $this->at += $sign === '' ? 2 : 3;

        return self::times(
            $number,
            Node::of(
                NodeKind::Power,
                Node::number(Numeral::of('10')),
                self::whole(($sign === '-' ? '-' : '').$tens->text),
            ),
        );
    }

    private static function recurring(string $text): Node
    {
        if (preg_match('/^(.*)\((\d+)\)$/u', $text, $found) === 1) {
            return Node::number(Numeral::recurring($found[1], $found[2]));
        }
        // The first digit with a mark begins what comes again, and all behind it belongs to it.
        preg_match('/^([^\x{307}\x{305}]*)(\d[\x{307}\x{305}].*)$/u', $text, $found);
        $again = (string) preg_replace('/\D/u', '', $found[2] ?? '');

        return Node::number(Numeral::recurring($found[1] ?? '', $again));
    }

    /** |−3| */
    private function betweenBars(): Node
    {
        $inside = $this->sum();
        if ($this->take('|') === null) {
            throw UnreadableMaths::open();
        }

        return Node::called('abs', $inside);
    }

    private static function fraction(Token $token): Node
    {
        [$numerator, $denominator] = explode('/', $token->text);

        return Node::of(
            NodeKind::Quotient,
            Node::number(Numeral::of($numerator)),
            Node::number(Numeral::of($denominator)),
        );
    }

    private function inBrackets(string $open): Node
    {
        $inside = $this->sum();
        if ($this->take(['(' => ')', '[' => ']', '{' => '}'][$open]) === null) {
            $found = $this->next();
            throw $found === null
                ? UnreadableMaths::open()
                : ($found->kind === 'number'
                    ? UnreadableMaths::sideBySide($found->text)
                    : UnreadableMaths::extra($found->text));
        }

        return $inside;
    }

    private function command(Token $token): Node
    {
        if ($token->text === 'frac') {
            $numerator = $this->primary();

            return Node::of(NodeKind::Quotient, $numerator, $this->primary());
        }
        if (in_array($token->text, ['sqrt', 'root'], true)) {
            return Node::root($this->order(), $this->primary());
        }
        if ($token->text === 'binom') {
            $all = $this->primary();

            return Node::of(NodeKind::Binomial, $all, $this->primary());
        }
        if ($token->text === 'cbrt') {
            return Node::root(3, $this->primary());
        }
        if (in_array($token->text, self::FUNCTIONS, true)) {
            return $this->function($token->text);
        }
        throw UnreadableMaths::word($token->text);
    }

    /** sin(x), sin 2x, sin² x: without brackets what is multiplied without a sign belongs to it. */
    private function function(string $name, ?Node $base = null): Node
    {
        $raised = $this->take('raised');
        if ($raised?->text === '-1' && in_array($name, ['sin', 'cos', 'tan'], true)) {
            // sin⁻¹ is the inverse, and not one over it.
            [$raised, $name] = [null, "a{$name}"];
        }
        if ($this->nextIs('(', '[', '{')) {
            $of = $this->primary();
        } else {
            $of = $this->take('-') !== null ? Node::of(NodeKind::Negative, $this->power()) : $this->power();
            while ($this->nextIs('letter')) {
                $of = self::times($of, $this->power());
            }
        }
        $called = $base === null ? Node::called($name, $of) : Node::logarithm($of, $base);

        return $raised === null ? $called : Node::of(NodeKind::Power, $called, self::whole($raised->text));
    }

    /** The number in \sqrt[3]{…}. */
    private function order(): int
    {
        if (! $this->nextIs('[') || $this->next(1)?->kind !== 'number' || $this->next(2)?->kind !== ']') {
            return 2;
        }
        $order = (int) $this->next(1)->text;
        if ($order < 2 || $order > 12) {
            throw UnreadableMaths::large();
        }
        $this->at += 3;

        return $order;
    }
}
