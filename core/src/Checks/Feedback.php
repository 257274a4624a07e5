<?php

declare(strict_types=1);

namespace Crag\Checks;

/** What students see of their checks, and when. */
final readonly class Feedback
{
    public const AT_ONCE = 'at_once';

    public const WITH_PROMPT = 'prompt';

    public const WITH_SESSION = 'session';

    public const WHEN = [self::AT_ONCE, self::WITH_PROMPT, self::WITH_SESSION];

    public const WHAT = ['level', 'note', 'points'];

    /** @param  list<string>  $what  of {@see self::WHAT}; none for nothing */
    private function __construct(public array $what, public string $when)
    {
    }

    /**
     * What makes no sense is left out.
     *
     * @param  array<array-key, mixed>  $json  {"what": [...], "when"}
     */
    public static function read(array $json): self
    {
        $what = array_filter(
            is_array($json['what'] ?? null) ? $json['what'] : [],
            static fn (mixed $one): bool => in_array($one, self::WHAT, true),
        );
        $when = $json['when'] ?? null;

        return new self(
            array_values(array_intersect(self::WHAT, $what)),
            is_string($when) && in_array($when, self::WHEN, true) ? $when : self::WITH_SESSION,
        );
    }

    /** @return array{what: list<string>, when: string} */
    public function toArray(): array
    {
        return ['what' => $this->what, 'when' => $this->when];
    }

    public function isNothing(): bool
    {
        return $this->what === [];
    }

    public function shows(string $what): bool
    {
        return in_array($what, $this->what, true);
    }

    /** Whether students see it by now. */
    public function isDue(bool $isPromptOver, bool $isSessionOver): bool
    {
        return ! $this->isNothing() &&
            ($isSessionOver || $this->when === self::AT_ONCE || ($this->when === self::WITH_PROMPT && $isPromptOver));
    }
}
