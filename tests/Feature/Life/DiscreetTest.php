<?php

declare(strict_types=1);

namespace Tests\Feature\Life;

use App\Jobs\JobState;
use App\Log\Discreet;
use App\Models\Event;
use App\Models\LiveSession;
use App\Models\Record;
use App\Sessions\Life\EndSession;
use App\Sessions\Life\ForgetStudent;
use App\Sessions\Life\LookAfter;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\CragTestCase;

/** What is kept beside the work itself: events, logs, and what the worker does by itself. */
final class DiscreetTest extends CragTestCase
{
    public function test_events_keep_that_something_changed_and_catching_up_tells_it_as_it_is_now(): void
    {
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session, 'Tamsin Fernhill');
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/hand", ['up' => true, 'words' => 'Where is the pivot?'])
            ->assertOk();
        $this->asTeacher()
            ->postJson("/desk/{$session->id}/rename", ['seat' => $seat->id, 'name' => 'Tamsin Moss'])
            ->assertOk();
        $this->postJson("/desk/{$session->id}/settings", ['shown_names' => 'names'])->assertOk();
        $this->postJson("/desk/{$session->id}/showcase", ['canvas' => $this->canvasOf($seat)->id])->assertSuccessful();
        $this->postJson("/desk/{$session->id}/shown-on", ['on' => 'both'])->assertSuccessful();
        $session->teachers()->attach($this->teacher('Mr Adeyemi')->id, ['role' => 'colleague']);
        $this->postJson("/desk/{$session->id}/pens", ['down' => true, 'words' => 'Look up'])->assertOk();
        $kept = (string) Event::query()->get()->toJson();
        self::assertGreaterThan(8, Event::query()->count());
        foreach (['Tamsin', 'Fernhill', 'Moss', 'pivot', 'Okafor', 'Look up'] as $said) {
            self::assertStringNotContainsString($said, $kept);
        }
        $desk = $this->getJson("/desk/{$session->id}/catch-up")->assertOk();
        $events = collect((array) $desk->json('events.desk'));
        self::assertSame(range(1, $events->count()), $events->pluck('n')->all(), 'no number is left out');
        self::assertSame(
            ['Tamsin Moss'],
            $events->where('type', 'seat')->pluck('body.seat.name')->all(),
            'once, as it is now',
        );
        self::assertNotSame('', $events->firstWhere('type', 'deed')['body']['name'] ?? '');
        $own = collect(
            (array) $this->asStudent($seat->refresh(), $token)
                ->getJson("/seat/{$seat->id}/catch-up")
                ->json('events.seat'),
        )->where('type', 'own');
        self::assertSame(
            [['Tamsin Moss', 'Where is the pivot?']],
            $own
                ->map(
                    static fn (array $one): array => [
                        $one['body']['own']['name'],
                        $one['body']['own']['messages'][0]['words'],
                    ],
                )
                ->values()
                ->all(),
        );
        $room = collect((array) $this->getJson("/seat/{$seat->id}/catch-up")->json('events.room'))->where(
            'type',
            'room',
        );
        self::assertCount(1, $room);
        self::assertSame('Look up', $room->first()['body']['room']['pens']['words'] ?? null);

        // Of one who is forgotten there is nothing, and the desk that catches up looks who is there.
        app(ForgetStudent::class)($session->refresh(), $seat);
        self::assertSame(
            [],
            collect(
                (array) $this->asTeacher()
                    ->getJson("/desk/{$session->id}/catch-up")
                    ->json('events.desk'),
            )
                ->where('type', 'seat')
                ->all(),
        );
        self::assertStringNotContainsString($seat->id, (string) Event::query()->get()->toJson());
    }

    public function test_what_was_told_of_a_seat_that_is_no_more_has_the_desk_look_again(): void
    {
        $session = $this->newSession();
        [$seat] = $this->seat($session, 'Tamsin');
        $seat->delete();
        self::assertSame(
            ['seats'],
            collect(
                (array) $this->asTeacher()
                    ->getJson("/desk/{$session->id}/catch-up")
                    ->json('events.desk'),
            )
                ->pluck('type')
                ->all(),
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function lines(): iterable
    {
        yield 'an id' => [
            'No query results for model [App\Models\Seat] 01hzy3v5n8q2k4m6p8r0t2w4x6',
            'No query results for model [App\Models\Seat] …',
        ];
        yield 'a token' => ['GET /back/lqx9aZ81kkwQ0ptx73hd2kslaQ', 'GET /back/…'];
        yield 'an address' => ['from 192.168.12.7 at last', 'from … at last'];
        yield 'a mail address' => ['To: tamsin.moss@sillbeck.example', 'To: …'];
        yield 'the values of a statement' => [
            'SQLSTATE[HY000]: locked (Connection: sqlite, SQL: insert into seats values (Tamsin))',
            'SQLSTATE[HY000]: locked ',
        ];
        yield 'a class stays' => [
            'Illuminate\Database\UniqueConstraintViolationException',
            'Illuminate\Database\UniqueConstraintViolationException',
        ];
    }

    #[DataProvider('lines')]
    public function test_the_log_names_nobody(string $line, string $kept): void
    {
        self::assertSame($kept, Discreet::words($line));
    }

    public function test_a_fault_is_logged_with_its_place_and_without_what_it_was_about(): void
    {
        $file = config()->string('logging.channels.single.path');
        @mkdir(dirname($file), recursive: true);
        File::put($file, '');
        try {
            DB::table('seats')->insert(['name' => 'Tamsin Fernhill', 'nowhere' => 1]);
        } catch (\Throwable $fault) {
            Log::error('It failed for 01hzy3v5n8q2k4m6p8r0t2w4x6.', ['exception' => $fault]);
        }
        $log = File::get($file);
        self::assertStringContainsString('nowhere', $log);
        self::assertStringContainsString('DiscreetTest.php:', $log);
        self::assertStringNotContainsString('Tamsin', $log);
        self::assertStringNotContainsString('01hzy3v5n8q2k4m6p8r0t2w4x6', $log);
    }

    public function test_a_clock_that_jumps_by_days_ends_and_forgets_nothing_at_once(): void
    {
        File::delete(config()->string('crag.data').'/rounds.json');
        $running = $this->newSession();
        $ended = $this->newSession();
        app(EndSession::class)($ended);
        app(LookAfter::class)();
        $this->travel(40)->days();
        app(LookAfter::class)();
        self::assertTrue($running->refresh()->isRunning());
        self::assertTrue(LiveSession::query()->whereKey($ended->id)->exists());
        // It was right after all: the session that nobody uses ends after its time, and what was kept long enough goes.
        for ($i = 0; $i < 26; $i++) {
            $this->travel(15)->minutes();
            app(LookAfter::class)();
        }
        self::assertFalse($running->refresh()->isRunning());
        self::assertFalse(LiveSession::query()->whereKey($ended->id)->exists());
    }

    public function test_what_a_killed_worker_had_in_hand_is_taken_up_again_at_once(): void
    {
        config(['queue.default' => 'database']);
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session, 'Tamsin');
        $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/operations", [
            'canvas' => $this->canvasOf($seat)->id,
            'operations' => [$this->stroke()],
        ]);
        $this->asTeacher()
            ->post("/desk/{$session->id}/record", ['kind' => 'zip'])
            ->assertOk();
        $record = Record::query()->firstOrFail();
        // It was reserved by one that is no more.
        self::assertSame(1, DB::table('jobs')->update(['reserved_at' => time(), 'attempts' => 1]));
        $record->update(['state' => 'making']);
        Artisan::call('crag:work', ['--stop-when-empty' => true]);
        self::assertSame(JobState::Ready, $record->refresh()->state);
        self::assertSame(0, DB::table('jobs')->count());

        // One that kills its worker each time is given up, and said so.
        $this->post("/desk/{$session->id}/record", ['kind' => 'zip'])->assertOk();
        $record = Record::query()->where('state', 'waiting')->firstOrFail();
        DB::table('jobs')->update(['reserved_at' => time(), 'attempts' => 3]);
        Artisan::call('crag:work', ['--stop-when-empty' => true]);
        self::assertSame(JobState::Failed, $record->refresh()->state);
    }

    public function test_a_record_of_which_nothing_is_heard_does_not_block_the_next(): void
    {
        Queue::fake();
        $session = $this->newSession();
        [$seat] = $this->seat($session, 'Tamsin');
        $this->asTeacher()
            ->post("/desk/{$session->id}/record", ['kind' => 'pdf'])
            ->assertOk();
        $this->post("/desk/{$session->id}/record", ['kind' => 'pdf'])->assertOk();
        self::assertSame(1, Record::query()->count());
        $this->travel(3)->minutes();
        $this->post("/desk/{$session->id}/record", ['kind' => 'pdf'])->assertOk();
        self::assertSame(2, Record::query()->count());
    }
}
