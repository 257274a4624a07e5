<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;

/** A picture of the session's. Corner, width and height in tenths. */
final readonly class Picture implements CanvasObject
{
    public const TYPE = 'picture';

    public const CHANGEABLE = ['x', 'y', 'w', 'h', 'alt'];

    private function __construct(
        public string $asset,
        public int $x,
        public int $y,
        public int $w,
        public int $h,
        public string $alt,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $asset = $fields->text('asset', 40);
        if (preg_match('/\A[0-9a-zA-Z]{20,40}\z/', $asset) !== 1) {
            throw UnreadableFields::missing('asset');
        }

        return new self(
            $asset,
            ReadField::position($fields, 'x'),
            ReadField::position($fields, 'y'),
            ReadField::length($fields, 'w'),
            ReadField::length($fields, 'h'),
            ReadField::alt($fields),
        );
    }

    public function toArray(): array
    {
        return [
            'type' => self::TYPE,
            'asset' => $this->asset,
            'x' => $this->x,
            'y' => $this->y,
            'w' => $this->w,
            'h' => $this->h,
            'alt' => $this->alt,
        ];
    }

    public function tool(): Tool
    {
        return Tool::Picture;
    }

    public function assets(): array
    {
        return [$this->asset];
    }
}
