<?php

declare(strict_types=1);

namespace App\Plans;

use DomainException;

/** A field of a plan is no longer what the editor saw when the change was made. */
final class ChangedMeanwhile extends DomainException
{
    public function __construct(public readonly string $field, public readonly mixed $present)
    {
        parent::__construct(__('This was changed on another page in the meantime.'));
    }
}
