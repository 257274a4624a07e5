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
            __('That file is of no kind that can be brought in. Plans (zip), QTI 3, PDF, pictures and plain text can.'),
        );
    }

    public static function zip(): self
    {
        return new self(__('That zip file is damaged, or holds neither a plan nor QTI items.'));
    }

    public static function large(): self
    {
        return new self(__('There is too much in that file.'));
    }

    public static function pictures(string $why): self
    {
        return new self(__('A picture in that plan cannot be taken: :why', ['why' => $why]));
    }

    public static function because(string $why): self
    {
        return new self($why);
    }
}
