<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

/**
 * How many bytes of stored work there may be. An hour of scribbling is about one megabyte, so a class never comes near;
 * what would fill a disk, or choke the pages of everybody else, is refused.
 */
final class ByteBudget
{
    /** One operation: a drawing of 500 objects that is brought in has less than half of it. */
    public const OPERATION = 2 * self::MB;

    public const CANVAS = 12 * self::MB;

    /** All canvases of one student in a session. */
    public const SEAT = 32 * self::MB;

    public const SESSION = 512 * self::MB;

    private const MB = 1024 * 1024;

    /**
     * @param  int  $canvas  bytes that are stored there already
     * @param  ?int  $seat  null where it is no student's
     * @param  ?int  $session  null where it is in no session
     */
    public function __construct(private int $canvas, private ?int $seat, private ?int $session)
    {
    }

    /**
     * Takes the room for an operation.
     *
     * @param  int  $bytes  of its body
     *
     * @throws RefusedOperation and then nothing is taken
     */
    public function take(int $bytes): void
    {
        match (true) {
            $bytes > self::OPERATION => throw RefusedOperation::large(intdiv(self::OPERATION, self::MB)),
            $this->canvas + $bytes > self::CANVAS => throw RefusedOperation::heavyCanvas(
                intdiv(self::CANVAS, self::MB),
            ),
            $this->seat + $bytes > self::SEAT => throw RefusedOperation::heavySeat(intdiv(self::SEAT, self::MB)),
            $this->session + $bytes > self::SESSION => throw RefusedOperation::heavySession(
                intdiv(self::SESSION, self::MB),
            ),
            default => null,
        };
        $this->canvas += $bytes;
        $this->seat = $this->seat === null ? null : $this->seat + $bytes;
        $this->session = $this->session === null ? null : $this->session + $bytes;
    }

    /** Bytes that the canvas has now. */
    public function ofCanvas(): int
    {
        return $this->canvas;
    }

    /** Bytes that the session has now. */
    public function ofSession(): ?int
    {
        return $this->session;
    }
}
