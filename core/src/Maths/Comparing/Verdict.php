<?php

declare(strict_types=1);

namespace Crag\Maths\Comparing;

use Throwable;

/** An outcome and, where there is more to say, the sentence that says it. */
final readonly class Verdict
{
    /** @param  ?Throwable  $fault  what went wrong in comparing, where it was no mistake of the answer's */
    private function __construct(public Outcome $outcome, public string $why, public ?Throwable $fault = null)
    {
    }

    /** @param  string  $why  what was forgiven, if anything */
    public static function right(string $why = ''): self
    {
        return new self(Outcome::Right, $why);
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

    /** An answer at which comparing itself failed. */
    public static function broken(Throwable $fault): self
    {
        return new self(Outcome::Unreadable, 'This answer can’t be read.', $fault);
    }

    /** @param  callable(string): string  $words  how it is said to whoever answered */
    public function told(callable $words): self
    {
        return new self($this->outcome, $words($this->why), $this->fault);
    }

    /** @return array{outcome: string, why: string} */
    public function toArray(): array
    {
        return ['outcome' => $this->outcome->value, 'why' => $this->why];
    }
}
