<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Author;
use Crag\Canvas\Ink;
use Crag\Canvas\Operation;

/** Operations for tests, short to write. */
final class Logs
{
    public const SEAT = 'seat-one';

    /** @param  array<string, mixed>  $body */
    public static function operation(string $id, string $kind, array $body = [], ?string $seat = self::SEAT): Operation
    {
        return Operation::read(
            [
                'id' => self::id($id),
                'kind' => $kind,
                'layer' => $seat === null ? 'lead' : 'student',
                'at' => 1_000,
                'body' => $body,
            ],
            $seat === null ? Author::teacher() : Author::seat($seat),
        );
    }

    public static function stroke(string $id, int $x = 1000, ?string $seat = self::SEAT): Operation
    {
        $ink = Ink::of([[$x, 1000, 128, 0], [$x + 100, 1200, 128, 16]])->encode();

        return self::operation($id, 'add', [
            'object' => ['type' => 'stroke', 'colour' => '#25323b', 'width' => 40, 'ink' => $ink],
        ], $seat);
    }

    public static function text(string $id, string $text): Operation
    {
        return self::operation($id, 'add', ['object' => [
            'type' => 'text', 'x' => 100, 'y' => 200, 'size' => 36, 'colour' => '#25323b', 'text' => $text,
        ]]);
    }

    public static function retype(string $id, string $target, string $text): Operation
    {
        return self::operation($id, 'change', ['target' => self::id($target), 'set' => ['text' => $text]]);
    }

    public static function remove(string $id, string ...$targets): Operation
    {
        return self::operation($id, 'remove', ['targets' => array_map(self::id(...), array_values($targets))]);
    }

    public static function undo(string $id, string $target, ?string $seat = self::SEAT): Operation
    {
        return self::operation($id, 'withdraw', ['target' => self::id($target)], $seat);
    }

    public static function redo(string $id, string $target): Operation
    {
        return self::operation($id, 'reinstate', ['target' => self::id($target)]);
    }

    /** Short names made long enough to be ids. */
    public static function id(string $short): string
    {
        return str_pad($short, 12, '-');
    }
}
