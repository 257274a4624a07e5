<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Live\Clock;
use App\Live\Keeper\Delivery;
use App\Live\Keeper\Inbox;
use App\Live\Keeper\Keep;
use App\Live\Keeper\KeepKey;
use App\Live\Keeper\OwnShare;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Seat;
use Closure;
use Crag\Canvas\Log\ByteBudget;
use Crag\Canvas\Log\LateInk;
use Crag\Canvas\Log\TrayInForce;
use Crag\Prompt\Tray\Tool;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Session\Room\Pens;
use Crag\Session\Room\PromptState;
use Crag\Session\Room\SeatState;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\CragTestCase;

/** What pages send over their sockets to be stored. */
final class KeeperTest extends CragTestCase
{
    private const LONG_AGO_MS = 60_000;

    public function test_a_stroke_is_stored_told_to_the_desk_and_answered_on_the_students_own_channel(): void
    {
        [$seat] = $this->seat($session = $this->newSession());
        $stroke = $this->stroke();
        $this->published->messages = [];
        self::assertSame(1, $this->keep($this->delivery($seat, 'first', $stroke)));
        self::assertSame([$stroke['id']], LoggedOperation::query()->pluck('op_id')->all());
        $told = $this->toldTo($seat);
        self::assertCount(1, $told);
        self::assertSame($stroke['id'], $told[0]['operations'][0]['id']);
        self::assertSame(
            ['reply' => 'first', 'accepted' => [['id' => $stroke['id'], 'n' => 1]], 'refused' => [], 'held' => []],
            $told[0]['kept'],
        );
        $desk = $this->published->on("desk.{$session->id}");
        self::assertCount(1, $desk);
        self::assertStringContainsString($stroke['id'], $desk[0]);
        self::assertStringNotContainsString('kept', $desk[0]);
    }

    public function test_a_class_is_stored_in_one_go_and_each_student_hears_only_of_their_own(): void
    {
        $session = $this->newSession();
        $seats = array_map(fn (int $i): Seat => $this->seat($session, "Student {$i}")[0], range(1, 5));
        $strokes = array_map(fn (): array => $this->stroke(), $seats);
        $deliveries = array_map(
            fn (Seat $seat, array $stroke): Delivery => $this->delivery($seat, "for {$seat->n}", $stroke),
            $seats,
            $strokes,
        );
        $this->published->messages = [];
        $begun = 0;
        DB::connection()->beforeStartingTransaction(static function () use (&$begun): void {
            $begun++;
        });
        self::assertSame(5, $this->keep(...$deliveries));
        self::assertSame(1, $begun);
        self::assertSame(range(1, 5), LoggedOperation::query()->orderBy('id')->pluck('session_n')->all());
        self::assertSame(5, $session->refresh()->operation_count);
        self::assertCount(1, $this->published->on("desk.{$session->id}"), 'the desk hears of all at once');
        foreach ($seats as $i => $seat) {
            $told = $this->published->on("seat.{$seat->id}");
            self::assertCount(1, $told);
            foreach ($strokes as $k => $stroke) {
                self::assertSame($i === $k, str_contains($told[0], $stroke['id']));
            }
        }
    }

    public function test_sending_it_again_stores_nothing_twice_whichever_way_it_comes(): void
    {
        [$seat, $token] = $this->seat($this->newSession());
        $stroke = $this->stroke();
        $this->keep($this->delivery($seat, 'a', $stroke), $this->delivery($seat, 'b', $stroke));
        $this->appendAs($seat, $token, $stroke)->assertJsonPath('accepted.0.n', 1);
        $this->keep($this->delivery($seat, 'c', $stroke));
        self::assertSame(1, LoggedOperation::query()->count());
        foreach ($this->toldTo($seat) as $told) {
            self::assertSame([['id' => $stroke['id'], 'n' => 1]], $told['kept']['accepted']);
        }
    }

    /** @param  Closure(LiveSession, Seat, Canvas): mixed  $change */
    #[DataProvider('changes')]
    public function test_what_changes_under_a_drawing_student_is_answered_as_over_http(
        Closure $change,
        string $becomes,
    ): void {
        [$seat, $token] = $this->seat($session = $this->newSession());
        $this->keep($this->delivery($seat, 'before', $this->stroke()));
        $change($session->refresh(), $seat->refresh(), $canvas = $this->canvasOf($seat));

        $this->published->messages = [];
        $over = ['at' => Clock::ms()] + $this->stroke();
        $this->keep($this->delivery($seat->refresh(), 'after', $over));
        $told = $this->toldTo($seat)[0]['kept'];
        $posted = $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/operations", [
            'canvas' => $canvas->id,
            'operations' => [['at' => Clock::ms()] + $this->stroke()],
        ]);
        if ($becomes === 'post') {
            self::assertSame(['reply' => 'after', 'post' => true], $told);
            self::assertFalse($posted->isSuccessful());

            return;
        }
        $posted->assertOk();
        $told = array_map(
            static fn (mixed $some): mixed => is_array($some)
                ? array_map(static fn (array $one): array => array_diff_key($one, ['id' => 1, 'n' => 1]), $some)
                : $some,
            array_diff_key($told, ['reply' => 1]),
        );
        self::assertNotSame([], $told[$becomes]);
        self::assertSame(
            array_map(
                static fn (array $some): array => array_map(
                    static fn (array $one): array => array_diff_key($one, ['id' => 1, 'n' => 1]),
                    $some,
                ),
                $posted->json(),
            ),
            $told,
        );
    }

    /** @return iterable<string, array{Closure(LiveSession, Seat, Canvas): mixed, string}> */
    public static function changes(): iterable
    {
        $ago = static fn (): int => Clock::ms() - self::LONG_AGO_MS;
        yield 'nothing' => [static fn () => null, 'accepted'];
        yield 'pens down for all' => [
            static fn (LiveSession $session) => $session->update(['pens' => Pens::down($ago(), 'Look here.')]),
            'held',
        ];
        yield 'pens down for one' => [
            static fn ($session, Seat $seat) => $seat->update(['pens' => Pens::down($ago(), '')]),
            'held',
        ];
        yield 'sent' => [
            static fn ($session, $seat, Canvas $canvas) => $canvas->update(['sent_at_ms' => $ago()]),
            'held',
        ];
        yield 'the prompt is closed' => [
            static fn ($session, $seat, Canvas $canvas) => $canvas->prompt->update([
                'state' => PromptState::Closed,
                'state_at_ms' => $ago(),
            ]),
            'held',
        ];
        yield 'sent out' => [
            static fn ($session, Seat $seat) => $seat->update([
                'state' => SeatState::SentOut,
                'state_at_ms' => $ago(),
            ]),
            'held',
        ];
        yield 'tools are taken away' => [
            static fn (LiveSession $session) => $session->update([
                'tray' => TrayInForce::always(ToolTray::of(TrayKind::Custom, [Tool::Text])),
            ]),
            'refused',
        ];
        yield 'the page is full' => [
            static fn ($session, $seat, Canvas $canvas) => $canvas->update(['byte_count' => ByteBudget::CANVAS - 1]),
            'refused',
        ];
        yield 'ended a moment ago' => [
            static fn (LiveSession $session) => $session->update(['ended_at' => now()->subSeconds(30)]),
            'accepted',
        ];
        yield 'ended long ago' => [
            static fn (LiveSession $session) => $session->update([
                'ended_at' => now()->subMilliseconds(LateInk::GRACE_MS + 1000),
            ]),
            'post',
        ];
        yield 'its channels were begun anew' => [
            static fn ($session, Seat $seat) => $seat->update(['turn' => 3]),
            'accepted',
        ];
    }

    public function test_covered_work_is_only_counted_on_the_desk(): void
    {
        [$seat] = $this->seat($session = $this->newSession());
        $session->update(['settings' => $session->settings->with(['cover' => true])]);
        $this->published->messages = [];
        $this->keep($this->delivery($seat, 'covered', $stroke = $this->stroke()));
        self::assertSame(
            ['{"stream":"operations","operations":[{"s":1,"covered":true}]}'],
            $this->published->on("desk.{$session->id}"),
        );
        self::assertStringContainsString($stroke['id'], $this->published->on("seat.{$seat->id}")[0]);
    }

    public function test_nobody_stores_for_somebody_else(): void
    {
        $session = $this->newSession();
        [$seat] = $this->seat($session, 'Tamsin');
        [$mate] = $this->seat($session, 'Mate');
        $old = KeepKey::of($seat);
        $text = fn (string $key, Seat $as, string $canvas): Delivery => $this->read(
            $as->id,
            $key,
            $canvas,
            'r',
            $this->stroke(),
        );
        $this->published->messages = [];

        $this->keep(
            $text($seat->ink_key, $seat, $this->canvasOf($seat)->id),
            $text(KeepKey::of($mate), $seat, $this->canvasOf($seat)->id),
            $text($old, $mate, $this->canvasOf($mate)->id),
            $text($old, (clone $seat)->forceFill(['id' => '01NOBODY']), $this->canvasOf($seat)->id),
        );
        self::assertSame([], $this->published->messages, 'whoever does not know the key is not even answered');

        $this->keep($text($old, $seat, $this->canvasOf($mate)->id));
        self::assertSame(['reply' => 'r', 'post' => true], $this->toldTo($seat)[0]['kept']);

        // Another device takes the seat: the old page's key opens nothing any more.
        $seat->update(['token_hash' => hash('sha256', 'another device')]);
        $this->published->messages = [];
        $this->keep($text($old, $seat, $this->canvasOf($seat)->id));
        self::assertSame([[], 0], [$this->published->messages, LoggedOperation::query()->count()]);
    }

    public function test_one_students_broken_data_breaks_nobody_elses_strokes(): void
    {
        $session = $this->newSession();
        [$broken] = $this->seat($session, 'Tamsin');
        [$seat] = $this->seat($session, 'Mate');
        DB::table('seats')->where('id', $broken->id)->update(['pens' => '{"down":']);
        if (DB::connection()->getDriverName() === 'sqlite') {
            DB::statement(
                "create temp trigger broken before insert on operations when new.seat_id = '{$broken->id}'".
                " begin select raise(abort, 'broken'); end",
            );
        } else {
            DB::statement("alter table operations add constraint broken check (seat_id <> '{$broken->id}')");
        }
        $this->published->messages = [];
        self::assertSame(1, $this->keep(
            $this->delivery($broken, 'one', $this->stroke()),
            $this->delivery($seat, 'two', $mine = $this->stroke()),
        ));
        self::assertSame([$mine['id']], LoggedOperation::query()->pluck('op_id')->all());
        self::assertSame(['reply' => 'one', 'post' => true], $this->toldTo($broken)[0]['kept']);
        self::assertSame([['id' => $mine['id'], 'n' => 1]], $this->toldTo($seat)[0]['kept']['accepted']);
        self::assertSame(1, $session->refresh()->operation_count);
    }

    public function test_who_floods_is_not_answered_and_the_others_are(): void
    {
        $session = $this->newSession();
        [$loud] = $this->seat($session, 'Tamsin');
        [$seat] = $this->seat($session, 'Mate');
        $flood = array_map(fn (int $i): Delivery => $this->delivery($loud, "f{$i}", $this->stroke()), range(1, 200));
        self::assertSame(4, $this->keep(...[...$flood, $this->delivery($seat, 'mine', $this->stroke())]));
        self::assertCount(1, $this->toldTo($seat));
    }

    public function test_nobody_uses_up_another_students_share_by_naming_them(): void
    {
        [$seat] = $this->seat($this->newSession());
        $canvas = $this->canvasOf($seat)->id;
        $forged = array_map(
            fn (int $i): Delivery => $this->read($seat->id, $seat->ink_key, $canvas, "f{$i}", $this->stroke()),
            range(1, 50),
        );
        self::assertSame(1, $this->keep(...[...$forged, $this->delivery($seat, 'mine', $this->stroke())]));
        self::assertSame('mine', $this->toldTo($seat)[0]['kept']['reply']);
    }

    #[DataProvider('odd')]
    public function test_what_is_no_batch_is_let_go(string $text): void
    {
        self::assertNull(Delivery::read($text));
    }

    /** @return iterable<string, array{string}> */
    public static function odd(): iterable
    {
        $good = ['s' => 'seat', 'k' => 'key', 'b' => 'reply', 'c' => 'canvas', 'o' => []];
        yield 'nothing' => [''];
        yield 'half of it' => [substr((string) json_encode($good), 0, 30)];
        yield 'a word' => ['"seat"'];
        foreach (array_keys($good) as $name) {
            yield "without {$name}" => [(string) json_encode(array_diff_key($good, [$name => 1]))];
            yield "{$name} is a number" => [(string) json_encode([$name => 7] + $good)];
            yield "{$name} is a map" => [(string) json_encode([$name => ['a' => 1]] + $good)];
        }
        yield 'a very long id' => [(string) json_encode(['b' => str_repeat('x', 41)] + $good)];
        yield 'too many' => [(string) json_encode(['o' => array_fill(0, 101, null)] + $good)];
        yield 'too deep' => [str_repeat('[', 80).str_repeat(']', 80)];
    }

    public function test_messages_are_read_whole_once_and_on_from_where_the_last_keeper_was(): void
    {
        $folder = sys_get_temp_dir().'/crag-inbox-'.getmypid();
        @mkdir($folder);
        [$socket, $mark] = ["{$folder}/publish.sock", "{$folder}/keep.read"];
        try {
            $inbox = new Inbox($socket, 2, new OwnShare($mark));
            self::assertSame([], $inbox->wait(0), 'nginx is not there yet');
            $server = stream_socket_server("unix://{$socket}");
            self::assertNotFalse($server);
            self::assertSame([], $inbox->wait(0));
            $nginx = stream_socket_accept($server, 1);
            self::assertNotFalse($nginx);
            self::assertStringStartsWith("GET /keep/2 HTTP/1.1\r\n", $asked = (string) fread($nginx, 1000));
            self::assertStringNotContainsString('Last-Event-ID', $asked);
            fwrite($nginx, "HTTP/1.1 200 OK\r\nContent-Type: text/event-stream\r\n\r\n: hi\n\n");
            fwrite($nginx, "id: 17:0\ndata: {\"a\":1}\n\nid: 17:1\ndata: {\"b");
            self::assertSame(['{"a":1}'], $inbox->wait(1000));
            fwrite($nginx, "\":\"id: 99:9\"}\n\nid: 18:0\ndata: {}\n\n");
            self::assertSame(['{"b":"id: 99:9"}', '{}'], $inbox->wait(1000));
            self::assertSame('18:0', file_get_contents($mark));
            fclose($nginx);
            self::assertSame([], $inbox->wait(1000), 'nginx has gone');
            (new Inbox($socket, 2, new OwnShare($mark)))->wait(0);
            $again = stream_socket_accept($server, 1);
            self::assertNotFalse($again);
            self::assertStringContainsString("Last-Event-ID: 18:0\r\n", (string) fread($again, 1000));
        } finally {
            array_map(unlink(...), glob("{$folder}/*") ?: []);
            rmdir($folder);
        }
    }

    private function keep(Delivery ...$deliveries): int
    {
        return app(Keep::class)(array_values($deliveries));
    }

    /** @param  array<string, mixed>  ...$operations */
    private function delivery(Seat $seat, string $reply, array ...$operations): Delivery
    {
        return $this->read($seat->id, KeepKey::of($seat), $this->canvasOf($seat)->id, $reply, ...$operations);
    }

    /** @param  array<string, mixed>  ...$operations */
    private function read(string $seat, string $key, string $canvas, string $reply, array ...$operations): Delivery
    {
        $read = Delivery::read(
            (string) json_encode([
                's' => $seat,
                'k' => $key,
                'b' => $reply,
                'c' => $canvas,
                'o' => array_values($operations),
            ]),
        );

        return $read ?? self::fail('That is no batch.');
    }

    /** @return list<array<string, mixed>> what went to the student's own channel with an answer in it */
    private function toldTo(Seat $seat): array
    {
        return array_values(
            array_filter(
                array_map(
                    static fn (string $message): array => (array) json_decode($message, true),
                    $this->published->on("seat.{$seat->channelId()}"),
                ),
                static fn (array $message): bool => isset($message['kept']),
            ),
        );
    }
}
