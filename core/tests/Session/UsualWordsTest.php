<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Session\Door\Door;
use Crag\Session\Door\PersonName;
use Crag\Session\Door\UsualWords;
use Crag\Session\Room\SeatState;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class UsualWordsTest extends TestCase
{
    private static function shipped(): UsualWords
    {
        return UsualWords::read((string) file_get_contents(__DIR__.'/../../src/Session/Door/unsuitable-words.txt'));
    }

    #[TestWith(['turd'])]
    #[TestWith(['Sir Turd'])]
    #[TestWith(['t.u.r.d'])]
    #[TestWith(['T U R D'])]
    #[TestWith(['tu rd'])]
    #[TestWith(['7urd'])]
    #[TestWith(['@$$'])]
    #[TestWith(['tuuuurd'])]
    #[TestWith(['tuurd'])]
    #[TestWith(['pooo'])]
    #[TestWith(['sh1th3ad'])]
    #[TestWith(['xXdickheadXx'])]
    public function test_an_unsuitable_word_is_found_however_it_is_spelled(string $name): void
    {
        self::assertTrue(self::shipped()->areIn(PersonName::read($name)));
    }

    #[TestWith(['Bob'])]
    #[TestWith(['Wren 455'])]
    #[TestWith(['Cassandra'])]
    #[TestWith(['Hancock'])]
    #[TestWith(['Titus'])]
    #[TestWith(['Essex'])]
    #[TestWith(['Po Ling'])]
    #[TestWith(['Al A.'])]
    #[TestWith(['Saturday'])]
    #[TestWith(['Scunthorpe'])]
    #[TestWith(['نور الهدى'])]
    #[TestWith(['李小龍'])]
    public function test_a_name_that_only_holds_its_letters_is_a_name(string $name): void
    {
        self::assertFalse(self::shipped()->areIn(PersonName::read($name)));
    }

    public function test_a_list_has_a_word_on_each_line_and_remarks(): void
    {
        $words = UsualWords::read("# For us\nPlank\n\n  wally # mild\n");
        self::assertTrue($words->areIn(PersonName::read('wally')));
        self::assertTrue($words->areIn(PersonName::read('Plank')));
        self::assertFalse($words->areIn(PersonName::read('mild')));
        self::assertFalse($words->areIn(PersonName::read('us')));
    }

    public function test_a_list_only_door_lets_in_who_tapped_a_name_of_the_list(): void
    {
        self::assertSame(SeatState::Seated, Door::ClassList->answer(false, true));
        self::assertSame(SeatState::Knocking, Door::ClassList->answer(false, false), 'not on the list');
        self::assertSame(SeatState::Knocking, Door::ClassList->answer(true, true), 'the name is taken');
    }
}
