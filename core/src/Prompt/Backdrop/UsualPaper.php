<?php

declare(strict_types=1);

namespace Crag\Prompt\Backdrop;

use Crag\Json\Fields;

/** Papers that can be taken at once, as they mostly are. */
enum UsualPaper: string
{
    case Blank = 'blank';
    case Squared = 'squared';
    case Dotted = 'dotted';
    case Axes = 'axes';
    case NumberLine = 'number-line';

    public function backdrop(): Backdrop
    {
        return Backdrop::read(new Fields(['kind' => $this->value] + match ($this) {
            self::Axes => [
                'x_from' => -10,
                'x_to' => 10,
                'x_step' => 1,
                'y_from' => -10,
                'y_to' => 10,
                'y_step' => 1,
                'x_label' => 'x',
                'y_label' => 'y',
            ],
            self::NumberLine => ['from' => 0, 'to' => 10, 'step' => 1, 'parts' => 1],
            default => [],
        }));
    }

    public function word(): string
    {
        return match ($this) {
            self::Blank => 'empty paper',
            self::Squared => 'squared paper',
            self::Dotted => 'dotted paper',
            self::Axes => 'axes',
            self::NumberLine => 'a number line',
        };
    }
}
