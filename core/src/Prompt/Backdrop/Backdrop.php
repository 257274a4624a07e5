<?php

declare(strict_types=1);

namespace Crag\Prompt\Backdrop;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;
use Crag\Prompt\Values\Range;

/**
 * What lies fixed under all ink of a page: a ruling, or a picture of the session's.
 *
 * JSON form: {"kind": …} and, by kind, "size" (small, middle, large), "asset" (a picture's id), the fields of {@see
 * Axes}, or those of {@see Range} and "parts" (into how many equal parts a number line's steps are cut). "variant" is
 * one of {@see BackdropKind::variants} where it is not the usual one. "paper" is the page's size where it is not the
 * wide one.
 */
final readonly class Backdrop
{
    public const MOST_PARTS = 12;

    public Paper $paper;

    private function __construct(
        public BackdropKind $kind,
        public BackdropSize $size = BackdropSize::Middle,
        public ?string $asset = null,
        public ?Axes $axes = null,
        public ?Range $line = null,
        public int $parts = 1,
        ?Paper $paper = null,
        public string $variant = '',
    ) {
        $this->paper = $paper ?? Paper::wide();
    }

    public static function blank(?Paper $paper = null): self
    {
        return new self(BackdropKind::Blank, paper: $paper);
    }

    public static function picture(string $asset, ?Paper $paper = null): self
    {
        return new self(BackdropKind::Picture, asset: $asset, paper: $paper);
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $backdrop = self::readKind($fields);

        return $fields->has('paper') ? $backdrop->on(Paper::from($fields->text('paper', 9))) : $backdrop;
    }

    /** The same on another paper. */
    public function on(Paper $paper): self
    {
        return new self(
            $this->kind,
            $this->size,
            $this->asset,
            $this->axes,
            $this->line,
            $this->parts,
            $paper,
            $this->variant,
        );
    }

    /** @throws UnreadableFields */
    private static function readKind(Fields $fields): self
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
            $kind->variants() !== [] => new self($kind, variant: self::readVariant($kind, $fields)),
            default => new self($kind),
        };
    }

    private static function readVariant(BackdropKind $kind, Fields $fields): string
    {
        $keys = array_keys($kind->variants());

        return $fields->oneOf('variant', $keys, $keys[0] ?? null);
    }

    /** How many parts, columns or degrees its variant means. */
    public function count(): int
    {
        return (int) preg_replace('/\D/', '', $this->variant);
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
                $this->variant !== '' && $this->variant !== array_key_first($this->kind->variants()) => [
                    'variant' => $this->variant,
                ],
                default => [],
            } +
            ($this->paper->isWide() ? [] : ['paper' => $this->paper->text()]);
    }

    /** Whether it is what a page has by itself: wide, with nothing on it. */
    public function isPlain(): bool
    {
        return $this->kind === BackdropKind::Blank && $this->paper->isWide();
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
