<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Object\Text;
use Crag\Canvas\Object\Words;
use Crag\Canvas\Operation\Add;
use Crag\Json\UnreadableFields;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OperationTest extends TestCase
{
    public function test_every_kind_reads_back_as_it_was_written(): void
    {
        $log = [
            Logs::stroke('s'),
            Logs::text('t', "F = 240 N\nتوازن"),
            Logs::retype('c', 't', 'moment'),
            Logs::remove('r', 's', 't'),
            Logs::undo('u', 'r'),
            Logs::redo('v', 'r'),
            Logs::operation('e', 'clear'),
            Logs::operation('b', 'backdrop', ['backdrop' => ['kind' => 'isometric']], null),
            Logs::operation('x', 'cut', ['cuts' => [['target' => Logs::id('s'), 'keep' => [[0, 4], [9, 16]]]]]),
            Logs::straighten('z', 's', Examples::all()['ellipse']),
            Logs::operation('a', 'arrange', ['targets' => [Logs::id('s')], 'places' => [[10, -20, 4500, 12_000]]]),
            Logs::operation('g', 'arrange', ['targets' => [Logs::id('s').'.3'], 'group' => 'crew']),
            Logs::operation('l', 'arrange', ['targets' => [Logs::id('s')], 'lock' => true], null),
            Logs::operation('q', 'page'),
            Logs::onPage('q', Logs::stroke('w')),
            Logs::arrangePage('m', 'q', ['to' => 1]),
            Logs::arrangePage('n', 'q', ['ruling' => ['kind' => 'squared', 'size' => 'small']]),
            Logs::arrangePage('o', 'q', ['gone' => true]),
            Logs::piece('k'),
            ...array_map(
                static fn (string $kind): Operation => Logs::object($kind, Examples::all()[$kind]),
                array_keys(Examples::all()),
            ),
            Logs::operation('p', 'backdrop', ['backdrop' => ['kind' => 'picture', 'asset' => 'abc']], null),
        ];
        foreach ($log as $operation) {
            $json = json_decode((string) json_encode($operation->toArray()), true);
            self::assertIsArray($json);
            self::assertEquals($operation->toArray(), Operation::read($json, $operation->author)->toArray());
            self::assertSame(
                json_encode($operation->toArray()),
                json_encode(Operation::read($json, $operation->author, true)->toArray()),
            );
        }
    }

    public function test_control_characters_leave_typed_text_and_line_ends_stay(): void
    {
        $add = Logs::text('t', "one\r\ntwo\x07\u{202E}three\tfour")->effect;
        self::assertInstanceOf(Add::class, $add);
        $text = $add->placings[0]->object;
        self::assertInstanceOf(Text::class, $text);
        self::assertSame(['one', 'twothree four'], Words::lines($text->text));
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('unreadable')]
    public function test_what_is_not_an_operation_is_refused_with_the_reason(array $changes, string $reason): void
    {
        $good = Logs::stroke('s')->toArray();
        $this->expectException(UnreadableFields::class);
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
        yield 'a line as wide as the page' => [
            ['body' => ['object' => ['width' => 9000] + $stroke]],
            '"width" is 9000',
        ];
        yield 'a width in words' => [['body' => ['object' => ['width' => 'wide'] + $stroke]], '"width"'];
        yield 'text off the page' => [['body' => ['object' => ['x' => 99999] + $text]], '"x" is 99999'];
        yield 'text of spaces' => [['body' => ['object' => ['text' => "  \n"] + $text]], '"text" is empty'];
        yield 'text too long' => [
            ['body' => ['object' => ['text' => str_repeat('a', 2001)] + $text]],
            'longer than 2000',
        ];
        yield 'text that is not UTF-8' => [['body' => ['object' => ['text' => "\xff\xfe"] + $text]], 'UTF-8'];
        yield 'a stamp from nowhere' => [
            ['body' => ['object' => ['stamp' => 'skull'] + Examples::stamp()]],
            '"stamp" is none of',
        ];
        yield 'a formula with markup' => [
            ['body' => ['object' => ['path' => '<path d="M0 0"/>'] + Examples::maths()]],
            '"path"',
        ];
        yield 'a formula with a script in its path' => [
            ['body' => ['object' => ['path' => 'M0 0"onload="x'] + Examples::maths()]],
            '"path"',
        ];
        yield 'a picture from elsewhere' => [
            ['body' => ['object' => ['asset' => 'http://elsewhere/x.png'] + Examples::picture()]],
            '"asset"',
        ];
        yield 'a polygon of two points' => [
            ['body' => ['object' => ['points' => [1, 2, 3, 4]] + Examples::all()['polygon']]],
            '"points"',
        ];
        yield 'a polygon of half points' => [
            ['body' => ['object' => ['points' => [1, 2, 3, 4, 5, 6, 7]] + Examples::all()['polygon']]],
            'middle of a point',
        ];
        yield 'a polygon far away' => [
            ['body' => ['object' => ['points' => [1, 2, 3, 4, 99999, 6]] + Examples::all()['polygon']]],
            'off the page',
        ];
        yield 'a fraction of a unit' => [['body' => ['object' => ['x' => 1.5] + Examples::note()]], '"x"'];
        yield 'a piece without words' => [
            ['body' => ['object' => ['alt' => ' '] + Examples::piece()]],
            '"alt" is empty',
        ];
        yield 'a piece of a piece' => [
            ['body' => ['object' => ['of' => Examples::piece()] + Examples::piece()]],
            'a piece itself',
        ];
        yield 'a place in words' => [
            ['body' => ['object' => $stroke, 'place' => ['a', 0, 0, 1]]],
            'four whole numbers',
        ];
        yield 'a place beyond reach' => [
            ['body' => ['object' => $stroke, 'place' => [0, 0, 36_000, 10_000]]],
            'out of reach',
        ];
        yield 'a hundred thousand things' => [
            ['body' => ['objects' => array_fill(0, 501, ['object' => $stroke])]],
            'more than 500',
        ];
        yield 'parts that overlap' => [
            ['kind' => 'cut', 'body' => ['cuts' => [['target' => 'abcdefghijkl', 'keep' => [[0, 9], [4, 12]]]]]],
            '"keep"',
        ];
        yield 'straightened to words' => [
            ['kind' => 'straighten', 'body' => ['target' => 'abcdefghijkl', 'object' => Examples::text()]],
            'is not a shape',
        ];
        foreach (
            [
                [],
                ['to' => 0],
                ['to' => 1, 'gone' => true],
                ['page' => '', 'gone' => true],
                ['ruling' => ['kind' => 'picture', 'asset' => 'abc']],
            ] as $i => $how
        ) {
            yield "a page arranged so {$i}" => [
                ['kind' => 'arrange_page', 'body' => $how + ['page' => 'abcdefghijkl']],
                ['"page"', '"to"', '"page"', '"id"', '"ruling"'][$i],
            ];
        }
        yield 'arranging nothing' => [['kind' => 'arrange', 'body' => ['targets' => ['abcdefghijkl']]], '"places"'];
        yield 'too few places' => [
            [
                'kind' => 'arrange',
                'body' => ['targets' => ['abcdefghijkl', 'abcdefghijkm'], 'places' => [[0, 0, 0, 10_000]]],
            ],
            '"places"',
        ];
        yield 'setting what no object has' => [
            ['kind' => 'change', 'body' => ['target' => 'abcdefghijkl', 'set' => ['onclick' => 'x']]],
            '"onclick"',
        ];
        yield 'setting nothing' => [
            ['kind' => 'change', 'body' => ['target' => 'abcdefghijkl', 'set' => ['colour' => 'red']]],
            '#rrggbb',
        ];
        yield 'removing nothing' => [['kind' => 'remove', 'body' => ['targets' => []]], '"targets"'];
        yield 'removing by number' => [['kind' => 'remove', 'body' => ['targets' => [5]]], '"id"'];
        yield 'undoing nothing' => [['kind' => 'withdraw', 'body' => ['x' => 1]], '"target"'];
        yield 'a picture backdrop without its picture' => [
            ['kind' => 'backdrop', 'body' => ['backdrop' => ['kind' => 'picture']]],
            '"asset"',
        ];
    }
}
