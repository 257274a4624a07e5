<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Canvas;

/**
 * Something of the teacher's went onto a canvas of a session: the lead canvas, private notes, or ink over shown work.
 */
final readonly class TeacherDrew
{
    public function __construct(public Canvas $canvas)
    {
    }
}
