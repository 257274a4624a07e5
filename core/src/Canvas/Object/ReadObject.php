<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Fields;
use Crag\Canvas\UnreadableOperation;

/** The one list of object kinds: their JSON "type" and what reads them. */
final class ReadObject
{
    /** @throws UnreadableOperation */
    public static function from(Fields $fields): CanvasObject
    {
        return match ($type = $fields->text('type')) {
            Stroke::TYPE => Stroke::read($fields),
            Text::TYPE => Text::read($fields),
            default => throw UnreadableOperation::unknownObject($type),
        };
    }
}
