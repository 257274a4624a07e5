<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;
use Crag\Prompt\Tray\Tool;

/** A shape through chosen points: a closed polygon, or an open smooth curve. Points as x, y, x, y … in tenths. */
final readonly class PointShape implements CanvasObject
{
    public const TYPES = ['polygon', 'curve'];

    public const CHANGEABLE = ShapeLook::CHANGEABLE;

    private const MOST_POINTS = 200;

    /** @param  list<int>  $points */
    private function __construct(
        public string $type,
        public array $points,
        public ShapeLook $look,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $type = $fields->oneOf('type', self::TYPES);
        $points = $fields->integers('points', $type === 'polygon' ? 6 : 4, 2 * self::MOST_POINTS);
        if (count($points) % 2 !== 0) {
            throw UnreadableFields::badValue('points', 'ends in the middle of a point');
        }
        foreach (array_chunk($points, 2) as [$x, $y]) {
            if (! Paper::reaches($x, $y)) {
                throw UnreadableFields::badValue('points', "has a point at {$x}, {$y}, off the page");
            }
        }

        return new self($type, $points, ShapeLook::read($fields, $type));
    }

    public function toArray(): array
    {
        return ['type' => $this->type, 'points' => $this->points] + $this->look->toArray();
    }

    public function tool(): Tool
    {
        return Tool::Shapes;
    }

    public function assets(): array
    {
        return [];
    }
}
