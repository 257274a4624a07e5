<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

use DomainException;

/** Something that may not be done in the state in which the session is. */
final class RefusedDeed extends DomainException
{
    private function __construct(public readonly Refusal $refusal)
    {
        parent::__construct($refusal->sentence());
    }

    public static function because(Refusal $refusal): self
    {
        return new self($refusal);
    }
}
