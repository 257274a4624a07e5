<?php

declare(strict_types=1);

namespace App\Pictures;

use DomainException;

/** A file that cannot be taken in as a picture; the sentence is for the person who chose it. */
final class UnusablePicture extends DomainException
{
    public static function kind(): self
    {
        return new self(__('That file isn’t a PNG, JPEG, WebP or GIF picture.'));
    }

    public static function tooLarge(int $width, int $height): self
    {
        return new self(
            __('That picture is too large (:width × :height). The limit is 40 million pixels.', [
                'width' => $width,
                'height' => $height,
            ]),
        );
    }

    public static function tooMany(int $most): self
    {
        return new self(__('You’ve added :n pictures already, which is the most for one session.', ['n' => $most]));
    }

    public static function noRoom(int $megabytes): self
    {
        return new self(
            __('There’s no room for more pictures here: the limit is :n MB. Delete what you no longer need.', [
                'n' => $megabytes,
            ]),
        );
    }

    public static function lockedPdf(): self
    {
        return new self(__('That PDF is locked with a password. Save it without one and try again.'));
    }

    public static function damagedPdf(): self
    {
        return new self(__('That PDF is damaged and can’t be read.'));
    }

    public static function noSuchPage(int $page, int $pages): self
    {
        return new self(
            __('That PDF has :pages pages, so there’s no page :page.', ['page' => $page, 'pages' => $pages]),
        );
    }

    public static function damaged(): self
    {
        return new self(__('That picture is damaged and can’t be read.'));
    }
}
