<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Door\InvalidName;
use Crag\Session\Door\PersonName;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PersonNameTest extends TestCase
{
    #[DataProvider('typed')]
    public function test_a_name_is_made_safe_and_stays_a_name(string $typed, string $name): void
    {
        self::assertSame($name, PersonName::read($typed)->value);
    }

    /** @return iterable<string, array{string, string}> */
    public static function typed(): iterable
    {
        yield 'plain' => ['Tamsin', 'Tamsin'];
        yield 'spaces' => ["  Tamsin \t Vale\n", 'Tamsin Vale'];
        yield 'Arabic' => ['نور الهدى', 'نور الهدى'];
        yield 'apart from its accent' => ["Zoe\u{0308}", 'Zoë'];
        yield 'turned round' => ["Eve\u{202E}nimda", 'Evenimda'];
        yield 'a family emoji' => ["\u{1F469}\u{200D}\u{1F467}", "\u{1F469}\u{200D}\u{1F467}"];
        yield 'markup stays text' => ['<b>Jo</b>', '<b>Jo</b>'];
        yield 'broken UTF-8' => ["Jo\xff", 'Jo?'];
    }

    public function test_forty_characters_as_people_count_them_fit(): void
    {
        $name = str_repeat("e\u{0323}\u{0302}", 40);
        self::assertSame(40, grapheme_strlen(PersonName::read($name)->value));
        $this->expectException(InvalidName::class);
        PersonName::read(str_repeat('a', 41));
    }

    #[DataProvider('nothing')]
    public function test_what_nobody_can_see_is_no_name(string $typed): void
    {
        $this->expectException(InvalidName::class);
        PersonName::read($typed);
    }

    /** @return iterable<array{string}> */
    public static function nothing(): iterable
    {
        yield [''];
        yield ['   '];
        yield ["\u{200B}\u{200D}"];
        yield ["\u{00A0}\u{3000}"];
        yield ["\u{0301}"];
    }

    public function test_the_same_name_gets_a_number(): void
    {
        $name = PersonName::read('Aino');
        self::assertSame('Aino', $name->apartFrom(['Rafe'])->value);
        self::assertSame('Aino (2)', $name->apartFrom(['aino'])->value);
        self::assertSame('Aino (3)', $name->apartFrom(['Aino', 'Aino (2)'])->value);
    }
}
