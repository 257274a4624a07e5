<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Object\ReadObject;
use Crag\Json\Fields;

/**
 * The shadow that a piece casts on the page, so that it is seen to lie there loose: the same object in one dark colour,
 * a little aside. resources/ts/canvas/drawing/pieces.ts draws the same.
 */
final class PieceShadow
{
    /** In units, to the right and down. */
    public const ASIDE = [2.5, 3.5];

    private const COLOUR = '#b9bdbe';

    public static function of(CanvasObject $object): CanvasObject
    {
        $shape = $object->toArray();
        $isSheet = in_array($shape['type'], ['picture', 'note'], true);

        return ReadObject::from(new Fields(
            $isSheet
                ? [
                    'type' => 'rectangle',
                    'x' => $shape['x'],
                    'y' => $shape['y'],
                    'w' => $shape['w'],
                    'h' => $shape['h'],
                    'colour' => self::COLOUR,
                    'width' => 10,
                    'filled' => true,
                    'strength' => 100,
                ]
                : [
                    ...$shape,
                    'colour' => self::COLOUR,
                    ...(isset($shape['filled']) ? ['fill' => 'own', 'strength' => 100] : []),
                ],
            true,
        ));
    }
}
