<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Prompt\Tray\Tool;

/**
 * Something on a canvas that an operation can add. Every kind is one file here, listed in {@see ReadObject}; a piece
 * with settings of its own is a kind like any other, and its settings are its fields.
 */
interface CanvasObject
{
    /** @return array<string, mixed> its JSON form, "type" among the fields */
    public function toArray(): array;

    /** The tool that makes it. */
    public function tool(): Tool;

    /** @return list<string> the pictures that it shows */
    public function assets(): array;
}
