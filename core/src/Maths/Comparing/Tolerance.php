<?php

declare(strict_types=1);

namespace Crag\Maths\Comparing;

use Brick\Math\BigRational;
use Crag\Maths\Algebra\Quantity;
use Crag\Maths\Algebra\Value;
use Crag\Maths\Parsing\UnreadableMaths;

/**
 * How far from the right number an answer may lie and still be right: not at all, so much, or so many per cent of it.
 */
final readonly class Tolerance
{
    private function __construct(public string $kind, private BigRational $most, private string $written)
    {
    }

    public static function none(): self
    {
        return new self('none', BigRational::zero(), '');
    }

    /**
     * @param  string  $kind  none, within (in the right answer's unit) or percent
     *
     * @throws UnreadableMaths
     */
    public static function of(string $kind, string $most): self
    {
        if ($kind === 'none' || trim($most) === '') {
            return self::none();
        }
        $value = Quantity::read($most)->value->rational();
        if ($value === null || $value->getSign() < 0) {
            throw UnreadableMaths::sign($most);
        }

        return new self($kind === 'percent' ? 'percent' : 'within', $value, trim($most));
    }

    public function allows(Value $right, Value $given): bool
    {
        if ($right->equals($given)) {
            return true;
        }
        $right = $right->approximated();
        $most = $this->kind === 'percent' ? $right->abs()->multipliedBy($this->most)->dividedBy(100) : $this->most;

        return $given->approximated()->minus($right)->abs()->isLessThanOrEqualTo($most);
    }

    /** @return array{kind: string, most: string} */
    public function toArray(): array
    {
        return ['kind' => $this->kind, 'most' => $this->written];
    }
}
