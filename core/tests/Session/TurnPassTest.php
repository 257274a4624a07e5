<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Room\TurnPass;
use PHPUnit\Framework\TestCase;

/** What lets a page through a TURN server. */
final class TurnPassTest extends TestCase
{
    public function test_its_name_says_until_when_and_the_secret_seals_it(): void
    {
        $pass = TurnPass::until('north', 1_700_000_000_999);
        self::assertSame('1700007200:crag', $pass->username);
        // printf '1700007200:crag' | openssl dgst -sha1 -hmac north -binary | base64
        self::assertSame('sZjOXvO1r7x6Rv1ecYzR6VzUdek=', $pass->credential);
        self::assertNotSame($pass->credential, TurnPass::until('south', 1_700_000_000_999)->credential);
    }
}
