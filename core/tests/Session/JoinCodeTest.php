<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Door\InvalidJoinCode;
use Crag\Session\Door\JoinCode;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class JoinCodeTest extends TestCase
{
    public function test_no_character_of_a_code_looks_like_another(): void
    {
        self::assertSame('', implode('', array_intersect(str_split('0O1IL2Z5S8BUVAE'), str_split(JoinCode::ALPHABET))));
        self::assertSame(21, count(array_unique(str_split(JoinCode::ALPHABET))));
    }

    public function test_a_drawn_code_reads_back(): void
    {
        mt_srand(5);
        for ($i = 0; $i < 100; $i++) {
            $code = JoinCode::draw(mt_rand(...));
            self::assertSame(JoinCode::LENGTH, strlen($code->value));
            self::assertEquals($code, JoinCode::read($code->spaced()));
        }
    }

    #[DataProvider('ways')]
    public function test_small_letters_spaces_and_dashes_do_no_harm(string $typed): void
    {
        self::assertSame('KMP4R7', JoinCode::read($typed)->value);
    }

    /** @return iterable<array{string}> */
    public static function ways(): iterable
    {
        yield ['KMP4R7'];
        yield ['kmp4r7'];
        yield [' kmp 4r7 '];
        yield ['KMP-4R7'];
        yield ["k m p\u{00a0}4 r 7"];
    }

    #[DataProvider('wrong')]
    public function test_a_code_that_cannot_be_says_why(string $typed, string $reason): void
    {
        $this->expectException(InvalidJoinCode::class);
        $this->expectExceptionMessage($reason);
        JoinCode::read($typed);
    }

    /** @return iterable<array{string, string}> */
    public static function wrong(): iterable
    {
        yield ['', 'has 6 characters; this has 0'];
        yield ['KMP4R', 'this has 5'];
        yield ['KMP4R77', 'this has 7'];
        yield ['KMP4RO', 'never use "O"'];
        yield ['KMP4Rß', 'never use'];
        yield ["KMP4R\xff", 'never use'];
    }
}
