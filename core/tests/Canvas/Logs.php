<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;

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

        return self::operation(
            $id,
            'add',
            [
                'object' => ['type' => 'stroke', 'colour' => '#25323b', 'width' => 40, 'ink' => $ink],
            ],
            $seat,
        );
    }

    public static function text(string $id, string $text): Operation
    {
        return self::operation($id, 'add', [
            'object' => [
                'type' => 'text',
                'x' => 100,
                'y' => 200,
                'size' => 36,
                'colour' => '#25323b',
                'text' => $text,
            ],
        ]);
    }

    /** @param  array<string, mixed>  $object */
    public static function object(string $id, array $object): Operation
    {
        return self::operation($id, 'add', ['object' => $object]);
    }

    /**
     * A piece that the teacher handed out.
     *
     * @param  array<string, mixed>  $how
     */
    public static function piece(string $id, array $how = []): Operation
    {
        return Operation::read(
            [
                'id' => self::id($id),
                'kind' => 'add',
                'layer' => 'pieces',
                'at' => 1_000,
                'body' => ['object' => $how + Examples::piece()],
            ],
            Author::teacher(),
        );
    }

    /** @param  array<string, mixed>  $object  as a teacher hands it out, to be taken into the hand */
    public static function handedOut(string $id, array $object): Operation
    {
        return Operation::read(
            [
                'id' => self::id($id),
                'kind' => 'add',
                'layer' => 'pieces',
                'at' => 1_000,
                'body' => ['object' => $object],
            ],
            Author::teacher(),
        );
    }

    /** The same operation on a page that another one added. */
    public static function onPage(string $page, Operation $operation): Operation
    {
        $json = $operation->toArray();

        return Operation::read(
            [...$json, 'body' => [...(array) $json['body'], 'page' => self::id($page)]],
            $operation->author,
        );
    }

    public static function retype(string $id, string $target, string $text): Operation
    {
        return self::operation($id, 'change', ['target' => self::id($target), 'set' => ['text' => $text]]);
    }

    public static function remove(string $id, string ...$targets): Operation
    {
        return self::operation($id, 'remove', ['targets' => array_map(self::id(...), array_values($targets))]);
    }

    /** @param  array<string, mixed>  $how */
    public static function arrangePage(string $id, string $page, array $how, ?string $seat = self::SEAT): Operation
    {
        return self::operation($id, 'arrange_page', ['page' => self::id($page)] + $how, $seat);
    }

    /** @param  array<string, mixed>  $object */
    public static function straighten(string $id, string $target, array $object): Operation
    {
        return self::operation($id, 'straighten', ['target' => self::id($target), 'object' => $object]);
    }

    public static function undo(string $id, string $target, ?string $seat = self::SEAT): Operation
    {
        return self::operation($id, 'withdraw', ['target' => self::id($target)], $seat);
    }

    public static function redo(string $id, string $target): Operation
    {
        return self::operation($id, 'reinstate', ['target' => self::id($target)]);
    }

    public static function giveBack(string $id, string $target): Operation
    {
        return self::operation($id, 'give_back', ['target' => self::id($target)], null);
    }

    /** @param  ?array<string, mixed>  $body  null for a stroke */
    public static function coach(
        string $id,
        string $kind = 'add',
        ?array $body = null,
        string $layer = 'coach',
    ): Operation {
        return Operation::read(
            [
                'id' => self::id($id),
                'kind' => $kind,
                'layer' => $layer,
                'at' => 1_000,
                'body' => $body ?? ['object' => Examples::all()['stroke']],
            ],
            Author::teacher(),
        );
    }

    /** Short names made long enough to be ids. */
    public static function id(string $short): string
    {
        return strlen($short) < 12 ? str_pad($short, 12, '-') : $short;
    }
}
