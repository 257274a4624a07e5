<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Author;
use Crag\Canvas\Object\Text;
use Crag\Canvas\Operation;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\UnreadableOperation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OperationTest extends TestCase
{
    public function test_every_kind_reads_back_as_it_was_written(): void
    {
        $log = [
            Logs::stroke('s'), Logs::text('t', "F = 240 N\nتوازن"), Logs::retype('c', 't', 'moment'),
            Logs::remove('r', 's', 't'), Logs::undo('u', 'r'), Logs::redo('v', 'r'), Logs::operation('e', 'clear'),
            Logs::operation('b', 'backdrop', ['backdrop' => ['kind' => 'isometric']], null),
            Logs::operation('p', 'backdrop', ['backdrop' => ['kind' => 'picture', 'asset' => 'abc']], null),
        ];
        foreach ($log as $operation) {
            $json = json_decode((string) json_encode($operation->toArray()), true);
            self::assertIsArray($json);
            self::assertEquals($operation, Operation::read($json, $operation->author));
        }
    }

    public function test_control_characters_leave_typed_text_and_line_ends_stay(): void
    {
        $add = Logs::text('t', "one\r\ntwo\x07\u{202E}three\tfour")->effect;
        self::assertInstanceOf(Add::class, $add);
        self::assertInstanceOf(Text::class, $add->object);
        self::assertSame(['one', 'twothree four'], $add->object->lines());
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('unreadable')]
    public function test_what_is_not_an_operation_is_refused_with_the_reason(array $changes, string $reason): void
    {
        $good = Logs::stroke('s')->toArray();
        $this->expectException(UnreadableOperation::class);
        $this->expectExceptionMessage($reason);
        Operation::read([...$good, ...$changes], Author::seat(Logs::SEAT));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unreadable(): iterable
    {
        $text = ['type' => 'text', 'x' => 0, 'y' => 0, 'size' => 36, 'colour' => '#000000', 'text' => 'a'];
        $stroke = ['type' => 'stroke', 'width' => 40, 'colour' => '#000000', 'ink' => 'AAAA'];

        yield 'no id' => [['id' => null], '"id"'];
        yield 'an id with markup' => [['id' => '<script>alert()</script>'], '"id"'];
        yield 'a kind from nowhere' => [['kind' => 'explode'], '"explode" is not a kind of operation'];
        yield 'a layer from nowhere' => [['layer' => 'attic'], '"layer"'];
        yield 'a time that is not a number' => [['at' => 'noon'], '"at"'];
        yield 'a body that is not an object' => [['body' => 'x'], '"body"'];
        yield 'an object from nowhere' => [['body' => ['object' => ['type' => 'bomb']]], '"bomb"'];
        yield 'a colour by name' => [['body' => ['object' => ['colour' => 'red'] + $stroke]], '#rrggbb'];
        yield 'a line as wide as the page' => [['body' => ['object' => ['width' => 9000] + $stroke]], '"width" is 9000'];
        yield 'a width in words' => [['body' => ['object' => ['width' => 'wide'] + $stroke]], '"width"'];
        yield 'text off the page' => [['body' => ['object' => ['x' => 99999] + $text]], '"x" is 99999'];
        yield 'text of spaces' => [['body' => ['object' => ['text' => "  \n"] + $text]], '"text" is empty'];
        yield 'text too long' => [['body' => ['object' => ['text' => str_repeat('a', 2001)] + $text]], 'longer than 2000'];
        yield 'text that is not UTF-8' => [['body' => ['object' => ['text' => "\xff\xfe"] + $text]], 'UTF-8'];
        yield 'removing nothing' => [['kind' => 'remove', 'body' => ['targets' => []]], '"targets"'];
        yield 'removing by number' => [['kind' => 'remove', 'body' => ['targets' => [5]]], '"id"'];
        yield 'undoing nothing' => [['kind' => 'withdraw', 'body' => ['x' => 1]], '"target"'];
        yield 'a picture backdrop without its picture' => [
            ['kind' => 'backdrop', 'body' => ['backdrop' => ['kind' => 'picture']]], '"asset"',
        ];
    }
}
