<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\LiveSession;
use App\Models\Seat;

/** A running session in which Tamsin has taken a seat. */
abstract class OneStudentTestCase extends CragTestCase
{
    protected LiveSession $session;

    protected Seat $seat;

    protected string $token;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        [$this->seat, $this->token] = $this->seat($this->session, 'Tamsin');
    }
}
