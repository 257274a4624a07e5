<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

/**
 * How many bytes of stored work there may be. An hour of scribbling is about one megabyte, so a class never comes near;
 * what would fill a disk, or choke the pages of everybody else, is refused.
 */
final readonly class ByteBudget
{
    /** One operation: a drawing of 500 objects that is brought in has less than half of it. */
    public const OPERATION = 2 * self::MB;

    public const CANVAS = 12 * self::MB;

    /** All canvases of one student in a session. */
    public const SEAT = 32 * self::MB;

    public const SESSION = 512 * self::MB;

    private const MB = 1024 * 1024;

    /**
     * @param  StoredBytes  $canvas  what is stored there already
     * @param  ?StoredBytes  $seat  null where it is no student's
     * @param  ?StoredBytes  $session  null where it is in no session
     */
    public function __construct(
        private StoredBytes $canvas,
        private ?StoredBytes $seat,
        private ?StoredBytes $session,
    ) {
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
            $this->canvas->bytes + $bytes > self::CANVAS => throw RefusedOperation::heavyCanvas(
                intdiv(self::CANVAS, self::MB),
            ),
            $this->seat?->bytes + $bytes > self::SEAT => throw RefusedOperation::heavySeat(
                intdiv(self::SEAT, self::MB),
            ),
            $this->session?->bytes + $bytes > self::SESSION => throw RefusedOperation::heavySession(
                intdiv(self::SESSION, self::MB),
            ),
            default => null,
        };
        foreach ([$this->canvas, $this->seat, $this->session] as $stored) {
            if ($stored !== null) {
                $stored->bytes += $bytes;
            }
        }
    }

    /** Bytes that the canvas has now. */
    public function ofCanvas(): int
    {
        return $this->canvas->bytes;
    }

    /** Bytes that the session has now. */
    public function ofSession(): ?int
    {
        return $this->session?->bytes;
    }
}
