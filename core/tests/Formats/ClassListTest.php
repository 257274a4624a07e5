<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Classes\ClassEntry;
use Crag\Classes\ClassList;
use Crag\Formats\UnreadableFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClassListTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> what was given, and the entries as "seat name|group" */
    public static function lists(): iterable
    {
        yield 'names, a line each' => [
            "Ada Brook\nIvo Stone\n\n  Mei  Lin \n",
            ['1 Ada Brook|', '2 Ivo Stone|', '3 Mei Lin|'],
        ];
        yield 'numbered names' => ["1. Ada\n2) Ivo\n3. Mei", ['1 Ada|', '2 Ivo|', '3 Mei|']];
        yield 'family names first' => [
            "Brook, Ada\nStone, Ivo\nLin, Mei",
            ['1 Ada Brook|', '2 Ivo Stone|', '3 Mei Lin|'],
        ];
        yield 'names and groups' => [
            "Ada,Oak\nIvo,Steel\nMei,Oak\nTor,Steel\nUma,Oak\nVik,Steel",
            ['1 Ada|Oak', '2 Ivo|Steel', '3 Mei|Oak', '4 Tor|Steel', '5 Uma|Oak', '6 Vik|Steel'],
        ];
        yield 'headings in any order' => [
            "Group;Surname;Seat;First name\nOak;Brook;4;Ada\nSteel;Stone;2;Ivo\n",
            ['2 Ivo Stone|Steel', '4 Ada Brook|Oak'],
        ];
        yield 'tabs from a spreadsheet' => ["Seat\tName\n3\tAda\n1\tIvo\n\tMei\n", ['1 Ivo|', '2 Mei|', '3 Ada|']];
        yield 'quotes and a comma within' => ["name,group\n\"Brook, Ada\",\"Oak, left\"\n", ['1 Ada Brook|Oak, left']];
        yield 'windows letters' => ["name\nZo\xEB M\xFCller\n", ['1 Zoë Müller|']];
        yield 'a mark and windows line ends' => ["\u{FEFF}Name\r\nAda\r\nIvo\r\n", ['1 Ada|', '2 Ivo|']];
        // The last byte of these letters is one of a space that does not break, or of a byte order mark.
        yield 'letters at an edge' => [
            "name\n\u{A0}Филипп \nNiccolà\u{A0}\nDû\n¿Wren?\n",
            ['1 Филипп|', '2 Niccolà|', '3 Dû|', '4 ¿Wren?|'],
        ];
        yield 'a mark, and bytes that are no letters' => ["\u{FEFF}name\nWren\nTam\xFF\n", ['1 Wren|', '2 Tam?|']];
        yield 'utf-16' => ["\xFF\xFE".mb_convert_encoding("name\nأمينة\n", 'UTF-16LE'), ['1 أمينة|']];
        yield 'numbers twice and too large' => ["name,seat\nAda,2\nIvo,2\nMei,99999\n", ['1 Ivo|', '2 Ada|', '3 Mei|']];
        yield 'the same name twice' => ["Ada\nada\nAda", ['1 Ada|', '2 ada (2)|', '3 Ada (3)|']];
        yield 'a roster of users' => [
            "sourcedId,status,dateLastModified,enabledUser,orgSourcedIds,role,username,userIds,givenName,familyName,middleName\n".
            "u1,active,2026-09-01,true,o1,student,a.brook,,Ada,Brook,\nu2,active,2026-09-01,true,o1,teacher,t.lind,,Tea,Lind,\nu3,tobedeleted,2026-09-01,true,o1,student,x.gone,,Gone,Away,\n",
            ['1 Ada Brook|'],
        ];
        yield 'a roster of users of the later kind' => [
            "sourcedId,status,dateLastModified,enabledUser,username,userIds,givenName,familyName,middleName,preferredFirstName\nu1,,,true,a.brook,,Adelaide,Brook,,Ada\n",
            ['1 Adelaide Brook|'],
        ];
        yield 'signs of direction in a name' => ["name\nAda\u{202E}x\n", ['1 Adax|']];
    }

    /** @param  list<string>  $entries */
    #[DataProvider('lists')]
    public function test_names_seats_and_groups_are_found(string $given, array $entries): void
    {
        self::assertSame(
            $entries,
            array_map(
                static fn (ClassEntry $one): string => "{$one->n} {$one->name}|{$one->group}",
                ClassList::read($given)->entries,
            ),
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function unusable(): iterable
    {
        yield 'nothing' => ['', 'no names'];
        yield 'a heading alone' => ["name,seat\n", 'no names'];
        yield 'a picture' => ["\x89PNG\r\n\x1a\n\0\0\0", 'has no text'];
        yield 'a whole town' => [
            implode("\n", array_map(static fn (int $n): string => "Student {$n}x", range(1, 201))),
            '201 names',
        ];
        yield 'endless lines' => [str_repeat("Ada\n", 5002), 'more than 5000 lines'];
    }

    #[DataProvider('unusable')]
    public function test_what_is_no_list_is_refused(string $given, string $why): void
    {
        $this->expectException(UnreadableFile::class);
        $this->expectExceptionMessage($why);
        ClassList::read($given);
    }
}
