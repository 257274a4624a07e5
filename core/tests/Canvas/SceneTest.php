<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Author;
use Crag\Canvas\History;
use Crag\Canvas\Layer;
use Crag\Canvas\Object\Text;
use Crag\Canvas\Operation;
use Crag\Canvas\Scene;
use Crag\Prompt\BackdropKind;
use PHPUnit\Framework\TestCase;

final class SceneTest extends TestCase
{
    public function test_an_empty_log_is_a_blank_page(): void
    {
        $scene = Scene::fold([]);
        self::assertTrue($scene->isEmpty());
        self::assertSame(BackdropKind::Blank, $scene->backdrop->kind);
    }

    public function test_what_is_added_stands_in_the_order_in_which_it_came(): void
    {
        self::assertSame(['a', 'b', 'c'], self::left(Logs::stroke('a'), Logs::text('b', 'x'), Logs::stroke('c')));
    }

    public function test_an_erased_stroke_comes_back_with_undo_in_its_old_place(): void
    {
        $log = [Logs::stroke('a'), Logs::stroke('b'), Logs::remove('r', 'a')];
        self::assertSame(['b'], self::left(...$log));
        self::assertSame(['a', 'b'], self::left(...$log, ...[Logs::undo('u', 'r')]));
        self::assertSame(['b'], self::left(...$log, ...[Logs::undo('u', 'r'), Logs::redo('v', 'r')]));
    }

    public function test_the_latest_change_to_a_text_holds_and_undo_gives_the_one_before(): void
    {
        $log = [Logs::text('t', 'M = F d'), Logs::retype('c', 't', 'M = F × d')];
        self::assertSame('M = F × d', self::words(...$log));
        self::assertSame('M = F d', self::words(...$log, ...[Logs::undo('u', 'c')]));
    }

    public function test_a_change_to_what_was_undone_shows_nothing(): void
    {
        self::assertSame([], self::left(Logs::text('t', 'x'), Logs::retype('c', 't', 'y'), Logs::undo('u', 't')));
    }

    public function test_a_backdrop_lies_under_the_ink_and_takes_none_away(): void
    {
        $handOut = Logs::operation('b', 'backdrop', ['backdrop' => ['kind' => 'squared']], null);
        $scene = Scene::fold([Logs::stroke('a'), $handOut]);
        self::assertSame(BackdropKind::Squared, $scene->backdrop->kind);
        self::assertCount(1, $scene->objects);
    }

    public function test_emptying_takes_the_layer_that_it_is_on_and_can_be_undone(): void
    {
        $log = [Logs::stroke('a'), Logs::stroke('lead', 500, null), Logs::operation('e', 'clear')];
        self::assertSame(['lead'], self::left(...$log));
        self::assertSame(['a', 'lead'], self::left(...$log, ...[Logs::undo('u', 'e')]));
    }

    public function test_what_is_drawn_after_emptying_stays(): void
    {
        self::assertSame(['b'], self::left(Logs::stroke('a'), Logs::operation('e', 'clear'), Logs::stroke('b')));
    }

    public function test_folding_a_log_twice_over_gives_the_same_scene(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $log = self::randomLog($seed, 60);
            self::assertEquals(Scene::fold($log), Scene::fold([...$log, ...$log]));
        }
    }

    public function test_redelivery_anywhere_after_the_first_changes_nothing(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $log = self::randomLog($seed, 40);
            $again = $log;
            for ($i = 0; $i < 20; $i++) {
                $one = mt_rand(0, count($log) - 1);
                array_splice($again, mt_rand((int) array_search($log[$one], $again, true) + 1, count($again)), 0, [$log[$one]]);
            }
            self::assertEquals(Scene::fold($log), Scene::fold($again));
        }
    }

    public function test_undo_then_redo_changes_nothing(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $log = self::randomLog($seed, 50);
            $target = History::of($log, Author::seat(Logs::SEAT), Layer::Student)->undo();
            self::assertNotNull($target);
            $there = [...$log, Logs::undo('there', $target)];
            self::assertEquals(Scene::fold($log), Scene::fold([...$there, Logs::redo('back', $target)]));
        }
    }

    public function test_undoing_everything_leaves_an_empty_page(): void
    {
        $log = self::randomLog(3, 50);
        $author = Author::seat(Logs::SEAT);
        for ($i = 0; ($target = History::of($log, $author, Layer::Student)->undo()) !== null; $i++) {
            $log[] = Logs::undo("all{$i}", $target);
        }
        self::assertGreaterThan(10, $i);
        self::assertTrue(Scene::fold($log)->isEmpty());
    }

    /** @return list<Operation> */
    private static function randomLog(int $seed, int $length): array
    {
        mt_srand($seed);
        $log = [];
        $strokes = $texts = [];
        $author = Author::seat(Logs::SEAT);
        for ($i = 0; $i < $length; $i++) {
            $history = History::of($log, $author, Layer::Student);
            $dice = mt_rand(1, 100);
            if ($dice > 90 && $history->undo() !== null) {
                $log[] = Logs::undo("o{$i}", $history->undo());
            } elseif ($dice > 84 && $history->redo() !== null) {
                $log[] = Logs::redo("o{$i}", $history->redo());
            } elseif ($dice > 70 && $strokes !== []) {
                $log[] = Logs::remove("o{$i}", $strokes[array_rand($strokes)]);
            } elseif ($dice > 60 && $texts !== []) {
                $log[] = Logs::retype("o{$i}", $texts[array_rand($texts)], "text {$i}");
            } elseif ($dice > 58) {
                $log[] = Logs::operation("o{$i}", 'clear');
            } elseif ($dice > 45) {
                $log[] = Logs::text($texts[] = "o{$i}", "text {$i}");
            } else {
                $log[] = Logs::stroke($strokes[] = "o{$i}", mt_rand(0, 9000));
            }
        }

        return $log;
    }

    /** @return list<string> the short ids of what is on the page */
    private static function left(Operation ...$log): array
    {
        return array_map(
            static fn (int|string $id): string => rtrim((string) $id, '-'),
            array_keys(Scene::fold($log)->objects),
        );
    }

    private static function words(Operation ...$log): string
    {
        $text = Scene::fold($log)->objects[Logs::id('t')] ?? null;
        self::assertInstanceOf(Text::class, $text);

        return $text->text;
    }
}
