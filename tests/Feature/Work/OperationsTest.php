<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Models\Canvas;
use App\Models\LoggedOperation;
use App\Sessions\Life\EndSession;
use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Log\ByteBudget;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\TrayInForce;
use Crag\Canvas\Object\Construct;
use Crag\Plan\PromptPages;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Tests\Canvas\Examples;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Support\CragTestCase;

final class OperationsTest extends CragTestCase
{
    public function test_a_graph_is_worked_out_for_whoever_holds_the_canvas(): void
    {
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session, 'Solveig');
        $body = [
            'line' => 'y = x²',
            'scale' => ['x' => 8000, 'y' => 5000, 'across' => 50_000, 'up' => 50_000],
            'paper' => '1600x1000',
        ];
        $plot = fn (array $with): TestResponse => $this->asStudent($seat, $token)->postJson(
            "/seat/{$seat->id}/plot",
            $with + $body,
        );
        $element = $plot([])->assertOk()->json('element');
        self::assertSame(['graph', 'y = x²', 1], [$element['kind'], $element['source'], count($element['pieces'])]);
        $plot(['line' => 'y = 2x +'])->assertUnprocessable();
        $plot(['line' => 'y = 1000'])->assertUnprocessable()->assertSee('Nothing of that graph');
        $plot(['scale' => ['x' => 'far']])->assertUnprocessable();
        $plot(['paper' => '1x1'])->assertUnprocessable();
        $this->asTeacher()->postJson("/desk/{$session->id}/plot", $body)->assertOk();
    }

    public function test_a_prepared_construction_is_dragged_and_added_to_but_not_taken_apart(): void
    {
        $session = $this->newSession();
        $construction = Examples::construction();
        $session->update(['tray' => TrayInForce::always(ToolTray::of(TrayKind::Maths))]);
        $session->prompt()->firstOrFail()->update([
            'pages' => PromptPages::read([['backdrop' => ['kind' => 'blank'], 'objects' => [['object' => $construction]]]]),
        ]);
        [$seat, $token] = $this->seat($session, 'Aino');
        $scene = $this->canvasOf($seat)->scene();
        $id = (string) array_key_first($scene->placed);
        self::assertSame(Layer::Pieces, $scene->placed[$id]->layer);
        $change = fn (string $name, array $set): array => ['id' => $name, 'kind' => 'change'] +
            ['body' => ['target' => $id, 'set' => $set]] + $this->stroke($name);
        $point = ['id' => 'A', 'kind' => 'point', 'x' => 1234, 'y' => 5678];
        $answer = $this->appendAs(
            $seat,
            $token,
            $change('drags-a-point', ['put' => [$point]]),
            $change('takes-it-apart', ['drop' => 'A']),
            $change('paints-it-over', ['colour' => '#8f2d1a']),
        );
        self::assertSame(['drags-a-point'], array_column($answer->json('accepted'), 'id'));
        self::assertCount(2, $answer->json('refused'));
        $object = $this->canvasOf($seat)->refresh()->scene()->placed[$id]->object;
        self::assertInstanceOf(Construct::class, $object);
        self::assertSame(1234, $object->construction->elements['A']->number('x'));
        self::assertArrayHasKey('m', $object->construction->elements);
    }

    public function test_a_finished_stroke_is_stored_announced_and_given_back(): void
    {
        [$seat, $token] = $this->seat($session = $this->newSession());
        $canvas = $this->canvasOf($seat);
        $stroke = $this->stroke();
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/operations", ['canvas' => $canvas->id, 'operations' => [$stroke]])
            ->assertOk()
            ->assertExactJson(['accepted' => [['id' => $stroke['id'], 'n' => 1]], 'refused' => [], 'held' => []]);

        self::assertStringContainsString($stroke['id'], $this->published->on("desk.{$session->id}")[1]);
        self::assertStringContainsString($stroke['id'], $this->published->on("seat.{$seat->id}")[0]);
        $this->getJson("/seat/{$seat->id}/canvas")
            ->assertOk()
            ->assertJsonPath('operations.0.id', $stroke['id'])
            ->assertJsonPath('operations.0.body', $stroke['body']);
    }

    public function test_a_page_begins_with_its_canvas_and_nothing_on_it_ends_the_element_that_holds_it(): void
    {
        [$seat, $token] = $this->seat($this->newSession());
        $text = '</script><script>alert("<!--")</script>';
        $this->appendAs($seat, $token, [
            'body' => [
                'object' => [
                    'type' => 'text',
                    'x' => 100,
                    'y' => 100,
                    'text' => $text,
                    'size' => 280,
                    'colour' => '#25323b',
                ],
            ],
        ] + $this->stroke())->assertJsonCount(1, 'accepted');
        $page = (string) $this->asStudent($seat, $token)->get("/seat/{$seat->id}")->assertOk()->getContent();
        self::assertStringNotContainsString('<script>alert', $page);
        self::assertSame(1, preg_match('#<script id="opening" type="application/json">(.*?)</script>#s', $page, $found));
        $opening = (array) json_decode($found[1] ?? '', true);
        self::assertSame($text, $opening['operations'][0]['body']['object']['text']);
        $asked = (array) $this->getJson("/seat/{$seat->id}/canvas")->json();
        self::assertEquals(array_diff_key($asked, ['clock' => 1]), array_diff_key($opening, ['clock' => 1]));
        self::assertIsInt($opening['clock']);
    }

    public function test_sending_it_again_stores_nothing_twice_and_gives_the_same_answer(): void
    {
        [$seat, $token] = $this->seat($this->newSession());
        $canvas = $this->canvasOf($seat);
        $batch = ['canvas' => $canvas->id, 'operations' => [$this->stroke(), $this->stroke()]];
        $first = $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/operations", $batch)
            ->json();
        self::assertSame($first, $this->postJson("/seat/{$seat->id}/operations", $batch)->json());
        self::assertSame(2, LoggedOperation::query()->count());
        self::assertCount(1, $this->published->on("seat.{$seat->id}"));
    }

    public function test_a_bad_operation_is_refused_with_its_reason_and_the_good_ones_are_kept(): void
    {
        [$seat, $token] = $this->seat($this->newSession());
        $good = $this->stroke();
        $unreadable = ['id' => 'unreadable-one', 'kind' => 'explode'] + $this->stroke();
        $forbidden =
            ['id' => 'rub-a-ghost-out', 'kind' => 'remove', 'body' => ['targets' => ['nobody-made-this']]] +
            $this->stroke();
        $this->appendAs($seat, $token, $unreadable, $good, $forbidden, 'nonsense', null)
            ->assertOk()
            ->assertJsonPath('accepted', [['id' => $good['id'], 'n' => 1]])
            ->assertJsonPath('refused.0.id', 'unreadable-one')
            ->assertJsonPath('refused.3.reason', 'What you changed isn’t on this canvas any more.')
            ->assertJsonCount(4, 'refused');
        self::assertSame(1, LoggedOperation::query()->count());
    }

    public function test_work_that_would_fill_the_disk_is_refused_with_its_reason(): void
    {
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session);
        $fat = $this->heavy(450);
        self::assertGreaterThan(ByteBudget::OPERATION, strlen((string) json_encode($fat['body'])));
        $good = $this->stroke();
        $this->appendAs($seat, $token, $fat, $good)
            ->assertOk()
            ->assertJsonPath('accepted.0.id', $good['id'])
            ->assertJsonPath('refused.0.reason', 'That’s too much at once: one step can have up to 2 MB.');
        $canvas = $this->canvasOf($seat);
        $stored = (int) DB::table('operations')->pluck('body')->sum(strlen(...));
        self::assertSame([$stored, $stored], [$canvas->byte_count, $session->refresh()->byte_count]);

        $canvas->update(['byte_count' => ByteBudget::CANVAS - 50]);
        $this->appendAs($seat, $token, $this->stroke())->assertJsonPath(
            'refused.0.reason',
            'This page is full: it has 12 MB of work.',
        );
        // Another of the student's canvases is full; this one is not.
        $canvas->update(['byte_count' => $stored]);
        $other = $session->prompts()->create(['n' => 2, 'words' => '', 'backdrop' => Backdrop::blank()]);
        Canvas::query()->create([
            'prompt_id' => $other->id,
            'seat_id' => $seat->id,
            'live_session_id' => $session->id,
            'byte_count' => ByteBudget::SEAT - 50,
        ]);
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/operations", ['canvas' => $canvas->id, 'operations' => [$this->stroke()]])
            ->assertJsonPath(
                'refused.0.reason',
                'You’ve no room left in this session: one student can have up to 32 MB.',
            );
        [$mate, $mates] = $this->seat($session, 'Mate');
        $this->appendAs($mate, $mates, $this->stroke())->assertJsonCount(1, 'accepted');
        $session->update(['byte_count' => ByteBudget::SESSION - 50]);
        $this->appendAs($mate, $mates, $this->stroke())->assertJsonPath(
            'refused.0.reason',
            'This session is full: it has 512 MB of work. Tell your teacher.',
        );
    }

    public function test_catching_up_comes_in_portions_and_what_is_large_is_only_told_of(): void
    {
        $session = $this->newSession();
        [$seat, $token] = $this->seat($session);
        for ($i = 0; $i < 3; $i++) {
            $this->appendAs($seat, $token, $this->heavy(150), $this->stroke())->assertJsonCount(2, 'accepted');
        }
        self::assertSame(
            array_fill(0, 3, '{"stream":"operations","operations":[],"ask":true}'),
            array_values(
                array_filter(
                    $this->published->on("desk.{$session->id}"),
                    static fn (string $one): bool => str_contains($one, '"operations":['),
                ),
            ),
        );
        $canvas = $this->canvasOf($seat)->id;
        foreach (["/desk/{$session->id}/catch-up?", "/seat/{$seat->id}/catch-up?canvas={$canvas}&"] as $address) {
            if (str_starts_with($address, '/desk')) {
                $this->asTeacher();
            } else {
                $this->asStudent($seat, $token);
            }
            $n = $rounds = 0;
            do {
                $answer = $this->getJson("{$address}operations={$n}")->assertOk();
                $got = array_column((array) $answer->json('operations'), 'n');
                self::assertSame(range($n + 1, $n + count($got)), $got);
                $n += count($got);
                $rounds++;
            } while ($answer->json('more') === true);
            self::assertSame([6, 2], [$n, $rounds]);
        }
    }

    /** @return array<string, mixed> an operation that brings in so many strokes of some 5 kB each */
    private function heavy(int $strokes): array
    {
        $samples = array_map(
            static fn (int $i): array => [1000 + (($i * 7) % 8000), 1000 + (($i * 13) % 8000), 128, $i * 8],
            range(0, 1199),
        );
        $stroke = ['type' => 'stroke', 'colour' => '#25323b', 'width' => 40, 'ink' => Ink::of($samples)->encode()];

        return ['body' => ['objects' => array_fill(0, $strokes, ['object' => $stroke])]] + $this->stroke();
    }

    public function test_an_operation_may_refer_to_one_before_it_in_the_same_batch(): void
    {
        [$seat, $token] = $this->seat($this->newSession());
        $stroke = $this->stroke();
        $undo =
            ['id' => 'take-it-back-now', 'kind' => 'withdraw', 'body' => ['target' => $stroke['id']]] + $this->stroke();
        $this->appendAs($seat, $token, $stroke, $undo)->assertJsonCount(2, 'accepted');
        self::assertTrue($this->canvasOf($seat)->scene()->isEmpty());
    }

    public function test_operations_are_numbered_through_the_canvas_and_through_the_session(): void
    {
        $session = $this->newSession();
        [$one, $tokenOne] = $this->seat($session, 'One');
        [$two, $tokenTwo] = $this->seat($session, 'Two');
        foreach ([[$one, $tokenOne], [$two, $tokenTwo], [$one, $tokenOne]] as [$seat, $token]) {
            $this->appendAs($seat, $token, $this->stroke())->assertOk();
        }
        self::assertSame(
            [[1, 1], [1, 2], [2, 3]],
            LoggedOperation::query()->orderBy('id')->get()->map(fn ($row) => [$row->n, $row->session_n])->all(),
        );
    }

    public function test_what_a_page_missed_is_told_by_number(): void
    {
        [$seat, $token] = $this->seat($session = $this->newSession());
        $canvas = $this->canvasOf($seat);
        $strokes = [$this->stroke(), $this->stroke(), $this->stroke()];
        $this->asStudent($seat, $token)->postJson("/seat/{$seat->id}/operations", [
            'canvas' => $canvas->id,
            'operations' => $strokes,
        ]);
        $this->getJson("/seat/{$seat->id}/catch-up?canvas={$canvas->id}&operations=2&room=0&seat=0")
            ->assertJsonCount(1, 'operations')
            ->assertJsonPath('operations.0.id', $strokes[2]['id'])
            ->assertJsonPath('events.room', []);
        app(EndSession::class)($session);
        $this->getJson("/seat/{$seat->id}/catch-up?canvas={$canvas->id}&operations=3&room=0&seat=0")->assertJsonPath(
            'events.room.0.type',
            'ended',
        );
        $this->asTeacher()
            ->getJson("/desk/{$session->id}/catch-up?operations=1&room=0&desk=0")
            ->assertJsonCount(2, 'operations')
            ->assertJsonPath('events.desk.0.type', 'seat');
    }

    public function test_a_request_that_is_no_batch_changes_nothing(): void
    {
        [$seat, $token] = $this->seat($this->newSession());
        $canvas = $this->canvasOf($seat)->id;
        $this->asStudent($seat, $token);
        $this->postJson("/seat/{$seat->id}/operations", [
            'canvas' => $canvas,
            'operations' => 'x',
        ])->assertUnprocessable();
        $this->postJson("/seat/{$seat->id}/operations", [
            'canvas' => $canvas,
            'operations' => array_fill(0, 101, $this->stroke()),
        ])->assertUnprocessable();
        $this->postJson("/seat/{$seat->id}/operations", [
            'canvas' => 'none',
            'operations' => [$this->stroke()],
        ])->assertNotFound();
        $this->post("/seat/{$seat->id}/operations", [
            'canvas' => $canvas,
            'operations' => [$this->stroke()],
        ])->assertForbidden();
        $this->postJson(
            "/seat/{$seat->id}/operations",
            ['canvas' => $canvas, 'operations' => [$this->stroke()]],
            ['Sec-Fetch-Site' => 'cross-site'],
        )->assertForbidden();
        foreach (
            [
                ['Origin' => 'http://localhost:8443'],
                ['Origin' => 'http://elsewhere.test'],
                ['Content-Type' => 'text/plain;a=/json'],
                ['Content-Type' => 'text/plain'],
            ] as $headers
        ) {
            $this->postJson(
                "/seat/{$seat->id}/operations",
                ['canvas' => $canvas, 'operations' => [$this->stroke()]],
                $headers,
            )->assertForbidden();
        }
        $this->postJson(
            "/seat/{$seat->id}/operations",
            ['canvas' => $canvas, 'operations' => [$this->stroke()]],
            ['Origin' => 'http://elsewhere.test'],
        )->assertForbidden();
        self::assertSame(0, LoggedOperation::query()->count());
        $this->postJson(
            "/seat/{$seat->id}/operations",
            ['canvas' => $canvas, 'operations' => [$this->stroke()]],
            ['Origin' => 'http://localhost', 'Content-Type' => 'application/json; charset=utf-8'],
        )->assertOk();
    }

    public function test_ink_that_was_drawn_before_the_end_still_arrives_for_ten_minutes(): void
    {
        [$seat, $token] = $this->seat($session = $this->newSession());
        $batch = fn (): array => ['canvas' => $this->canvasOf($seat)->id, 'operations' => [$this->stroke()]];
        app(EndSession::class)($session);
        $this->travel(9)->minutes();
        $this->asStudent($seat, $token)
            ->postJson("/seat/{$seat->id}/operations", $batch())
            ->assertOk();
        $this->travel(2)->minutes();
        $this->postJson("/seat/{$seat->id}/operations", $batch())->assertGone();
        self::assertSame(1, LoggedOperation::query()->count());
    }
}
