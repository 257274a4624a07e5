<?php

declare(strict_types=1);

namespace Crag\Maths;

/** An outcome and, where there is more to say, the sentence that says it. */
final readonly class Verdict
{
    private function __construct(public Outcome $outcome, public string $why)
    {
    }

    public static function right(): self
    {
        return new self(Outcome::Right, '');
    }

    public static function otherForm(string $why): self
    {
        return new self(Outcome::OtherForm, $why);
    }

    public static function wrong(string $why = ''): self
    {
        return new self(Outcome::Wrong, $why);
    }

    public static function unreadable(string $why): self
    {
        return new self(Outcome::Unreadable, $why);
    }

    /** @return array{outcome: string, why: string} */
    public function toArray(): array
    {
        return ['outcome' => $this->outcome->value, 'why' => $this->why];
    }
}
