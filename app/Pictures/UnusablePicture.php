<?php

declare(strict_types=1);

namespace App\Pictures;

use DomainException;

/** A file that cannot be taken in as a picture; the sentence is for the person who chose it. */
final class UnusablePicture extends DomainException
{
    public static function kind(): self
    {
        return new self(__('That file is not a PNG, JPEG or WebP picture.'));
    }

    public static function tooLarge(int $width, int $height): self
    {
        return new self(__('That picture is too large (:width × :height): 40 million pixels are the most.', ['width' => $width, 'height' => $height]));
    }

    public static function damaged(): self
    {
        return new self(__('That picture is damaged and cannot be read.'));
    }
}
