<?php

declare(strict_types=1);

namespace Crag\Session\Room;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * Time that runs down on every page, on the server's clock: pages that come late or have a wrong clock show the same.
 */
final readonly class Timer
{
    public const LONGEST_MS = 4 * 3_600_000;

    /**
     * @param  ?int  $endsMs  when it is at zero, milliseconds since 1970; null while it is paused
     * @param  int  $leftMs  what was left when it was paused
     * @param  bool  $hasSound  whether pages make a sound at zero
     * @param  bool  $bringsPensDown  whether pens are down from zero on
     */
    private function __construct(
        public ?int $endsMs,
        private int $leftMs,
        public bool $hasSound,
        public bool $bringsPensDown,
    ) {
    }

    /** @throws InvalidTimer when it is no time at all, or too much */
    public static function set(int $lastsMs, int $nowMs, bool $hasSound, bool $bringsPensDown): self
    {
        if ($lastsMs < 1000 || $lastsMs > self::LONGEST_MS) {
            throw InvalidTimer::length(intdiv(self::LONGEST_MS, 3_600_000));
        }

        return new self($nowMs + $lastsMs, 0, $hasSound, $bringsPensDown);
    }

    /** More time; one that has run out runs again. */
    public function more(int $ms, int $nowMs): self
    {
        $left = min(self::LONGEST_MS, max(0, $this->left($nowMs)) + $ms);

        return $this->endsMs === null
            ? new self(null, $left, $this->hasSound, $this->bringsPensDown)
            : new self($nowMs + $left, 0, $this->hasSound, $this->bringsPensDown);
    }

    public function paused(int $nowMs): self
    {
        return $this->endsMs === null
            ? $this
            : new self(null, max(0, $this->left($nowMs)), $this->hasSound, $this->bringsPensDown);
    }

    public function resumed(int $nowMs): self
    {
        return $this->endsMs === null
            ? new self($nowMs + $this->leftMs, 0, $this->hasSound, $this->bringsPensDown)
            : $this;
    }

    /** Milliseconds; below zero when it has run out. */
    public function left(int $nowMs): int
    {
        return $this->endsMs === null ? $this->leftMs : $this->endsMs - $nowMs;
    }

    public function isRunning(): bool
    {
        return $this->endsMs !== null;
    }

    /** The pens that it has brought down by now. */
    public function pens(int $nowMs, string $words): Pens
    {
        return $this->bringsPensDown && $this->endsMs !== null && $nowMs >= $this->endsMs
            ? Pens::down($this->endsMs, $words)
            : Pens::up();
    }

    /**
     * @param  array<array-key, mixed>  $json
     *
     * @throws UnreadableFields
     */
    public static function read(array $json): self
    {
        $fields = new Fields($json);

        return new self(
            ($json['ends'] ?? null) === null ? null : $fields->whole('ends', 0, PHP_INT_MAX),
            $fields->whole('left', 0, self::LONGEST_MS),
            $fields->flag('sound'),
            $fields->flag('pens'),
        );
    }

    /** @return array{ends: ?int, left: int, sound: bool, pens: bool} */
    public function toArray(): array
    {
        return [
            'ends' => $this->endsMs,
            'left' => $this->leftMs,
            'sound' => $this->hasSound,
            'pens' => $this->bringsPensDown,
        ];
    }
}
