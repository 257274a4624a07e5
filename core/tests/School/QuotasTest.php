<?php

declare(strict_types=1);

namespace Crag\Tests\School;

use Crag\School\MailDomains;
use Crag\School\Quotas;
use Crag\School\UnreadableDomain;
use Crag\Session\Rules\Refusal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a school may use, and whose addresses are its own. */
final class QuotasTest extends TestCase
{
    public function test_without_quotas_there_is_room_for_everyone(): void
    {
        $quotas = new Quotas(null, null, null);
        self::assertTrue($quotas->letsInTeacher(10_000));
        self::assertNull($quotas->refusal(10_000, PHP_INT_MAX));
    }

    public function test_up_to_the_quota_there_is_room_and_from_it_on_there_is_none(): void
    {
        $quotas = new Quotas(teachers: 2, sessions: 3, megabytes: 1);
        self::assertTrue($quotas->letsInTeacher(1));
        self::assertFalse($quotas->letsInTeacher(2));
        self::assertNull($quotas->refusal(2, 999_999));
        self::assertSame(Refusal::SchoolSessions, $quotas->refusal(3, 0));
        self::assertSame(Refusal::SchoolSpace, $quotas->refusal(0, 1_000_000));
        // What can be mended at once is said first.
        self::assertSame(Refusal::SchoolSessions, $quotas->refusal(3, 1_000_000));
        self::assertFalse((new Quotas(0, null, null))->letsInTeacher(0));
    }

    public function test_domains_are_read_as_people_type_them(): void
    {
        $domains = MailDomains::read(" @Sillbeck.example, staff.sillbeck.example;\nsillbeck.example ");
        self::assertSame(['sillbeck.example', 'staff.sillbeck.example'], $domains->names);
        self::assertSame('sillbeck.example, staff.sillbeck.example', $domains->text());
        self::assertSame([], MailDomains::read(' , ')->names);
    }

    #[TestWith(['ms.lind@sillbeck.example', true])]
    #[TestWith(['Ms.Lind@SILLBECK.example', true])]
    #[TestWith(['"a@sillbeck.example"@other.example', false])]
    #[TestWith(['ms.lind@staff.sillbeck.example', false])]
    #[TestWith(['ms.lind@notsillbeck.example', false])]
    #[TestWith(['ms.lind@sillbeck.example.other.example', false])]
    #[TestWith(['sillbeck.example', false])]
    public function test_an_address_is_a_schools_by_all_that_stands_behind_its_last_at(string $address, bool $is): void
    {
        self::assertSame($is, MailDomains::read('sillbeck.example')->have($address));
    }

    #[TestWith(['example'])]
    #[TestWith(['sill beck'])]
    #[TestWith(['-sillbeck.example'])]
    #[TestWith(['sillbeck-.example'])]
    #[TestWith(['sillbeck..example'])]
    #[TestWith(['10.20.0.1'])]
    #[TestWith(['a@b.example'])]
    #[TestWith(['sillbeck.example/x'])]
    public function test_what_is_no_domain_is_told(string $typed): void
    {
        $this->expectException(UnreadableDomain::class);
        MailDomains::read($typed);
    }

    public function test_too_many_domains_are_told(): void
    {
        $many = implode(' ', array_map(static fn (int $n): string => "s{$n}.example", range(1, 21)));
        $this->expectExceptionMessage('more than 20');
        MailDomains::read($many);
    }
}
