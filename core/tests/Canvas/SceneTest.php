<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\History;
use Crag\Canvas\Log\InForce;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Object\Text;
use Crag\Canvas\Scene;
use Crag\Prompt\Backdrop\BackdropKind;
use PHPUnit\Framework\TestCase;

final class SceneTest extends TestCase
{
    public function test_an_empty_log_is_a_blank_page(): void
    {
        $scene = Scene::fold([]);
        self::assertTrue($scene->isEmpty());
        self::assertSame(BackdropKind::Blank, $scene->backdrop()->kind);
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
        self::assertSame(BackdropKind::Squared, $scene->backdrop()->kind);
        self::assertCount(1, $scene->placed);
    }

    public function test_a_bare_page_takes_the_paper_of_its_backdrop_and_one_with_work_keeps_its_own(): void
    {
        $tall = Logs::operation('b', 'backdrop', ['backdrop' => ['kind' => 'lined', 'paper' => '1000x1600']], null);
        self::assertSame('1000x1600', Scene::fold([$tall])->paper()->text());
        $late = Scene::fold([Logs::stroke('a'), $tall]);
        self::assertSame(['1600x1000', BackdropKind::Lined], [$late->paper()->text(), $late->backdrop()->kind]);
        // What was taken off the page again is in nobody's way.
        $bare = Scene::fold([Logs::stroke('a'), Logs::remove('r', 'a'), $tall]);
        self::assertSame('1000x1600', $bare->paper()->text());
        self::assertEquals($bare, Scene::read($bare->toArray()));
    }

    public function test_a_page_that_is_added_has_the_paper_of_the_first(): void
    {
        $sheet = ['kind' => 'picture', 'asset' => 'worksheet', 'paper' => '1064x1504'];
        $scene = Scene::fold([
            Logs::operation('b', 'backdrop', ['backdrop' => $sheet], null),
            Logs::operation('p', 'page', []),
        ]);
        self::assertSame('1064x1504', $scene->paper(Logs::id('p'))->text());
        self::assertSame(BackdropKind::Blank, $scene->backdrop(Logs::id('p'))->kind);
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
            $log = RandomLog::of($seed, 60);
            self::assertEquals(Scene::fold($log), Scene::fold([...$log, ...$log]));
        }
    }

    public function test_redelivery_anywhere_after_the_first_changes_nothing(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $log = RandomLog::of($seed, 40);
            $again = $log;
            for ($i = 0; $i < 20; $i++) {
                $one = mt_rand(0, count($log) - 1);
                array_splice($again, mt_rand((int) array_search($log[$one], $again, true) + 1, count($again)), 0, [
                    $log[$one],
                ]);
            }
            self::assertEquals(Scene::fold($log), Scene::fold($again));
        }
    }

    public function test_undo_then_redo_changes_nothing(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $log = RandomLog::of($seed, 50);
            $target = History::of($log, Author::seat(Logs::SEAT), Layer::Student)->undo();
            if ($target === null) {
                continue;
            }
            $undone = ($undone ?? 0) + 1;
            $there = [...$log, Logs::undo('there', $target)];
            self::assertEquals(Scene::fold($log), Scene::fold([...$there, Logs::redo('back', $target)]));
        }
        self::assertGreaterThan(35, $undone ?? 0);
    }

    public function test_undoing_everything_leaves_an_empty_page(): void
    {
        $log = RandomLog::of(3, 50);
        $author = Author::seat(Logs::SEAT);
        for ($i = 0; ($target = History::of($log, $author, Layer::Student)->undo()) !== null; $i++) {
            $log[] = Logs::undo("all{$i}", $target);
        }
        self::assertGreaterThan(10, $i);
        self::assertTrue(Scene::fold($log)->isEmpty());
    }

    public function test_a_kept_scene_goes_on_as_the_whole_log_would(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $log = RandomLog::of($seed, 60);
            $cut = mt_rand(1, 59);
            $kept = Scene::read(self::json(Scene::fold(array_slice($log, 0, $cut))));
            $onward = $kept->and(array_slice($log, $cut));
            if ($onward !== null) {
                self::assertSame(Scene::fold($log)->toArray(), $onward->toArray(), "seed {$seed}");
            }
        }
    }

    public function test_a_kept_scene_gives_up_when_something_older_is_taken_back(): void
    {
        $scene = Scene::fold([Logs::stroke('a'), Logs::stroke('b')]);
        self::assertNull($scene->and([Logs::undo('u', 'a')]));
        self::assertNotNull($scene->and([Logs::stroke('c'), Logs::undo('u', 'c')]));
    }

    public function test_going_on_leaves_the_scene_that_was_kept_as_it_was(): void
    {
        $scene = Scene::fold([Logs::text('t', 'x')]);
        $before = $scene->toArray();
        $scene->and([
            Logs::retype('c', 't', 'y'),
            Logs::operation('m', 'arrange', ['targets' => [Logs::id('t')], 'places' => [[50, 0, 0, 10000]]]),
        ]);
        self::assertSame($before, $scene->toArray());
    }

    public function test_an_earlier_state_is_given_back_and_taken_back_again(): void
    {
        $log = [
            Logs::stroke('a'),
            Logs::stroke('b'),
            Logs::remove('r', 'a'),
            Logs::undo('u', 'b'),
            Logs::operation('k', 'backdrop', ['backdrop' => ['kind' => 'lined']], null),
        ];
        self::assertSame([], self::left(...$log));
        $back = [...$log, Logs::giveBack('g', 'b')];
        self::assertSame(['a', 'b'], self::left(...$back));
        self::assertSame(BackdropKind::Blank, Scene::fold($back)->backdrop()->kind);
        self::assertSame(['a', 'b', 'c'], self::left(...$back, ...[Logs::stroke('c')]));
        self::assertSame(['c'], self::left(...$back, ...[Logs::stroke('c'), Logs::undo('v', 'g', null)]));
    }

    public function test_giving_back_what_was_before_another_giving_back_passes_it_over(): void
    {
        $log = [Logs::stroke('a'), Logs::stroke('b'), Logs::giveBack('g', 'a'), Logs::stroke('c')];
        self::assertSame(['a', 'c'], self::left(...$log));
        self::assertSame(['a', 'b'], self::left(...$log, ...[Logs::giveBack('h', 'b')]));
        self::assertSame(['a'], self::left(...$log, ...[Logs::giveBack('h', 'g')]));
        self::assertNull(
            Scene::fold(array_slice($log, 0, 2))->and([Logs::giveBack('h', 'a')]),
            'only the whole log tells',
        );
    }

    public function test_giving_back_any_moment_gives_the_scene_of_that_moment(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $log = RandomLog::of($seed, 60);
            $to = mt_rand(0, 59);
            $back = [...$log, Logs::giveBack('last', $log[$to]->id->value)];
            self::assertSame(
                Scene::fold(array_slice($log, 0, $to + 1))->toArray(),
                Scene::fold($back)->toArray(),
                "seed {$seed}",
            );
            self::assertSame(
                Scene::fold($log)->toArray(),
                Scene::fold([...$back, Logs::undo('again', 'last', null)])->toArray(),
                "seed {$seed}",
            );
        }
    }

    public function test_rubbing_out_the_middle_leaves_two_strokes_where_the_one_stood(): void
    {
        $cut = Logs::operation('c', 'cut', ['cuts' => [['target' => Logs::id('b'), 'keep' => [[0, 4], [12, 16]]]]]);
        $log = [Logs::stroke('a'), Logs::stroke('b'), Logs::stroke('d'), $cut];
        self::assertSame(['a', 'c-----------.0', 'c-----------.1', 'd'], self::left(...$log));
        self::assertSame(['a', 'b', 'd'], self::left(...$log, ...[Logs::undo('u', 'c')]));
        $again = Logs::operation('e', 'cut', ['cuts' => [['target' => Logs::id('c').'.1', 'keep' => [[0, 8]]]]]);
        self::assertSame(['a', 'c-----------.0', 'e-----------.0', 'd'], self::left(...$log, ...[$again]));
        self::assertSame(
            ['a', 'c-----------.0', 'd'],
            self::left(...$log, ...[Logs::remove('r', Logs::id('c').'.1')]),
        );
    }

    public function test_pages_are_moved_ruled_and_taken_out_by_who_added_them(): void
    {
        $pages = static fn (Operation ...$log): array => array_map(
            static fn (string $id): string => rtrim($id, '-'),
            array_map(strval(...), array_keys(Scene::fold(array_values($log))->pages)),
        );
        $log = [
            Logs::operation('a', 'page'),
            Logs::operation('b', 'page', [], null),
            Logs::operation('c', 'page'),
            Logs::onPage('c', Logs::stroke('s')),
        ];
        self::assertSame(['', 'a', 'b', 'c'], $pages(...$log));
        self::assertSame(['', 'c', 'a', 'b'], $pages(...$log, ...[Logs::arrangePage('m', 'c', ['to' => 1])]));
        self::assertSame(['', 'b', 'c', 'a'], $pages(...$log, ...[Logs::arrangePage('m', 'a', ['to' => 30])]));
        // What the teacher added is the teacher's.
        self::assertSame(['', 'a', 'b', 'c'], $pages(...$log, ...[Logs::arrangePage('m', 'b', ['gone' => true])]));
        $gone = [...$log, Logs::arrangePage('g', 'c', ['gone' => true])];
        self::assertSame(['', 'a', 'b'], $pages(...$gone));
        self::assertTrue(Scene::fold($gone)->isEmpty());
        $back = Scene::fold([...$gone, Logs::undo('u', 'g')]);
        self::assertSame([Logs::id('s')], array_keys($back->placed));
        $ruled = Scene::fold([...$log, Logs::arrangePage('r', 'a', ['ruling' => ['kind' => 'lined']])]);
        self::assertSame('lined', $ruled->backdrop(Logs::id('a'))->kind->value);
    }

    public function test_a_stroke_becomes_the_shape_that_it_was_meant_as_where_it_stood(): void
    {
        $line = Examples::all()['line'];
        $log = [Logs::stroke('a'), Logs::stroke('b'), Logs::stroke('d'), Logs::straighten('s', 'b', $line)];
        self::assertSame(['a', 's', 'd'], self::left(...$log));
        self::assertSame(['a', 'b', 'd'], self::left(...$log, ...[Logs::undo('u', 's')]));
        self::assertSame(['a', 'd'], self::left(...$log, ...[Logs::remove('r', 's')]));
        // What is no stroke any more is not straightened again, and what a rub left of one is.
        self::assertSame(['a', 's', 'd'], self::left(...$log, ...[Logs::straighten('t', 's', $line)]));
        $cut = Logs::operation('c', 'cut', ['cuts' => [['target' => Logs::id('a'), 'keep' => [[0, 4], [12, 16]]]]]);
        self::assertSame(
            ['c-----------.0', 't', 's', 'd'],
            self::left(...$log, ...[$cut, Logs::operation('t', 'straighten', [
                'target' => Logs::id('c').'.1',
                'object' => $line,
            ])]),
        );
    }

    public function test_a_part_beyond_the_end_of_the_stroke_is_left_out(): void
    {
        $cut = Logs::operation('c', 'cut', ['cuts' => [['target' => Logs::id('a'), 'keep' => [[0, 8], [10, 17]]]]]);
        self::assertSame(['c-----------.0'], self::left(Logs::stroke('a'), $cut));
    }

    public function test_objects_go_to_the_front_the_back_and_one_step(): void
    {
        $log = [Logs::stroke('a'), Logs::stroke('b'), Logs::stroke('c'), Logs::stroke('d')];
        $order = fn (string $to, string ...$ids): array => self::left(
            ...$log,
            ...[
                Logs::operation('o', 'arrange', [
                    'targets' => array_map(Logs::id(...), array_values($ids)),
                    'order' => $to,
                ]),
            ],
        );
        self::assertSame(['b', 'd', 'a', 'c'], $order('front', 'c', 'a'));
        self::assertSame(['b', 'd', 'a', 'c'], $order('back', 'd', 'b'));
        self::assertSame(['b', 'a', 'c', 'd'], $order('forward', 'a'));
        self::assertSame(['c', 'a', 'b', 'd'], $order('forward', 'a', 'b'));
        self::assertSame(['a', 'b', 'c', 'd'], $order('forward', 'c', 'd'));
        self::assertSame(['a', 'b', 'c', 'd'], $order('backward', 'a', 'b'));
        self::assertSame(['a', 'b', 'd', 'c'], $order('backward', 'd'));
    }

    public function test_a_step_forward_passes_over_what_is_on_other_pages(): void
    {
        $log = [
            Logs::stroke('a'),
            Logs::operation('p', 'page'),
            Logs::onPage('p', Logs::stroke('x')),
            Logs::stroke('b'),
            Logs::operation('o', 'arrange', ['targets' => [Logs::id('a')], 'order' => 'forward']),
        ];
        self::assertSame(['x', 'b', 'a'], self::left(...$log));
    }

    public function test_objects_are_grouped_and_stay_so_when_moved(): void
    {
        $scene = Scene::fold([
            Logs::stroke('a'),
            Logs::stroke('b'),
            Logs::operation('g', 'arrange', ['targets' => [Logs::id('a'), Logs::id('b')], 'group' => 'crew']),
            Logs::operation('m', 'arrange', ['targets' => [Logs::id('a')], 'places' => [[10, 20, 9000, 20000]]]),
        ]);
        self::assertSame(['crew', 'crew'], array_column($scene->toArray()['objects'], 'group'));
        self::assertSame([10, 20, 9000, 20000], $scene->placed[Logs::id('a')]->place?->toArray());
    }

    public function test_students_move_a_piece_and_cannot_lose_it(): void
    {
        $log = [Logs::piece('w'), Logs::stroke('a'), Logs::operation('e', 'clear')];
        self::assertSame(['w'], self::left(...$log));
        $moved = Scene::fold([
            ...$log,
            Logs::operation('m', 'arrange', ['targets' => [Logs::id('w')], 'places' => [[700, 0, 0, 10000]]]),
        ]);
        self::assertSame(700, $moved->placed[Logs::id('w')]->place?->x);
        self::assertSame(
            ['w'],
            self::left(
                ...$log,
                ...[Logs::operation('r', 'arrange', ['targets' => [Logs::id('w')], 'order' => 'back'])],
            ),
        );
    }

    public function test_a_locked_piece_and_a_stack_stay_where_they_are(): void
    {
        $move = Logs::operation('m', 'arrange', ['targets' => [Logs::id('w')], 'places' => [[700, 0, 0, 10000]]]);
        foreach (['locked', 'stack'] as $how) {
            self::assertNull(
                Scene::fold([Logs::piece('w', [$how => true]), $move])->placed[Logs::id('w')]->place,
                $how,
            );
        }
        $lock = Logs::operation('l', 'arrange', ['targets' => [Logs::id('w')], 'lock' => true], null);
        $unlock = Logs::operation('k', 'arrange', ['targets' => [Logs::id('w')], 'lock' => false], null);
        self::assertNull(Scene::fold([Logs::piece('w'), $lock, $move])->placed[Logs::id('w')]->place);
        self::assertNotNull(Scene::fold([Logs::piece('w'), $lock, $unlock, $move])->placed[Logs::id('w')]->place);
    }

    public function test_a_page_more_has_the_ruling_of_the_first_but_not_its_picture(): void
    {
        $squared = Logs::operation('b', 'backdrop', ['backdrop' => ['kind' => 'squared', 'size' => 'small']], null);
        $picture = Logs::operation('q', 'backdrop', ['backdrop' => ['kind' => 'picture', 'asset' => 'abc']], null);
        self::assertSame(
            'squared',
            Scene::fold([$squared, Logs::operation('p', 'page')])->backdrop(Logs::id('p'))->kind->value,
        );
        self::assertSame(
            'blank',
            Scene::fold([$picture, Logs::operation('p', 'page')])->backdrop(Logs::id('p'))->kind->value,
        );
    }

    public function test_what_stands_on_a_page_goes_and_comes_with_it(): void
    {
        $log = [Logs::stroke('a'), Logs::operation('p', 'page'), Logs::onPage('p', Logs::stroke('b'))];
        self::assertSame(['a', 'b'], self::left(...$log));
        self::assertSame(['a'], self::left(...$log, ...[Logs::undo('u', 'p')]));
        self::assertSame(['a', 'b'], self::left(...$log, ...[Logs::undo('u', 'p'), Logs::redo('v', 'p')]));
        self::assertSame(['b'], self::left(...$log, ...[Logs::operation('e', 'clear')]));
        self::assertSame(['a'], self::left(...$log, ...[Logs::operation('e', 'clear', ['page' => Logs::id('p')])]));
    }

    public function test_emptying_of_ink_keeps_pictures_and_copies_of_pieces(): void
    {
        $log = [
            Logs::stroke('a'),
            Logs::object('q', Examples::picture()),
            Logs::object('w', Examples::piece()),
            Logs::object('n', Examples::note()),
        ];
        self::assertSame(['q', 'w'], self::left(...$log, ...[Logs::operation('e', 'clear', ['what' => 'ink'])]));
        self::assertSame([], self::left(...$log, ...[Logs::operation('e', 'clear', ['what' => 'all'])]));
    }

    public function test_before_the_last_emptying_that_holds_stands_what_can_be_given_back(): void
    {
        $log = [Logs::stroke('a'), Logs::operation('c', 'clear', ['what' => 'ink']), Logs::stroke('b')];
        self::assertSame(Logs::id('a'), InForce::of($log)?->beforeEmptied());
        self::assertNull(InForce::of([...$log, Logs::undo('u', 'c')])?->beforeEmptied());
        self::assertNull(InForce::of([Logs::operation('c', 'clear', ['what' => 'ink'])])?->beforeEmptied());
        self::assertNull(InForce::of([Logs::stroke('a')])?->beforeEmptied());
        $fresh = Logs::operation('f', 'fresh', [], null);
        self::assertSame(Logs::id('b'), InForce::of([...$log, $fresh, Logs::stroke('d')])?->beforeEmptied());
    }

    public function test_several_objects_come_and_go_in_one_step(): void
    {
        $paste = Logs::operation('p', 'add', [
            'objects' => [
                ['object' => Examples::note(), 'group' => 'g1'],
                ['object' => Examples::stamp(), 'place' => [5, 5, 0, 10000]],
            ],
        ]);
        self::assertSame(['p-----------.0', 'p-----------.1'], self::left($paste));
        self::assertSame([], self::left($paste, Logs::undo('u', 'p')));
    }

    /** @return array<array-key, mixed> */
    private static function json(Scene $scene): array
    {
        $json = json_decode((string) json_encode($scene->toArray()), true);
        self::assertIsArray($json);

        return $json;
    }

    /** @return list<string> the short ids of what is on the page */
    private static function left(Operation ...$log): array
    {
        return array_map(
            static fn (int|string $id): string => preg_match('/\.\d+\z/', (string) $id) === 1
                ? (string) $id
                : rtrim((string) $id, '-'),
            array_keys(Scene::fold($log)->placed),
        );
    }

    private static function words(Operation ...$log): string
    {
        $text = Scene::fold($log)->placed[Logs::id('t')]->object ?? null;
        self::assertInstanceOf(Text::class, $text);

        return $text->text;
    }
}
