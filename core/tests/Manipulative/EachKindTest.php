<?php

declare(strict_types=1);

namespace Crag\Tests\Manipulative;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Object\Manipulative;
use Crag\Canvas\Object\ReadObject;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\ManipulativeKind;
use Crag\Prompt\Values\Values;
use Crag\Render\ManipulativeSvg;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What holds for every manipulative, whatever its rules are. */
final class EachKindTest extends TestCase
{
    /** @return iterable<string, array{ManipulativeKind}> */
    public static function kinds(): iterable
    {
        foreach (ManipulativeKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_hands_never_leave_what_its_state_may_hold_and_it_can_be_kept(ManipulativeKind $kind): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            mt_srand($seed);
            $object = Hands::on($kind, Hands::settings($kind));
            foreach (Hands::random($object, 40) as $act) {
                $object = $object->with(['act' => $act->toArray()]);
                $kept = $object->toArray();
                $read = ReadObject::from(new Fields($kept));
                self::assertEquals($kept, $read->toArray(), json_encode($act->toArray()) ?: '');
            }
            self::assertMatchesRegularExpression('/\S/', (string) $object->says());
            self::assertSame(array_keys($kind->rules()::factWords()), array_keys($object->facts()));
            self::assertStringContainsString('<title>', ManipulativeSvg::draw($object));
        }
    }

    #[DataProvider('kinds')]
    public function test_hands_change_something_and_nothing_is_left_in_a_sentence(ManipulativeKind $kind): void
    {
        $said = [];
        for ($seed = 1; $seed <= 10; $seed++) {
            mt_srand($seed);
            $object = Hands::on($kind);
            foreach (Hands::random($object, 12) as $act) {
                $object = $object->with(['act' => $act->toArray()]);
            }
            $said[] = (string) $object->says();
            self::assertDoesNotMatchRegularExpression('/:[a-z]/', (string) $object->says());
            foreach ($object->sketch()->parts as $part) {
                self::assertDoesNotMatchRegularExpression('/:[a-z]/', (string) $part->label);
            }
        }
        self::assertGreaterThan(1, count(array_unique($said)));
    }

    #[DataProvider('kinds')]
    public function test_a_state_that_no_hand_made_is_drawn_and_said(ManipulativeKind $kind): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            mt_srand($seed);
            $state = [];
            foreach ($kind->rules()::fields() as $field) {
                $number = static fn (): int => [Field::LARGEST, -Field::LARGEST, 0, 1, 7, 40][mt_rand(0, 5)];
                $state[$field->name] = [
                    'no number',
                    $number(),
                    array_map($number, range(0, mt_rand(0, 200))),
                    [],
                    ['x', null, 3],
                ][mt_rand(0, 4)];
            }
            $object = Manipulative::read(new Fields([
                'kind' => $kind->value,
                'x' => 0,
                'y' => 0,
                'settings' => Hands::settings($kind),
                'state' => $state,
            ]));
            self::assertLessThan(3000, count($object->sketch()->shapes));
            self::assertNotSame('', (string) $object->says());
            $object->facts();
            foreach (Hands::random($object, 8) as $act) {
                $object = $object->with(['act' => $act->toArray()]);
            }
        }
    }

    #[DataProvider('kinds')]
    public function test_every_part_has_a_name_of_its_own_and_can_be_reached(ManipulativeKind $kind): void
    {
        mt_srand(4);
        $object = Hands::on($kind);
        foreach (Hands::random($object, 25) as $act) {
            $object = $object->with(['act' => $act->toArray()]);
        }
        $seen = [];
        foreach ($object->sketch()->parts as $part) {
            self::assertNotSame('', (string) $part->label);
            self::assertArrayNotHasKey("{$part->name}:{$part->n}", $seen);
            $seen["{$part->name}:{$part->n}"] = true;
            self::assertGreaterThanOrEqual(6, count($part->outline));
        }
        self::assertNotSame([], $seen);
    }

    public function test_with_other_settings_it_begins_anew(): void
    {
        $frame = Hands::on(ManipulativeKind::TenFrame, ['frames' => 1], Act::press('cell', 3));
        self::assertSame('1 of 10 filled', (string) $frame->says());
        self::assertTrue($frame->isWorked());
        $other = $frame->with(['settings' => ['frames' => 2]]);
        self::assertSame('0 of 20 filled', (string) $other->says());
        self::assertFalse($other->isWorked());
    }

    public function test_handed_out_its_settings_stay_unless_they_are_free(): void
    {
        $free = Hands::on(ManipulativeKind::TenFrame, ['frames' => 1]);
        $fixed = Manipulative::read(new Fields(['free' => false] + $free->toArray()));
        $change = static fn (string $id): Operation => Logs::operation("change-{$id}", 'change', [
            'target' => Logs::id($id),
            'set' => ['settings' => ['frames' => 3], 'act' => ['part' => 'cell', 'n' => 2]],
        ]);
        $scene = Scene::fold([
            Logs::handedOut('free', $free->toArray()),
            Logs::handedOut('fixed', $fixed->toArray()),
            $change('free'),
            $change('fixed'),
        ]);
        $says = static fn (string $id): string => $scene->placed[Logs::id($id)]->object instanceof Manipulative
            ? (string) $scene->placed[Logs::id($id)]->object->says()
            : '';
        self::assertSame('1 of 30 filled', $says('free'));
        self::assertSame('1 of 10 filled', $says('fixed'));
    }

    public function test_each_student_is_given_the_values_that_are_theirs(): void
    {
        $bar = Hands::on(ManipulativeKind::FractionBar, ['parts' => '{a}', 'rows' => 2]);
        self::assertSame(['parts' => '{a}'], $bar->vary);
        $cards = Hands::on(ManipulativeKind::NumberCards, ['cards' => '{a}, +, {b}']);
        $values = Values::in(['{a: 7} and {b = a + 2}']);
        $draw = $values->draw('seed', 1);
        self::assertSame([7, 7], $bar->filled($draw)->state->list('parts'));
        self::assertSame([], $bar->filled($draw)->vary);
        self::assertSame('7, +, 9', $cards->filled($draw)->settings->words('cards'));
        self::assertSame([3, 3], $bar->with(['settings' => ['parts' => 3, 'rows' => 2]])->state->list('parts'));
    }

    public function test_what_is_printed_holds_the_work_and_not_the_ruler_that_lies_on_it(): void
    {
        $scene = Scene::fold([
            Logs::object('ruler-one', Hands::on(ManipulativeKind::Ruler)->toArray()),
            Logs::object('clock-one', Hands::on(ManipulativeKind::Clock)->toArray()),
            Logs::stroke('stroke-one'),
        ]);
        self::assertCount(3, $scene->placed);
        $kept = $scene->withoutInstruments();
        self::assertSame([Logs::id('clock-one'), Logs::id('stroke-one')], array_keys($kept->placed));
        self::assertSame($scene->pages, $kept->pages);
    }

    public function test_clearing_the_ink_leaves_pieces(): void
    {
        $scene = Scene::fold([
            Logs::object('clock-one', Hands::on(ManipulativeKind::Clock)->toArray()),
            Logs::stroke('stroke-one'),
            Logs::operation('clear-ink', 'clear', ['what' => 'ink']),
        ]);
        self::assertSame([Logs::id('clock-one')], array_keys($scene->placed));
        $empty = Scene::fold([
            Logs::object('clock-one', Hands::on(ManipulativeKind::Clock)->toArray()),
            Logs::operation('clear-all', 'clear', ['what' => 'all']),
        ]);
        self::assertSame([], $empty->placed);
    }

    public function test_what_is_no_manipulative_or_no_act_is_refused(): void
    {
        $refused = static function (array $fields): bool {
            try {
                ReadObject::from(new Fields($fields + ['type' => 'manipulative', 'x' => 0, 'y' => 0]));
            } catch (UnreadableFields) {
                return true;
            }

            return false;
        };
        self::assertTrue($refused(['kind' => 'nothing']));
        self::assertTrue($refused(['kind' => 'clock', 'x' => 'far']));
        self::assertFalse($refused(['kind' => 'clock']));
        $this->expectException(UnreadableFields::class);
        ReadObject::settings(new Fields(['act' => ['n' => 3]]));
    }

    public function test_settings_of_any_size_are_kept_within_bounds(): void
    {
        $many = array_fill_keys(array_map(static fn (int $i): string => "s{$i}", range(1, 50)), str_repeat('x', 900));
        $set = ReadObject::settings(new Fields(['settings' => $many]));
        self::assertIsArray($set['settings']);
        self::assertLessThan(2000, strlen((string) json_encode($set)));
    }
}
