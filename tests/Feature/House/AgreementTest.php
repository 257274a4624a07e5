<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Fit\FitShape;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\History;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Object\ReadObject;
use Crag\Canvas\Scene;
use Crag\Construct\Construction;
use Crag\Construct\Figure\Label;
use Crag\Construct\Scale;
use Crag\Construct\Written;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Manipulative\Act;
use Crag\Manipulative\ManipulativeKind;
use Crag\Plan\Task\DoneTasks;
use Crag\Plan\Task\Task;
use Crag\Plan\Task\TaskKind;
use Crag\Tests\Canvas\DrawnShapes;
use Crag\Tests\Canvas\Logs;
use Crag\Tests\Canvas\RandomLog;
use Crag\Tests\Construct\Sketch;
use Crag\Tests\Manipulative\Hands;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The browser's code and the core make the same of the same logs and the same ink. */
final class AgreementTest extends TestCase
{
    /** Where they cross, and how long one is. */
    private const AXES = ['x' => 5000, 'y' => 5000, 'across' => 50_000, 'up' => 40_000];

    public function test_random_logs_fold_to_the_same_scene_and_the_same_next_undo(): void
    {
        $logs = array_map(self::randomLog(...), range(1, 80));
        $browser = self::ask(array_map(static fn (array $log): array => ['log' => self::wire($log)], $logs));
        foreach ($logs as $i => $log) {
            $history = History::of($log, Author::seat(Logs::SEAT), Layer::Student);
            $core = ['scene' => Scene::fold($log)->toArray(), 'undo' => $history->undo(), 'redo' => $history->redo()];
            self::assertEquals(self::json($core), $browser[$i], "log {$i}");
        }
    }

    public function test_kept_scenes_go_on_alike_and_both_know_when_they_cannot(): void
    {
        $cases = $expected = [];
        for ($seed = 1; $seed <= 60; $seed++) {
            $log = self::randomLog($seed);
            $cut = mt_rand(1, count($log) - 1);
            $kept = Scene::fold(array_slice($log, 0, $cut));
            $cases[] = ['kept' => $kept->toArray(), 'log' => self::wire(array_slice($log, $cut))];
            $expected[] = self::json($kept->and(array_slice($log, $cut))?->toArray());
        }
        $browser = self::ask($cases);
        self::assertContains(null, $expected);
        foreach ($expected as $i => $scene) {
            self::assertEquals($scene, $browser[$i]['scene'], "log {$i}");
        }
    }

    public function test_constructions_are_worked_out_and_changed_alike(): void
    {
        $cases = $constructions = [];
        for ($seed = 1; $seed <= 60; $seed++) {
            $elements = Sketch::random($seed);
            $last = $elements[count($elements) - 1];
            $sets = [
                ['put' => [['id' => 'new', 'kind' => 'midpoint', 'of' => ['e0', 'e1']]]],
                ['put' => [['id' => 'new', 'kind' => 'midpoint', 'of' => ['e0', 'nobody']]]],
                ['put' => [['id' => 'e0', 'kind' => 'point', 'x' => 77, 'y' => 88], $last]],
                ['drop' => 'e1'],
            ];
            $cases[] = [
                'construction' => $elements,
                'set' => $sets[$seed % 4],
                'scale' => $seed % 2 === 1 ? null : self::AXES,
            ];
            $constructions[] = Construction::read(new Fields(['elements' => $elements]));
        }
        foreach (self::ask($cases) as $i => $browser) {
            // Every other one lies on axes.
            $scale = $i % 2 === 0 ? Scale::centimetres() : Scale::read(new Fields(self::AXES));
            $figures = $constructions[$i]->figures($scale);
            self::assertSame(array_map(strval(...), array_keys($figures)), array_column($browser['figures'], 'id'));
            foreach ($browser['figures'] as ['id' => $id, 'figure' => $figure]) {
                $kind = $constructions[$i]->elements[$id]->kind->value;
                self::assertSame($figures[$id] === null, $figure === null, "{$kind} of construction {$i}");
                self::assertEqualsWithDelta(
                    self::flat(json_decode((string) json_encode($figures[$id]), true)),
                    self::flat($figure),
                    1e-3,
                    "{$kind} of construction {$i}",
                );
            }
            $object = ReadObject::from(new Fields([
                'type' => 'construction',
                'elements' => $cases[$i]['construction'],
                'colour' => '#25323b',
                'width' => 40,
            ]));
            try {
                $object = ReadObject::with($object, $cases[$i]['set']);
            } catch (UnreadableFields) {
                // As it was.
            }
            self::assertEquals($object->toArray()['elements'], $browser['after']);
            $labels = array_filter($figures, static fn (mixed $one): bool => $one instanceof Label);
            self::assertSame(
                array_values(
                    array_map(static fn (Label $one): string => Written::label($one, $scale), $labels),
                ),
                $browser['labels'],
            );
        }
    }

    public function test_manipulatives_are_worked_drawn_and_said_alike(): void
    {
        $cases = $objects = [];
        foreach (ManipulativeKind::cases() as $kind) {
            for ($seed = 1; $seed <= 6; $seed++) {
                mt_srand($seed);
                $object = Hands::on($kind, $seed === 1 ? [] : Hands::settings($kind));
                $sets = array_map(
                    static fn (Act $act): array => ['act' => $act->toArray()],
                    Hands::random($object, 25),
                );
                $sets[] = ['settings' => Hands::settings($kind)];
                $objects[] = $object;
                $cases[] = ['manipulative' => $object->toArray(), 'sets' => $sets];
            }
        }
        /** @var list<list<array<string, mixed>>> $answers for each case what was there after each step */
        $answers = self::ask($cases);
        foreach ($answers as $i => $browser) {
            $object = $objects[$i];
            foreach ($cases[$i]['sets'] as $n => $set) {
                $object = $object->with(ReadObject::settings(new Fields($set)));
                $what = "{$object->kind->value}, case {$i}, step {$n}: ".json_encode($set);
                $sketch = $object->sketch();
                self::assertEquals(self::json($object->toArray()), $browser[$n]['object'], $what);
                self::assertSame([$sketch->width, $sketch->height], $browser[$n]['size'], $what);
                self::assertEquals(self::json($object->says()), $browser[$n]['says'], $what);
                self::assertSameSketch(self::json($sketch->shapes), $browser[$n]['shapes'], $what);
                self::assertSameSketch(self::json($sketch->parts), $browser[$n]['parts'], $what);
            }
        }
    }

    /**
     * The same words in the same order, and places that differ by no more than the last digit of a sine.
     *
     * @param  list<array<string, mixed>>  $core
     * @param  list<array<string, mixed>>  $browser
     */
    private static function assertSameSketch(array $core, array $browser, string $what): void
    {
        self::assertCount(count($core), $browser, $what);
        foreach ($core as $i => $one) {
            $places = isset($one['at']) ? 'at' : 'outline';
            self::assertEqualsWithDelta($one[$places], $browser[$i][$places], 0.11, $what);
            unset($one[$places], $browser[$i][$places]);
            self::assertEquals($one, $browser[$i], $what);
        }
    }

    /** @return list<float> every number in it, whatever it is called, smallest first */
    private static function flat(mixed $figure): array
    {
        $numbers = [];
        $all = [$figure];
        array_walk_recursive($all, static function (mixed $one) use (&$numbers): void {
            if (is_int($one) || is_float($one)) {
                $numbers[] = round((float) $one, 4);
            }
        });
        sort($numbers);

        return $numbers;
    }

    public function test_the_same_tasks_are_done(): void
    {
        $tasks = [];
        foreach (TaskKind::cases() as $kind) {
            foreach ($kind->takesWord() ? ['N', 'm/s (up)', 'é'] : [''] as $with) {
                $tasks[] = Task::read(new Fields(['do' => $kind->value, 'with' => $with]));
            }
        }
        $told = array_map(static fn (Task $task): array => ['words' => '', 'test' => $task->test()], $tasks);
        $logs = array_map(self::randomLog(...), range(1, 60));
        foreach (['80 N', '80 Nm', '7 M/S (UP)', 'm/s up', 'É'] as $i => $words) {
            $logs[] = [...$logs[0], Logs::text("typed{$i}", $words)];
        }
        $cases = [];
        foreach ($logs as $i => $log) {
            $facts = ['hand' => $i % 2 === 0, 'send' => $i % 3 === 0];
            $cases[] = ['log' => self::wire($log), 'tasks' => $told, 'facts' => $facts];
        }
        $seen = [];
        foreach (self::ask($cases) as $i => $browser) {
            $core = DoneTasks::of($tasks, Scene::fold($logs[$i]), $i % 2 === 0, $i % 3 === 0)->done;
            self::assertSame($core, $browser, "log {$i}");
            foreach ($core as $n => $isDone) {
                $seen[$n][(int) $isDone] = true;
            }
        }
        $both = array_filter($seen, static fn (array $one): bool => count($one) === 2);
        self::assertGreaterThan(count($tasks) / 2, count($both), 'most tasks are done in some logs and not in others');
    }

    public function test_ink_is_written_alike(): void
    {
        mt_srand(11);
        $inks = [];
        for ($i = 0; $i < 60; $i++) {
            $ms = 0;
            $inks[] = array_map(static function () use (&$ms): array {
                return [mt_rand(-2000, 18000), mt_rand(-2000, 12000), mt_rand(0, 255), ($ms += mt_rand(0, 300))];
            }, range(1, mt_rand(1, 80)));
        }
        foreach (self::ask(array_map(static fn (array $ink): array => ['ink' => $ink], $inks)) as $i => $answer) {
            self::assertSame(Ink::of($inks[$i])->encode(), $answer['text']);
            self::assertSame($inks[$i], $answer['back']);
            self::assertSame($inks[$i], Ink::decode($answer['text'])->samples());
        }
    }

    /** Sines and roots may differ in their last digit, and so a position by a tenth of a unit. */
    public function test_strokes_are_meant_as_the_same_shapes(): void
    {
        $drawn = array_values(DrawnShapes::all());
        $browser = self::ask(array_map(static fn (array $one): array => ['drawn' => $one['samples']], $drawn));
        foreach ($drawn as $i => $one) {
            $core = FitShape::to($one['samples']);
            self::assertSame($core?->kind, $browser[$i]['kind'] ?? null, "shape {$i}");
            $numbers = static fn (array $object): array => array_filter($object, is_int(...)) + ($object['points'] ?? []);
            self::assertEqualsWithDelta($numbers($core->object ?? []), $numbers($browser[$i]['object'] ?? []), 1.0);
            self::assertEqualsWithDelta($core?->place, $browser[$i]['place'] ?? null, 1.0);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $cases
     * @return list<array<string, mixed>>
     */
    private static function ask(array $cases): array
    {
        $root = dirname(__DIR__, 3);
        $node = new Process(['node', "{$root}/storage/setup/ts-tests/agree.mjs"], input: (string) json_encode($cases));
        $node->mustRun();

        return json_decode($node->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }

    private static function json(mixed $value): mixed
    {
        return json_decode((string) json_encode($value), true);
    }

    /**
     * @param  list<Operation>  $log
     * @return list<array<string, mixed>>
     */
    private static function wire(array $log): array
    {
        return array_map(static fn (Operation $operation): array => $operation->toArray(), $log);
    }

    /** @return list<Operation> what a student does, the teacher's hand-outs and pieces among it, some of it twice */
    private static function randomLog(int $seed): array
    {
        $log = [];
        foreach (RandomLog::of($seed, 60) as $i => $operation) {
            $log[] = $operation;
            $dice = mt_rand(1, 14);
            if ($dice === 1) {
                $log[] = $log[array_rand($log)];
            } elseif ($dice === 2) {
                $log[] = Logs::operation(
                    "teacher-{$i}",
                    'backdrop',
                    [
                        'backdrop' => [
                            'kind' => ['blank', 'squared', 'lined', 'picture'][mt_rand(0, 3)],
                            'asset' => 'abc',
                        ] + [[], ['paper' => '1000x1600'], ['paper' => '1064x1504']][mt_rand(0, 2)],
                    ],
                    null,
                );
            } elseif ($dice === 3) {
                $log[] = Logs::piece("piece-{$i}", ['stack' => mt_rand(0, 1) === 1]);
                $log[] = Logs::operation("moved-{$i}", 'arrange', [
                    'targets' => [Logs::id("piece-{$i}")],
                    'places' => [[mt_rand(0, 900), 0, 0, 10_000]],
                ]);
            } elseif ($dice === 4) {
                $log[] = Logs::operation(
                    "lock-{$i}",
                    'arrange',
                    ['targets' => [$operation->id->value], 'lock' => true],
                    null,
                );
            }
        }

        return $log;
    }
}
