<?php

declare(strict_types=1);

namespace Crag\Prompt\Backdrop;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Values\Range;

/**
 * What lies fixed under all ink of a page: a ruling, or a picture of the session's.
 *
 * JSON form: {"kind": …} and, by kind, "size" (small, middle, large), "asset" (a picture's id), the fields of {@see
 * Axes}, or those of {@see Range} and "parts" (into how many equal parts a number line's steps are cut).
 */
final readonly class Backdrop
{
    public const MOST_PARTS = 12;

    private function __construct(
        public BackdropKind $kind,
        public BackdropSize $size = BackdropSize::Middle,
        public ?string $asset = null,
        public ?Axes $axes = null,
        public ?Range $line = null,
        public int $parts = 1,
    ) {
    }

    public static function blank(): self
    {
        return new self(BackdropKind::Blank);
    }

    public static function picture(string $asset): self
    {
        return new self(BackdropKind::Picture, asset: $asset);
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $kind = BackdropKind::tryFrom($fields->text('kind')) ?? throw UnreadableFields::missing('kind');

        return match (true) {
            $kind === BackdropKind::Picture => self::picture($fields->text('asset', 40)),
            $kind === BackdropKind::Axes => new self($kind, axes: Axes::read($fields)),
            $kind === BackdropKind::NumberLine => self::numberLine($fields),
            $kind->hasSizes() => new self(
                $kind,
                BackdropSize::from($fields->oneOf('size', array_column(BackdropSize::cases(), 'value'), 'middle')),
            ),
            default => new self($kind),
        };
    }

    /** @return array<string, string|float|int> */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value] +
            match (true) {
                $this->asset !== null => ['asset' => $this->asset],
                $this->axes !== null => $this->axes->toArray(),
                $this->line !== null => [...$this->line->toArray(), 'parts' => $this->parts],
                $this->kind->hasSizes() => ['size' => $this->size->value],
                default => [],
            };
    }

    /** Whether it is drawn by rule, so that any page can have it. */
    public function isRuling(): bool
    {
        return $this->kind !== BackdropKind::Picture;
    }

    /** @throws UnreadableFields */
    private static function numberLine(Fields $fields): self
    {
        $line = Range::read($fields);
        $parts = $fields->whole('parts', 1, self::MOST_PARTS, 1);
        if (count($line->ticks()) * $parts > 2 * Range::MOST_STEPS) {
            throw UnreadableFields::badValue('parts', 'cuts the line into too many parts');
        }

        return new self(BackdropKind::NumberLine, line: $line, parts: $parts);
    }
}
