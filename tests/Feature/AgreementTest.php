<?php

declare(strict_types=1);

namespace Tests\Feature;

use Crag\Canvas\Author;
use Crag\Canvas\History;
use Crag\Canvas\Ink;
use Crag\Canvas\Layer;
use Crag\Canvas\Operation;
use Crag\Canvas\Scene;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The browser's code and the core make the same of the same logs and the same ink. */
final class AgreementTest extends TestCase
{
    private const SEAT = 'the-seat';

    public function test_random_logs_fold_to_the_same_scene_and_the_same_next_undo(): void
    {
        $logs = array_map(self::randomLog(...), range(1, 60));
        $browser = self::ask(array_map(static fn (array $log): array => ['log' => array_map(self::wire(...), $log)], $logs));
        foreach ($logs as $i => $log) {
            $history = History::of($log, Author::seat(self::SEAT), Layer::Student);
            $core = Scene::fold($log)->toArray() + ['undo' => $history->undo(), 'redo' => $history->redo()];
            self::assertEquals(json_decode((string) json_encode($core), true), $browser[$i], "log {$i}");
        }
    }

    public function test_ink_is_written_alike(): void
    {
        mt_srand(11);
        $inks = [];
        for ($i = 0; $i < 60; $i++) {
            $ms = 0;
            $inks[] = array_map(static function () use (&$ms): array {
                return [mt_rand(-2000, 18000), mt_rand(-2000, 12000), mt_rand(0, 255), $ms += mt_rand(0, 300)];
            }, range(1, mt_rand(1, 80)));
        }
        foreach (self::ask(array_map(static fn (array $ink): array => ['ink' => $ink], $inks)) as $i => $answer) {
            self::assertSame(Ink::of($inks[$i])->encode(), $answer['text']);
            self::assertSame($inks[$i], $answer['back']);
            self::assertSame($inks[$i], Ink::decode($answer['text'])->samples);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $cases
     * @return list<array<string, mixed>>
     */
    private static function ask(array $cases): array
    {
        $root = dirname(__DIR__, 2);
        $node = new Process(['node', "{$root}/storage/setup/ts-tests/agree.mjs"], input: (string) json_encode($cases));
        $node->mustRun();

        return json_decode($node->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return array<string, mixed> */
    private static function wire(Operation $operation): array
    {
        return $operation->toArray() + ['mine' => $operation->author->seat !== null];
    }

    /** @return list<Operation> what a student and a teacher might do, undo and redo among it, some of it twice */
    private static function randomLog(int $seed): array
    {
        mt_srand($seed);
        $log = [];
        $ids = [];
        for ($i = 0; $i < 70; $i++) {
            $id = sprintf('operation-%03d', $i);
            $any = $ids === [] ? null : $ids[array_rand($ids)];
            [$kind, $body, $teacher] = match (true) {
                $any === null || mt_rand(1, 10) > 6 => ['add', ['object' => self::object($i)], mt_rand(1, 8) === 1],
                default => self::change($any),
            };
            if ($kind === 'add') {
                $ids[] = $id;
            }
            $json = ['id' => $id, 'kind' => $kind, 'layer' => $teacher ? 'lead' : 'student', 'at' => $i, 'body' => $body];
            $log[] = Operation::read($json, $teacher ? Author::teacher() : Author::seat(self::SEAT));
            if (mt_rand(1, 12) === 1) {
                $log[] = $log[array_rand($log)];
            }
        }

        return $log;
    }

    /** @return array{string, array<string, mixed>, bool} */
    private static function change(string $target): array
    {
        return match (mt_rand(1, 6)) {
            1 => ['remove', ['targets' => [$target]], false],
            2 => ['change', ['target' => $target, 'set' => ['text' => 'changed '.mt_rand(1, 99)]], false],
            3, 4 => ['withdraw', ['target' => $target], false],
            5 => ['reinstate', ['target' => $target], false],
            default => mt_rand(0, 1) === 1
                ? ['clear', [], false]
                : ['backdrop', ['backdrop' => ['kind' => ['blank', 'squared', 'lined'][mt_rand(0, 2)]]], true],
        };
    }

    /** @return array<string, mixed> */
    private static function object(int $i): array
    {
        return $i % 3 === 0
            ? ['type' => 'text', 'x' => 10 * $i, 'y' => 20, 'size' => 36, 'colour' => '#25323b', 'text' => "F = {$i} N"]
            : ['type' => 'stroke', 'colour' => '#a8452e', 'width' => 40, 'ink' => Ink::of([[$i, $i, 128, 0], [$i + 50, 9, 90, 16]])->encode()];
    }
}
