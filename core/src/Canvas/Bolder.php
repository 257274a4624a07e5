<?php

declare(strict_types=1);

namespace Crag\Canvas;

use Crag\Canvas\Object\BoxShape;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Object\PointShape;
use Crag\Canvas\Object\ReadObject;
use Crag\Canvas\Object\Stroke;
use Crag\Prompt\Paper;

/** Work as it is shown to a whole room: no line of it is so thin that it vanishes at the back. */
final class Bolder
{
    /** What can be seen from the back of a room, in pixels of a screen that is 1280 wide. */
    private const SEEN = 2.5;

    /** How wide a wide page is there, alone and beside others, in such pixels. */
    private const ALONE = 1_120;

    private const BESIDE = 600;

    /** @param  int  $works  how many are shown beside each other, this one among them */
    public static function scene(Scene $scene, int $works): Scene
    {
        $pixels = $works > 1 ? self::BESIDE : self::ALONE;
        $least = (int) ceil(self::SEEN * Paper::wide()->width * Paper::TENTHS / $pixels);
        $placed = array_map(static fn (PlacedObject $one): PlacedObject => self::placed($one, $least), $scene->placed);

        return $scene->having($placed);
    }

    private static function placed(PlacedObject $placed, int $least): PlacedObject
    {
        $object = $placed->object;
        $width = match (true) {
            $object instanceof Stroke => $object->width,
            $object instanceof BoxShape, $object instanceof PointShape => $object->look->width,
            default => $least,
        };
        $least = (int) ceil($least * 10_000 / ($placed->place->scale ?? 10_000));
        if ($width >= $least) {
            return $placed;
        }
        $bolder = clone $placed;
        $bolder->object = ReadObject::with($object, ['width' => $least]);

        return $bolder;
    }
}
