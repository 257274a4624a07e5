<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Fields;
use Crag\Canvas\UnreadableOperation;

/** Something on a canvas that an operation can add. */
interface CanvasObject
{
    /** @return array<string, mixed> its JSON form, "type" among the fields */
    public function toArray(): array;

    /**
     * The same object with some fields set anew.
     *
     * @throws UnreadableOperation when a field cannot be changed on this kind of object
     */
    public function with(Fields $set): self;
}
