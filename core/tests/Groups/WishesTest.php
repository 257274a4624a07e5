<?php

declare(strict_types=1);

namespace Crag\Tests\Groups;

use Crag\Groups\InvalidWish;
use Crag\Groups\Wishes;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class WishesTest extends TestCase
{
    private const NAMES = ['t' => 'Tamsin Vale', 'r' => 'Rafe Dunmore', 'n' => 'نور', 'a' => 'Ana', 'b' => 'Anais'];

    public function test_each_line_is_a_wish_and_a_name_alone_is_none(): void
    {
        $wishes = Wishes::read("Tamsin, rafe dunmore\n\n  نور  \r\nana, ANAIS, Rafe\n", self::NAMES);
        self::assertSame([['t', 'r'], ['a', 'b', 'r']], $wishes->wishes);
        self::assertSame([['t', 'r'], ['a', 'b'], ['a', 'r'], ['b', 'r']], $wishes->pairs());
        self::assertSame([], Wishes::read('', self::NAMES)->pairs());
    }

    #[TestWith(['Tamsin, Otis', 'Otis'])]
    #[TestWith(['Tamsin, An', 'An'])]
    #[TestWith(["Tamsin, \xff", '?'])]
    public function test_it_is_asked_who_is_meant(string $typed, string $name): void
    {
        $this->expectException(InvalidWish::class);
        $this->expectExceptionMessage("Who is “{$name}”?");
        Wishes::read($typed, self::NAMES);
    }
}
