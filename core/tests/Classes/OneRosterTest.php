<?php

declare(strict_types=1);

namespace Crag\Tests\Classes;

use Crag\Classes\OneRoster;
use Crag\Classes\RosteredClass;
use Crag\Classes\RosteredStudent;
use Crag\Formats\UnreadableFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Classes out of a school's records. */
final class OneRosterTest extends TestCase
{
    private const FILES = [
        'classes.csv' => "\"sourcedId\",\"status\",\"dateLastModified\",\"title\",\"classCode\"\n".
            "c10,,,9B Beams,9B\nc2,,,9A Beams,9A\nc3,tobedeleted,,Old class,OLD\nc4,,,Empty class,E\nc5,,,,9C\n",
        'users.csv' => "sourcedId,status,enabledUser,role,username,givenName,familyName,email\n".
            "u1,,true,student,tvale,Tamsin,Vale,tamsin.vale@sillbeck.example\n".
            "u2,,true,student,iorr,Ikenna,Orr,\nu3,,true,teacher,mol,Mira,Okafor-Lind,\n".
            "u4,tobedeleted,,student,old,Old,Student,\nu5,,false,student,off,Off,Student,\n".
            "u6,,true,student,,نور,الهدى,nur@sillbeck.example\n",
        'enrollments.csv' => "sourcedId,status,classSourcedId,userSourcedId,role\n".
            "e1,,c10,u1,student\ne2,,c10,u2,student\ne3,,c10,u3,teacher\ne4,,c2,u6,student\n".
            "e5,,c10,u4,student\ne6,,c10,u5,student\ne7,tobedeleted,c2,u1,student\ne8,,c3,u1,student\n".
            "e9,,c5,u1,student\ne10,,c10,u1,student\ne11,,c10,nobody,student\n",
    ];

    public function test_classes_have_their_students_by_family_name_and_nobody_else(): void
    {
        self::assertEquals(
            [
                new RosteredClass('c2', '9A Beams', [new RosteredStudent('u6', 'نور الهدى', 'nur@sillbeck.example')]),
                new RosteredClass('c10', '9B Beams', [
                    // By address where there is one, by user name where there is none.
                    new RosteredStudent('u2', 'Ikenna Orr', 'iorr'),
                    new RosteredStudent('u1', 'Tamsin Vale', 'tamsin.vale@sillbeck.example'),
                ]),
                new RosteredClass('c5', '9C', [
                    new RosteredStudent('u1', 'Tamsin Vale', 'tamsin.vale@sillbeck.example'),
                ]),
            ],
            OneRoster::read(self::FILES)->classes,
        );
    }

    public function test_the_names_that_students_prefer_and_roles_that_stand_elsewhere(): void
    {
        $files = [
            'users.csv' => "sourcedId,givenName,familyName,preferredFirstName,preferredLastName\nu1,Tamsin,Vale,Tam,\n",
            'classes.csv' => "sourcedId,title\nc1,9B\n",
            'enrollments.csv' => "classSourcedId,userSourcedId\nc1,u1\n",
        ];
        self::assertSame('Tam Vale', OneRoster::read($files)->classes[0]->students[0]->name);
    }

    /** @param  array<string, string>  $files */
    #[DataProvider('unreadable')]
    public function test_what_is_no_export_says_what_it_lacks(array $files, string $says): void
    {
        $this->expectException(UnreadableFile::class);
        $this->expectExceptionMessage($says);
        OneRoster::read($files);
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function unreadable(): iterable
    {
        yield 'no file' => [[], 'classes.csv'];
        yield 'one of three' => [['classes.csv' => self::FILES['classes.csv']], 'users.csv'];
        yield 'no column' => [['users.csv' => "id,name\n1,a\n"] + self::FILES, 'sourcedid'];
        yield 'an empty file' => [['users.csv' => ''] + self::FILES, 'sourcedid'];
        yield 'no students' => [['enrollments.csv' => "classSourcedId,userSourcedId\n"] + self::FILES, 'No class'];
    }
}
