<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Install\Setup;
use Deploy\Shell;
use Tests\Support\BrowserTestCase;

/** Somebody looks after the schools of an installation, and a teacher of one of them comes in by invitation. */
final class SchoolsTest extends BrowserTestCase
{
    public function test_a_school_is_added_looked_after_and_deleted(): void
    {
        $link = trim(Shell::output(
            [PHP_BINARY, 'artisan', 'crag:invite', '--administrator'],
            Setup::root(),
            self::$crag->environment(),
        ));
        $admin = $this->person('administrator')->visit($link);
        $admin->type('#name', 'Mr Hollins')->type('#email', 'hollins@sillbeck.example');
        $admin->type('#password', 'beams and levers')->click('form[action$="/account"] .btn-go')->seen('.library-head');
        $admin->click('.bar-ways a[href$="/schools"]');
        $admin->waitForText('main', 'No schools yet');
        $this->assertAccessible($admin, 'schools, empty');
        $admin->type('#name', 'Sillbeck School')->click('main .btn-go');
        $admin->waitForText('h1', 'Sillbeck School');
        $this->assertAccessible($admin, 'a new school');
        // What cannot be read is said where it was typed, and nothing of it is lost.
        $admin->type('#keep-days', '20')->type('#domains', 'sillbeck')->click('[aria-labelledby=school-rules] .btn-go');
        $admin->waitForText('#domains-problem', 'isn’t the end of an e-mail address');
        self::assertSame('20', $admin->run('return document.querySelector("#keep-days").value'));
        $admin->type('#domains', 'sillbeck.example')->click('[aria-labelledby=school-rules] .btn-go');
        $admin->waitForText('.alert-success', 'Saved.');
        $admin->click('[name=role][value=teacher]')->seen('#invitation-link');
        $link = $admin->run('return document.querySelector("#invitation-link").value');
        self::assertIsString($link);

        $teacher = $this->person('teacher')->visit($link);
        $teacher->type('#name', 'Ms Okafor-Lind')->type('#email', 'lind@sillbeck.example');
        $teacher->type('#password', 'moments of a beam')->click('form[action$="/account"] .btn-go')->seen('.library-head');
        self::assertSame([], $teacher->all('.bar-ways a[href$="/schools"]'), 'teachers have no such page');

        $admin->visit($admin->driver->getCurrentURL())->waitForText('[aria-labelledby=school-teachers]', 'Ms Okafor-Lind');
        $admin->click('[aria-labelledby=school-teachers] .btn-outline-danger')->click('#ask-first-yes');
        $admin->waitForText('[aria-labelledby=school-teachers]', 'can’t teach');
        $teacher->visit(self::$crag->address().'/plans')->waitForText('main', 'Teachers sign in here first.');
        $admin->click('[aria-labelledby=school-teachers] .session-list .btn-outline-slate');
        $admin->waitForText('.alert-success', 'can teach here again');
        $teacher->visit(self::$crag->address().'/plans')->seen('.library-head');

        $admin->click('[aria-labelledby=school-export] .btn-outline-slate');
        $admin->find('[aria-labelledby=school-export] :is([role=status], a[href$="export.zip"])');
        $admin->until(function () use ($admin): bool {
            $admin->driver->navigate()->refresh();

            return $admin->all('a[href$="export.zip"]') !== [];
        }, 'everything in one file');
        $admin->type('#sure', 'Sillbeck')->click('[aria-labelledby=school-delete] .btn-end');
        $admin->waitForText('#sure-problem', 'just as it’s written');
        $admin->type('#sure', 'Sillbeck School')->click('[aria-labelledby=school-delete] .btn-end');
        $admin->waitForText('.alert-success', 'is being deleted');
        $admin->until(function () use ($admin): bool {
            $admin->visit(self::$crag->address().'/schools');

            return ! str_contains($admin->text('main'), 'Sillbeck School');
        }, 'the school to be gone');
        self::assertSame('1', (string) $this->sql('select count(*) from teachers where email is not null'));
        self::assertSame([], $admin->complaints());
    }
}
