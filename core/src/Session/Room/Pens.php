<?php

declare(strict_types=1);

namespace Crag\Session\Room;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Session\Door\InvalidName;

/** Pens down since a moment, with the words that cover every page; or pens up. */
final readonly class Pens
{
    public const LONGEST_WORDS = 200;

    private function __construct(public ?int $downSinceMs, public string $words)
    {
    }

    public static function up(): self
    {
        return new self(null, '');
    }

    /** @throws InvalidName when the words are too long */
    public static function down(int $nowMs, string $words): self
    {
        $words = trim($words);

        return mb_strlen($words) > self::LONGEST_WORDS
            ? throw InvalidName::longWords(self::LONGEST_WORDS)
            : new self($nowMs, $words);
    }

    /**
     * @param  ?array<array-key, mixed>  $json  as toArray gave it; nothing while they are up
     *
     * @throws UnreadableFields
     */
    public static function read(?array $json): self
    {
        if ($json === null || $json === []) {
            return self::up();
        }
        $fields = new Fields($json);

        return new self($fields->whole('since', 0, PHP_INT_MAX), $fields->text('words'));
    }

    /** @return array{since: int, words: string}|null */
    public function toArray(): ?array
    {
        return $this->downSinceMs === null ? null : ['since' => $this->downSinceMs, 'words' => $this->words];
    }

    public function isDown(): bool
    {
        return $this->downSinceMs !== null;
    }

    /**
     * Those for one student, those for everybody, and those that a timer brings: what holds is whatever is down the
     * longest.
     */
    public static function inForce(self ...$pens): self
    {
        $down = array_filter($pens, static fn (self $one): bool => $one->isDown());
        usort($down, static fn (self $a, self $b): int => $a->downSinceMs <=> $b->downSinceMs);

        return $down[0] ?? self::up();
    }
}
