<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Models\LiveSession;
use App\Models\Seat;
use App\Records\Results;
use App\Sessions\Work\ChangeTray;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\TrayInForce;
use Crag\Canvas\Object\Manipulative;
use Crag\Plan\PromptPages;
use Crag\Prompt\Tray\Tool;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\CragTestCase;

/** Pieces with a state: prepared, handed out, worked, asked for. */
final class PiecesTest extends CragTestCase
{
    private LiveSession $session;

    protected function setUp(): void
    {
        parent::setUp();
        $this->session = $this->newSession();
        $this->session->prompt()->firstOrFail()->update([
            'words' => 'Shade {a: 2..4}/{b: 5..9} of the bar.',
            'details' => ['questions' => [[
                'id' => 'shade',
                'kind' => 'state',
                'words' => 'On the bar',
                'spot' => null,
                'piece' => 'fraction_bar',
                'fact' => 'shaded',
                'right' => '{a}/{b}',
            ]]],
            'pages' => PromptPages::read([['backdrop' => ['kind' => 'blank'], 'objects' => [['object' => [
                'type' => 'manipulative',
                'kind' => 'fraction_bar',
                'x' => 1000,
                'y' => 1000,
                'settings' => ['parts' => '{b}'],
            ]]]]]),
        ]);
    }

    public function test_each_student_is_given_their_own_and_works_it_whatever_the_tray_holds(): void
    {
        app(ChangeTray::class)->ofSession($this->session, ToolTray::of(TrayKind::Custom, [Tool::Pen]));
        [$ada, $adas] = $this->seat($this->session, 'Ada');
        [$bo] = $this->seat($this->session, 'Bo');
        $own = [$this->values($ada), $this->values($bo)];
        foreach ([$ada, $bo] as $i => $seat) {
            [$id, $bar] = $this->bar($seat);
            self::assertSame([$own[$i][1]], $bar->state->list('parts'));
            self::assertSame(Layer::Pieces, $this->canvasOf($seat)->scene()->placed[$id]->layer);
        }
        [$id] = $this->bar($ada);
        $answer = $this->work($ada, $adas, $id, ['part' => 'cell', 'n' => 0], ['part' => 'cell', 'n' => 2]);
        self::assertCount(2, $answer->json('accepted'));
        self::assertSame("2/{$own[0][1]} shaded", (string) $this->bar($ada)[1]->says());
        // Undone like anything else of theirs.
        $last = $answer->json('accepted.1.id');
        $undone = $this->appendAs($ada, $adas, ['kind' => 'withdraw', 'body' => ['target' => $last]] + $this->stroke('undone-again'));
        self::assertSame([], $undone->json('refused'));
        self::assertSame("1/{$own[0][1]} shaded", (string) $this->bar($ada)[1]->says());
    }

    public function test_what_was_handed_out_keeps_its_settings_and_its_place_in_the_prompt(): void
    {
        [$ada, $adas] = $this->seat($this->session, 'Ada');
        [$id, $before] = $this->bar($ada);
        $change = fn (array $set, string $name): array => ['kind' => 'change', 'body' => ['target' => $id, 'set' => $set]] +
            $this->stroke($name);
        $answer = $this->appendAs(
            $ada,
            $adas,
            $change(['settings' => ['parts' => 2]], 'other-settings'),
            $change(['free' => true], 'sets-free'),
            $change(['x' => 5], 'pushes-it'),
            $change(['act' => ['part' => 'cell', 'n' => 'many']], 'no-number'),
            $change(['act' => 'press'], 'no-act-at-all'),
            $change(['act' => ['part' => 'nothing', 'n' => 4000]], 'means-nothing'),
        );
        self::assertEqualsCanonicalizing(
            ['other-settings', 'means-nothing'],
            array_column($answer->json('accepted'), 'id'),
        );
        self::assertEquals($before, $this->bar($ada)[1]);
    }

    public function test_it_is_handed_out_from_the_lead_canvas_as_it_is(): void
    {
        [$ada, $adas] = $this->seat($this->session, 'Ada');
        $this->bar($ada);
        $clock = ['type' => 'manipulative', 'kind' => 'clock', 'x' => 500, 'y' => 500, 'settings' => [], 'free' => true];
        $this->asTeacher()->postJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/hand-out", [
            'what' => 'pieces',
            'mode' => 'pieces',
            'page' => 0,
            'objects' => [['object' => $clock]],
        ])->assertOk();
        $placed = $this->canvasOf($ada)->refresh()->scene()->placed;
        $id = (string) array_key_last($placed);
        self::assertSame(Layer::Pieces, $placed[$id]->layer);
        // Its settings are free: the student may set it anew.
        $answer = $this->appendAs($ada, $adas, ['kind' => 'change', 'body' => [
            'target' => $id,
            'set' => ['settings' => ['hours' => 3, 'minutes' => 20, 'figures' => 0]],
        ]] + $this->stroke());
        self::assertCount(1, $answer->json('accepted'));
        $object = $this->canvasOf($ada)->refresh()->scene()->placed[$id]->object;
        self::assertSame('Clock at 3:20', $object instanceof Manipulative ? (string) $object->says() : '');
    }

    public function test_nobody_works_the_piece_of_another(): void
    {
        [$ada] = $this->seat($this->session, 'Ada');
        [$bo, $bos] = $this->seat($this->session, 'Bo');
        [$id] = $this->bar($ada);
        $operation = ['kind' => 'change', 'body' => ['target' => $id, 'set' => ['act' => ['part' => 'cell', 'n' => 0]]]];
        $this->asStudent($bo, $bos)
            ->postJson("/seat/{$ada->id}/operations", [
                'canvas' => $this->canvasOf($ada)->id,
                'operations' => [$operation + $this->stroke('as-another')],
            ])
            ->assertForbidden();
        $this->appendAs($bo, $bos, $operation + $this->stroke('from-afar'))->assertJsonCount(1, 'refused');
        self::assertFalse($this->bar($ada)[1]->isWorked());
    }

    public function test_what_it_shows_is_the_answer_on_the_grid_in_proposals_and_in_the_record(): void
    {
        [$ada, $adas] = $this->seat($this->session, 'Ada');
        [$bo, $bos] = $this->seat($this->session, 'Bo');
        [$cy] = $this->seat($this->session, 'Cy');
        $this->bar($cy);
        [$a, $b] = $this->values($ada);
        $this->work($ada, $adas, $this->bar($ada)[0], ...array_map(
            static fn (int $n): array => ['part' => 'cell', 'n' => $n],
            range(0, $a - 1),
        ));
        $this->work($bo, $bos, $this->bar($bo)[0], ['part' => 'cell', 'n' => 0]);
        $states = $this->asTeacher()
            ->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/states?looks=1")
            ->assertOk()
            ->assertJsonPath('asksPieces', true);
        $answers = array_column($states->json('answers'), null, 'outcome');
        self::assertSame([$ada->id], $answers['right']['seats']);
        self::assertSame("{$a}/{$b}", $answers['right']['written']);
        self::assertSame([$bo->id], $answers['wrong']['seats']);
        self::assertStringContainsString("{$a}/{$b}", Results::of($this->session)->csv('answers'));
        $this->get("/desk/{$this->session->id}/canvas/{$this->canvasOf($ada)->id}/answers")
            ->assertOk()
            ->assertSee("{$a}/{$b}");
        // No student's page is told what is right.
        $page = (string) $this->asStudent($bo, $bos)->getJson("/seat/{$bo->id}/canvas")->assertOk()->getContent();
        self::assertStringContainsString('"kind":"state"', $page);
        self::assertStringNotContainsString('"right"', $page);
    }

    public function test_a_graph_that_is_asked_for_is_found_among_what_is_plotted(): void
    {
        $axes = ['x' => 8000, 'y' => 5000, 'across' => 50_000, 'up' => 50_000];
        $this->session->prompt()->firstOrFail()->update(['details' => ['questions' => [[
            'id' => 'line',
            'kind' => 'graph',
            'words' => 'Through (0, −1) with slope 2',
            'spot' => null,
            'right' => 'y = 2x − 1',
        ]]]]);
        $this->session->update(['tray' => TrayInForce::always(ToolTray::of(TrayKind::Maths))]);
        [$ada, $adas] = $this->seat($this->session, 'Ada');
        [$bo, $bos] = $this->seat($this->session, 'Bo');
        $plot = fn (Seat $seat, string $token, array ...$elements): TestResponse => $this->appendAs($seat, $token, [
            'kind' => 'add',
            'body' => ['object' => [
                'type' => 'construction',
                'elements' => $elements,
                'colour' => '#25323b',
                'width' => 40,
                'scale' => $axes,
            ]],
        ] + $this->stroke());
        $point = static fn (string $id, int $x, int $y): array => ['id' => $id, 'kind' => 'point', 'x' => $x, 'y' => $y];
        $graph = static fn (string $source): array => ['id' => $source === '' ? 'h' : 'g'] +
            ['kind' => 'graph', 'source' => $source, 'pieces' => [[0, 0, 100, 100]]];
        // One constructs it, and plots something else after it; the other plots another line.
        $plot(
            $ada,
            $adas,
            $point('A', 8000, 5500),
            $point('B', 9000, 3500),
            ['id' => 's', 'kind' => 'line', 'of' => ['A', 'B']],
            $graph('y = x²'),
        )->assertJsonCount(1, 'accepted');
        $plot($bo, $bos, $graph('y = 2x + 1'))->assertJsonCount(1, 'accepted');
        $answers = array_column(
            $this->asTeacher()
                ->getJson("/desk/{$this->session->id}/prompt/{$this->session->prompt_id}/states?looks=1")
                ->assertOk()
                ->json('answers'),
            null,
            'outcome',
        );
        self::assertSame(['y ≈ 2x − 1', [$ada->id]], [$answers['right']['written'], $answers['right']['seats']]);
        self::assertSame(['y = 2x + 1', [$bo->id]], [$answers['wrong']['written'], $answers['wrong']['seats']]);
    }

    public function test_a_piece_is_asked_for_on_canvases_alone(): void
    {
        $this->asTeacher()->postJson("/desk/{$this->session->id}/asks", ['question' => [
            'kind' => 'state', 'words' => 'Now?', 'piece' => 'clock', 'fact' => 'time', 'right' => '',
        ]])->assertUnprocessable();
    }

    /** @return array{int, int} the two values that a student has */
    private function values(Seat $seat): array
    {
        $words = $this->session->prompt()->firstOrFail()->forSeat($seat)->words;
        self::assertSame(1, preg_match('~(\d)/(\d)~', $words, $found), $words);

        return [(int) $found[1], (int) $found[2]];
    }

    /** @return array{string, Manipulative} */
    private function bar(Seat $seat): array
    {
        $placed = $this->canvasOf($seat)->refresh()->scene()->placed;
        $id = (string) array_key_first($placed);
        $object = $placed[$id]->object;
        self::assertInstanceOf(Manipulative::class, $object);

        return [$id, $object];
    }

    /**
     * @param  array<string, int|string>  ...$acts
     * @return TestResponse<Response>
     */
    private function work(Seat $seat, string $token, string $id, array ...$acts): TestResponse
    {
        return $this->appendAs($seat, $token, ...array_map(
            fn (array $act): array => ['kind' => 'change', 'body' => ['target' => $id, 'set' => ['act' => $act]]] +
                $this->stroke((string) Str::ulid()),
            array_values($acts),
        ));
    }
}
