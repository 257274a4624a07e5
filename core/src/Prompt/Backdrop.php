<?php

declare(strict_types=1);

namespace Crag\Prompt;

use Crag\Canvas\Fields;
use Crag\Canvas\UnreadableOperation;

/** What lies fixed under all ink of a canvas: a ruling, or a picture of the session's. */
final readonly class Backdrop
{
    /** @param  ?string  $asset the picture's id, for a picture alone */
    private function __construct(public BackdropKind $kind, public ?string $asset)
    {
    }

    public static function blank(): self
    {
        return new self(BackdropKind::Blank, null);
    }

    /** @throws UnreadableOperation when the kind is a picture, which needs one */
    public static function ruled(BackdropKind $kind): self
    {
        if ($kind === BackdropKind::Picture) {
            throw UnreadableOperation::missing('asset');
        }

        return new self($kind, null);
    }

    public static function picture(string $asset): self
    {
        return new self(BackdropKind::Picture, $asset);
    }

    /** @throws UnreadableOperation */
    public static function read(Fields $fields): self
    {
        $kind = BackdropKind::tryFrom($fields->text('kind')) ?? throw UnreadableOperation::missing('kind');

        return $kind === BackdropKind::Picture ? self::picture($fields->text('asset', 40)) : self::ruled($kind);
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value] + ($this->asset === null ? [] : ['asset' => $this->asset]);
    }
}
