<?php

declare(strict_types=1);

namespace Tests\Feature\Plans;

use App\Models\Teachers\Roster;
use App\Models\Teachers\RosterEntry;
use Crag\Classes\ClassList;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;
use ZipArchive;

/** Class lists out of a school's records. */
final class SchoolRecordsTest extends CragTestCase
{
    private const CLASSES = "sourcedId,status,title\nc1,,9B Beams\nc2,,9A Beams\n";

    private const USERS = "sourcedId,status,enabledUser,role,username,givenName,familyName,email\n".
        "u1,,true,student,,Tamsin,Vale,Tamsin.Vale@sillbeck.example\nu2,,true,student,,Ikenna,Orr,\n".
        "u3,,true,student,,نور,الهدى,\n";

    private const ENROLLED = "classSourcedId,userSourcedId,role\nc1,u1,student\nc1,u2,student\nc2,u3,student\n";

    public function test_a_teacher_chooses_classes_and_brings_them_up_to_date_later(): void
    {
        $this->teacher();
        $this->bring()->assertRedirect(route('records'));
        $this->get('/records')->assertOk()->assertSee('9A Beams')->assertSee('9B Beams')->assertSee('2 students');
        $this->post('/records/take', ['classes' => ['c1', 'another']])
            ->assertRedirect(route('classes'))
            ->assertSessionHas('said', 'One class is up to date with your school’s records.');
        $roster = Roster::query()->firstOrFail();
        self::assertSame(1, Roster::query()->count());
        self::assertSame(['Ikenna Orr', 'Tamsin Vale'], $roster->entries()->pluck('name')->all());
        // Where nobody signs in, no address is kept.
        self::assertSame(['', ''], $roster->entries()->pluck('account')->all());
        // The teacher gives a seat, a group and a PIN, and adds somebody who is not in the records.
        $tamsin = $roster->entries()->where('source', 'u1')->firstOrFail();
        $tamsin->update(['n' => 7, 'group' => 'Oak', 'pin' => '4711']);
        $roster->entries()->create(['n' => 3, 'name' => 'Guest Student']);
        config(['crag.oidc_issuer' => 'https://accounts.sillbeck.example']);
        $this->bring([
            'users.csv' => str_replace('Tamsin,Vale', 'Tamsin,Vale-Orr', self::USERS),
            'enrollments.csv' => "classSourcedId,userSourcedId,role\nc1,u1,student\nc1,u3,student\n",
        ])->assertRedirect(route('records'));
        $this->get('/records')->assertSee('will be updated');
        $this->post('/records/take', ['classes' => ['c1']])->assertRedirect();
        self::assertSame(1, Roster::query()->count());
        self::assertSame(
            ['Guest Student', 'Tamsin Vale-Orr', 'نور الهدى'],
            $roster->entries()->pluck('name')->sort()->values()->all(),
        );
        $tamsin->refresh();
        self::assertSame([7, 'Oak', '4711'], [$tamsin->n, $tamsin->group, $tamsin->pin]);
        self::assertSame('tamsin.vale@sillbeck.example', $tamsin->account);
        $seats = $roster->entries()->pluck('n')->all();
        self::assertSame($seats, array_unique($seats));
        // What was chosen from is gone.
        $this->get('/records')->assertRedirect(route('classes'));
        $this->post('/records/take', ['classes' => ['c1']])->assertSessionHasErrors('records');
    }

    public function test_a_name_that_was_typed_before_is_that_student(): void
    {
        $roster = $this->teacher()->rosters()->create(['name' => '9B', 'source' => 'c1']);
        $roster->entries()->create(['n' => 5, 'name' => 'tamsin vale', 'pin' => '1234']);
        $this->bring();
        $this->post('/records/take', ['classes' => ['c1']]);
        self::assertSame(2, $roster->entries()->count());
        self::assertSame('1234', RosterEntry::query()->where('source', 'u1')->firstOrFail()->pin);
    }

    public function test_what_is_no_export_is_refused_with_its_reason_and_changes_nothing(): void
    {
        $this->teacher();
        $this->bring(['users.csv' => null])->assertSessionHasErrors([
            'records' => 'This isn’t a whole OneRoster export: there’s no users.csv in it.',
        ]);
        $this->asTeacher()->post('/records', ['records' => UploadedFile::fake()->createWithContent('a.zip', 'no zip')])
            ->assertSessionHasErrors('records');
        $this->post('/records', [])->assertSessionHasErrors('records');
        $this->bring(['users.csv' => self::USERS.str_repeat("\n", 12 * 1024 * 1024)])
            ->assertSessionHasErrors([
                'records' => 'users.csv is over 12 MB. Export the records of your own school only.',
            ]);
        $this->bring();
        $this->post('/records/take', ['classes' => []])
            ->assertRedirect(route('records'))->assertSessionHasErrors('classes');
        $many = self::USERS;
        $in = self::ENROLLED;
        for ($i = 0; $i <= ClassList::MOST; $i++) {
            $many .= "x{$i},,true,student,,Student,Number {$i},\n";
            $in .= "c2,x{$i},student\n";
        }
        $this->bring(['users.csv' => $many, 'enrollments.csv' => $in]);
        $this->post('/records/take', ['classes' => ['c2']])
            ->assertSessionHasErrors(['records' => 'Too large for a class list: 9A Beams']);
        self::assertSame(0, Roster::query()->count());
    }

    public function test_what_one_teacher_brought_is_not_anothers(): void
    {
        $this->teacher();
        $this->teacher('another-teacher');
        $this->bring()->assertRedirect(route('records'));
        $this->asTeacher('another-teacher')->get('/records')->assertRedirect(route('classes'));
        $this->post('/records/take', ['classes' => ['c1']])->assertSessionHasErrors('records');
        self::assertSame(0, Roster::query()->count());
    }

    /**
     * @param  array<string, ?string>  $with
     * @return TestResponse<Response>
     */
    private function bring(array $with = []): TestResponse
    {
        $files = $with + ['classes.csv' => self::CLASSES, 'users.csv' => self::USERS, 'enrollments.csv' => self::ENROLLED];
        $path = (string) tempnam(sys_get_temp_dir(), 'crag');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach (array_filter($files, is_string(...)) as $name => $bytes) {
            $zip->addFromString("export/{$name}", $bytes);
        }
        $zip->close();

        return $this->asTeacher()->post('/records', ['records' => new UploadedFile($path, 'export.zip', test: true)]);
    }
}
