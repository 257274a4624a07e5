<?php

declare(strict_types=1);

namespace App\Plans;

use DomainException;

/** A file that cannot be brought into a plan; the sentence is for the person who chose it. */
final class UnusablePlan extends DomainException
{
    public static function kind(): self
    {
        return new self(
            __('That kind of file can’t be added. You can add plans (zip), QTI 3, PDFs, pictures and plain text.'),
        );
    }

    public static function zip(): self
    {
        return new self(__('That zip file is damaged, or has no plan or QTI questions in it.'));
    }

    public static function large(): self
    {
        return new self(__('There’s too much in that file.'));
    }

    public static function pictures(string $why): self
    {
        return new self(__('A picture in that plan can’t be used: :why', ['why' => $why]));
    }

    public static function because(string $why): self
    {
        return new self($why);
    }
}
