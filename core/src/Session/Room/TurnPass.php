<?php

declare(strict_types=1);

namespace Crag\Session\Room;

/**
 * What a page shows a TURN server to be let through, for a while: a name that says until when, and its seal.
 *
 * "A REST API For Access To TURN Services" (draft-uberti-behave-turn-rest-00), coturn's use-auth-secret.
 */
final readonly class TurnPass
{
    public const LASTS_S = 7_200;

    private function __construct(public string $username, public string $credential)
    {
    }

    /** @param  int  $nowMs  milliseconds since 1970 */
    public static function until(string $secret, int $nowMs): self
    {
        $username = intdiv($nowMs, 1_000) + self::LASTS_S.':crag';

        return new self($username, base64_encode(hash_hmac('sha1', $username, $secret, true)));
    }
}
