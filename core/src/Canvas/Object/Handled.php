<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

/** What students take into their hands where a teacher has put it: it lies above what is fixed, among the pieces. */
interface Handled extends CanvasObject
{
}
