<?php

declare(strict_types=1);

namespace Crag\Tests\Manipulative;

use Closure;
use Crag\Manipulative\Act;
use Crag\Manipulative\ManipulativeKind;
use Crag\Manipulative\Science\Staff;
use Crag\Manipulative\Seeded;
use Crag\Manipulative\Sketch;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What hands do, and what comes of it, worked out by hand: settings, acts, facts and the sentence.
 *
 * @phpstan-type Facts array<string, string>
 * @phpstan-type Worked array{0: ManipulativeKind, 1: array<string, mixed>, 2: list<Act>, 3: Facts, 4?: string}
 */
final class WorkedTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $settings
     * @param  list<Act>  $acts
     * @param  array<string, string>  $facts  those that are looked at
     */
    #[DataProvider('cases')]
    public function test_it_comes_out_as_worked_by_hand(
        ManipulativeKind $kind,
        array $settings,
        array $acts,
        array $facts,
        string $says = '',
    ): void {
        $object = Hands::on($kind, $settings, ...$acts);
        foreach ($facts as $name => $value) {
            self::assertSame($value, $object->facts()[$name], $name);
        }
        if ($says !== '') {
            self::assertSame($says, (string) $object->says());
        }
    }

    /** @return iterable<string, Worked> */
    public static function cases(): iterable
    {
        yield from self::numbers();
        yield from self::algebra();
        yield from self::measures();
        yield from self::data();
        yield from self::science();
        yield from self::space();
        yield from self::instruments();
        yield from self::more();
    }

    /** @return iterable<string, Worked> */
    private static function numbers(): iterable
    {
        $cells = self::presses('cell');
        $bar = ManipulativeKind::FractionBar;
        yield 'three quarters' => [$bar, [], $cells(0, 1, 3), ['shaded' => '3/4', 'parts' => '4'], '3/4 shaded'];
        yield 'a part pressed twice' => [$bar, [], $cells(0, 1, 1), ['shaded' => '1/4']];
        yield 'six eighths' => [$bar, ['parts' => 8], $cells(0, 1, 2, 3, 4, 5), ['shaded' => '6/8']];
        yield 'a half and a third' => [
            $bar,
            ['rows' => 2, 'parts' => 2],
            [Act::press('more', 1), ...$cells(0, 102)],
            ['shaded' => '5/6'],
            '1/2, 1/3 shaded',
        ];
        yield 'parts that are taken away lose their shade' => [
            $bar, [], [...$cells(3), Act::press('fewer')], ['shaded' => '0/3', 'parts' => '3'],
        ];
        yield 'a bar has one part at least' => [$bar, ['parts' => 1], [Act::press('fewer')], ['parts' => '1']];
        yield 'more than a whole' => [
            ManipulativeKind::FractionCircle, ['rows' => 2, 'parts' => 2], $cells(0, 1, 100), ['shaded' => '3/2'],
        ];
        $ten = ManipulativeKind::BaseTen;
        yield 'blocks for 243' => [$ten, ['value' => 243], [], ['value' => '243', 'blocks' => '9']];
        yield 'breaking a ten leaves the value' => [
            $ten,
            ['value' => 43],
            [Act::press('break', 1)],
            ['value' => '43', 'blocks' => '16'],
            '43 in blocks: 0 + 3 + 13',
        ];
        yield 'broken and traded back' => [
            $ten, ['value' => 43], [Act::press('break', 1), Act::press('trade', 2)], ['value' => '43', 'blocks' => '7'],
        ];
        yield 'nine are not traded' => [$ten, ['value' => 9], [Act::press('trade', 2)], ['blocks' => '9']];
        yield 'what is not there is not broken' => [$ten, ['value' => 9], [Act::press('break', 0)], ['value' => '9']];
        $places = ManipulativeKind::PlaceValue;
        yield 'twelve tenths and a hundredth' => [
            $places,
            [],
            [...array_fill(0, 12, Act::press('add', 3)), Act::press('add', 4)],
            ['value' => '1.21', 'counters' => '13'],
        ];
        yield 'no digits behind the point that say nothing' => [
            $places,
            [],
            [Act::press('add', 3)],
            ['value' => '0.1'],
        ];
        yield 'whole ones have no point' => [$places, [], [Act::press('add', 2)], ['value' => '1']];
        $line = ManipulativeKind::NumberLine;
        yield 'a jump to seven' => [
            $line, ['at' => 3], [Act::drag('end', 0, 770, 0)], ['at' => '7', 'jumps' => '1'], 'From 3, jumps +4: at 7',
        ];
        yield 'forth and back' => [
            $line,
            [],
            [Act::drag('end', 0, 1100, 0), Act::drag('end', 0, 440, 0)],
            ['at' => '4'],
            'From 0, jumps +10, −6: at 4',
        ];
        yield 'in halves' => [
            $line, ['from' => -1, 'to' => 1, 'parts' => 2], [Act::drag('end', 0, 820, 0)], ['at' => '1/2'],
        ];
        yield 'below zero' => [$line, ['from' => -5, 'to' => 5], [Act::drag('end', 0, 0, 0)], ['at' => '−5']];
        yield 'a jump back is undone' => [
            $line, [], [Act::drag('end', 0, 330, 0), Act::press('back')], ['at' => '0', 'jumps' => '0'],
        ];
        yield 'no jump leaves the line' => [$line, [], [Act::drag('end', 0, 4000, 0)], ['at' => '10']];
        $counters = ManipulativeKind::Counters;
        yield 'five and minus three' => [$counters, [], [], ['total' => '2', 'first' => '5', 'second' => '3']];
        yield 'a counter turned' => [$counters, [], [Act::press('token', 0)], ['total' => '0']];
        yield 'a zero pair changes nothing' => [$counters, [], [Act::press('pair')], ['total' => '2', 'first' => '6']];
        yield 'a zero pair taken away' => [$counters, [], [Act::press('unpair')], ['total' => '2', 'second' => '2']];
        yield 'dragged off the mat it is gone' => [$counters, [], [Act::drag('token', 0, 900, 10)], ['total' => '1']];
        yield 'two colours are only counted' => [$counters, ['faces' => 1], [], ['total' => '8']];
        $frame = ManipulativeKind::TenFrame;
        yield 'seven of twenty' => [$frame, ['filled' => 7], [], ['filled' => '7', 'empty' => '13']];
        yield 'one of the other colour' => [$frame, ['filled' => 7], $cells(0), ['filled' => '7', 'light' => '1']];
        yield 'pressed three times, empty again' => [$frame, [], $cells(0, 0, 0), ['filled' => '0']];
        yield 'multiples of seven' => [
            ManipulativeKind::HundredSquare,
            [],
            $cells(6, 13, 20),
            ['numbers' => '7, 14, 21', 'sum' => '42', 'count' => '3'],
        ];
        yield 'from nought' => [ManipulativeKind::HundredSquare, ['first' => 0], $cells(9), ['numbers' => '9']];
        $cards = ManipulativeKind::NumberCards;
        yield 'cards in a line, in whatever order they were laid' => [
            $cards, ['cards' => '8, +, 3, =, 5'],
            [
                Act::drag('token', 0, 500, 60), Act::drag('token', 1, 200, 60), Act::drag('token', 2, 300, 60),
                Act::drag('token', 3, 400, 60), Act::drag('token', 4, 100, 60),
            ],
            ['line' => '5 + 3 = 8'],
        ];
        yield 'a card taken out of the line' => [
            $cards,
            ['cards' => '8, 9'],
            [Act::drag('token', 0, 500, 60), Act::drag('token', 0, 500, 250)],
            ['line' => ''],
        ];
    }

    /** @return iterable<string, Worked> */
    private static function algebra(): iterable
    {
        $tiles = ManipulativeKind::AlgebraTiles;
        yield 'x² + 5x + 6 is a rectangle' => [
            $tiles,
            [],
            [Act::press('arrange')],
            ['sum' => 'x² + 5x + 6', 'tiles' => '12'],
            'Rectangle: x² + 5x + 6 = (x + 2)(x + 3)',
        ];
        yield 'a square' => [
            $tiles,
            ['xs' => 4, 'ones' => 4],
            [Act::press('arrange')],
            ['tiles' => '9'],
            'Rectangle: x² + 4x + 4 = (x + 2)(x + 2)',
        ];
        yield 'with two squares' => [
            $tiles,
            ['squares' => 2, 'xs' => 7, 'ones' => 3],
            [Act::press('arrange')],
            [],
            'Rectangle: 2x² + 7x + 3 = (x + 3)(2x + 1)',
        ];
        yield 'without ones' => [
            $tiles, ['xs' => 3, 'ones' => 0], [Act::press('arrange')], [], 'Rectangle: x² + 3x = x(x + 3)',
        ];
        yield 'what has no such factors stays in rows' => [
            $tiles, ['xs' => 1, 'ones' => 1], [Act::press('arrange')], ['sum' => 'x² + x + 1'], 'Tiles: x² + x + 1',
        ];
        yield 'a tile turned is its opposite' => [
            $tiles, ['squares' => 0, 'xs' => 2, 'ones' => 0], [Act::press('token', 0)], ['sum' => '0', 'tiles' => '2'],
        ];
        yield 'zero pairs go' => [
            $tiles,
            ['squares' => 0, 'xs' => 3, 'ones' => 0],
            [Act::press('token', 0), Act::press('pairs')],
            ['sum' => 'x', 'tiles' => '1'],
        ];
        yield 'minus everything' => [
            $tiles,
            ['squares' => -1, 'xs' => -2, 'ones' => -3],
            [],
            ['sum' => '−x² − 2x − 3'],
        ];
        $balance = ManipulativeKind::Balance;
        yield '2x + 3 = 11 with x = 4' => [$balance, [], [], ['balance' => 'balanced'], 'Balanced: 2x + 3 = 11'];
        yield 'one more on the right' => [
            $balance,
            [],
            [Act::press('add', 3)],
            ['balance' => 'tips right', 'right' => '12'],
        ];
        yield 'the same from both sides' => [
            $balance,
            [],
            array_fill(0, 3, Act::press('both', 1)),
            ['balance' => 'balanced', 'left' => '2x', 'right' => '8'],
        ];
        yield 'a bag taken from one side' => [
            $balance,
            [],
            [Act::press('take', 0)],
            ['balance' => 'tips right', 'left' => 'x + 3'],
        ];
        yield 'bags on both sides' => [
            $balance,
            ['left' => '3x + 1', 'right' => 'x + 9'],
            [Act::press('both', 0)],
            ['left' => '2x + 1', 'right' => '9'],
        ];
        yield 'no bag on one side: nothing from both' => [$balance, [], [Act::press('both', 0)], ['left' => '2x + 3']];
        yield 'words that say nothing' => [
            $balance,
            ['left' => 'hello', 'right' => ''],
            [],
            ['left' => '0', 'right' => '0'],
        ];
        $bars = ManipulativeKind::BarModel;
        yield 'twelve and eight are twenty' => [$bars, [], [], ['first' => '20', 'second' => '20', 'equal' => 'yes']];
        yield 'a typed length' => [$bars, [], [Act::type('length', 0, 15)], ['first' => '23', 'equal' => 'no']];
        yield 'an unknown part' => [$bars, [], [Act::press('unknown', 1)], ['first' => '20'], 'Bars: 12 + ?; 20'];
        yield 'a part more' => [$bars, [], [Act::press('more', 1)], ['second' => '30']];
        yield 'an edge pulled' => [$bars, [], [Act::drag('edge', 0, 350, 0)], ['first' => '18']];
    }

    /** @return iterable<string, Worked> */
    private static function measures(): iterable
    {
        $clock = ManipulativeKind::Clock;
        yield 'nine o’clock' => [$clock, [], [], ['time' => '9:00', 'hands' => '9:00'], 'Clock at 9:00'];
        yield 'the long hand at the bottom' => [$clock, [], [Act::drag('minute', 0, 180, 330)], ['time' => '9:30']];
        yield 'the long hand back over the hour' => [$clock, [], [Act::drag('minute', 0, 60, 60)], ['time' => '8:53']];
        yield 'the short hand at three' => [$clock, [], [Act::drag('hour', 0, 300, 180)], ['hands' => '3:00']];
        yield 'an hour on, and midnight passed' => [
            $clock, ['hours' => 23, 'minutes' => 40], [Act::press('forward', 60)], ['time' => '0:40'],
        ];
        yield 'in the afternoon' => [$clock, ['hours' => 15], [], ['time' => '15:00', 'hands' => '3:00']];
        yield 'one of each coin' => [
            ManipulativeKind::Coins,
            [],
            array_map(static fn (int $i): Act => Act::press('add', $i), range(0, 7)),
            ['total' => '3.88', 'coins' => '8'],
        ];
        yield 'ninety' => [
            ManipulativeKind::Coins,
            [],
            [Act::press('add', 5), Act::press('add', 4), Act::press('add', 4)],
            ['total' => '0.9'],
        ];
        $board = ManipulativeKind::Geoboard;
        $pegs = self::presses('peg');
        yield 'a square of four' => [$board, [], $pegs(0, 2, 14, 12), ['area' => '4', 'corners' => '4']];
        yield 'a triangle' => [$board, [], $pegs(0, 3, 6), ['area' => '1.5']];
        yield 'two pegs hold no area' => [$board, [], $pegs(0, 3), ['area' => '0']];
        yield 'a corner dragged' => [
            $board,
            [],
            [...$pegs(0, 2, 14, 12), Act::drag('corner', 2, 360, 200)],
            ['area' => '6'],
        ];
        yield 'a corner let go' => [$board, [], [...$pegs(0, 2, 14, 12), Act::press('corner', 3)], ['area' => '2']];
        yield 'a peg only once' => [$board, [], $pegs(0, 2, 2, 14), ['corners' => '3']];
    }

    /** @return iterable<string, Worked> */
    private static function data(): iterable
    {
        $table = ManipulativeKind::SumTable;
        $typed = [Act::type('cell', 0, 12), Act::type('cell', 1, 7), Act::type('cell', 4, -3)];
        yield 'a table adds up' => [$table, [], $typed, ['total' => '16', 'adds_up' => 'yes'], 'Adds up to 16'];
        yield 'totals that are worked out are not typed' => [
            $table,
            [],
            [Act::type('cell', 3, 9)],
            ['adds_up' => 'yes'],
        ];
        yield 'typed totals are looked at' => [$table, ['sums' => 1], $typed, ['adds_up' => 'no']];
        yield 'typed totals that are right' => [
            $table, ['sums' => 1, 'rows' => 1, 'columns' => 1],
            [Act::type('cell', 0, 5), Act::type('cell', 1, 5), Act::type('cell', 2, 5), Act::type('cell', 3, 5)],
            ['adds_up' => 'yes'],
        ];
        $chart = ManipulativeKind::BarChart;
        yield 'bars pulled and typed' => [
            $chart,
            [],
            [Act::drag('bar', 0, 0, 200), Act::type('value', 1, 7)],
            ['values' => '5, 7, 0, 0', 'total' => '12'],
        ];
        yield 'no higher than the scale' => [$chart, [], [Act::type('value', 0, 99)], ['values' => '10, 0, 0, 0']];
        $line = ManipulativeKind::DataLine;
        $nine = ['values' => '3, 4, 4, 7, 8, 8, 8, 11, 15'];
        yield 'quartiles of nine values' => [
            $line, $nine, [], ['median' => '8', 'lower' => '4', 'upper' => '9.5', 'range' => '12', 'mean' => '68/9'],
        ];
        yield 'quartiles of four values' => [
            $line,
            ['values' => '1, 2, 3, 4'],
            [],
            ['median' => '2.5', 'lower' => '1.5', 'upper' => '3.5', 'mean' => '5/2'],
        ];
        yield 'one value' => [$line, [], [Act::press('add', 6)], ['median' => '6', 'lower' => '6', 'count' => '1']];
        yield 'a value taken away' => [$line, $nine, [Act::press('dot', 0)], ['count' => '8', 'range' => '11']];
        yield 'nothing there' => [$line, [], [], ['count' => '0', 'mean' => ''], 'No values yet'];
        $sets = ManipulativeKind::VennSets;
        yield 'laid into the sets' => [
            $sets, ['items' => '2, 3, 6, 7'],
            [
                Act::drag('token', 0, 200, 260), Act::drag('token', 1, 640, 260), Act::drag('token', 2, 410, 260),
                Act::drag('token', 3, 60, 40),
            ],
            ['first' => '2', 'second' => '3', 'both' => '6', 'outside' => '7'], '4 of 4 laid, in both: 6',
        ];
        yield 'three sets' => [
            $sets, ['names' => 'A, B, C', 'items' => '1'], [Act::drag('token', 0, 410, 260)], ['all_three' => '1'],
        ];
        $tree = ManipulativeKind::TreeDiagram;
        yield 'two fair coins' => [$tree, [], [], ['first' => '1/4', 'whole' => 'yes'], 'Ends: 1/4, 1/4, 1/4, 1/4'];
        yield 'branches of fifths' => [
            $tree, ['whole' => 5], [Act::type('branch', 0, 2)], ['first' => '6/25', 'whole' => 'no'],
        ];
        yield 'branches that add up' => [
            $tree,
            ['whole' => 5, 'stages' => 1],
            [Act::type('branch', 0, 2), Act::type('branch', 1, 3)],
            ['last' => '3/5', 'whole' => 'yes'],
        ];
        $rolls = static fn (int $n): array => array_fill(0, $n, Act::press('roll'));
        $faces = static fn (int $roll): int => 2 + Seeded::at(1, $roll, 6) + Seeded::at(132, $roll, 6);
        yield 'dice by their seed' => [
            ManipulativeKind::Dice,
            [],
            $rolls(2),
            ['total' => (string) $faces(2), 'rolls' => '2'],
        ];
        yield 'a held die' => [
            ManipulativeKind::Dice, ['dice' => 1], [Act::press('roll'), Act::press('die'), Act::press('roll')],
            ['total' => (string) (1 + Seeded::at(1, 1, 6))],
        ];
        yield 'ten tosses at once are ten' => [
            ManipulativeKind::CoinToss,
            [],
            [Act::press('toss', 10)],
            ['tosses' => '10'],
        ];
        yield 'spun, and begun anew' => [
            ManipulativeKind::Spinner,
            [],
            [Act::press('spin', 10), Act::press('again')],
            ['spins' => '0', 'last' => ''],
        ];
    }

    /** @return iterable<string, Worked> */
    private static function science(): iterable
    {
        $beam = ManipulativeKind::LoadedBeam;
        yield 'a plank 1 m from its pivot and 3 m' => [
            $beam,
            [],
            [...array_fill(0, 3, Act::press('hook', -1)), Act::press('hook', 3)],
            ['left' => '30', 'right' => '30', 'balance' => 'balanced'],
        ];
        yield 'the longer arm goes down' => [
            $beam,
            [],
            [Act::press('hook', -2), Act::press('hook', 3)],
            ['balance' => 'tips right'],
            'Tips right: moments 20 and 30',
        ];
        yield 'a load hung elsewhere' => [
            $beam,
            [],
            [Act::press('hook', 3), Act::drag('load', 3, 250, 0)],
            ['left' => '20', 'right' => '0', 'loads' => '1'],
        ];
        yield 'a load taken off' => [$beam, [], [Act::press('hook', 3), Act::press('load', 3)], ['loads' => '0']];
        yield 'nothing hangs from the pivot' => [$beam, [], [Act::press('hook', 0)], ['loads' => '0']];
        yield 'Hooke' => [
            ManipulativeKind::Spring, ['stretch' => 4, 'weight' => 2], array_fill(0, 3, Act::press('add')),
            ['force' => '6', 'extension' => '24', 'length' => '104'], '6 N stretches it by 24 mm',
        ];
        yield 'no load below none' => [ManipulativeKind::Spring, [], [Act::press('take')], ['force' => '0']];
        yield 'two ropes halve the pull' => [
            ManipulativeKind::Pulley, ['load' => 75], [Act::press('pull', 10)], ['effort' => '75/2', 'up' => '5'],
        ];
        yield 'a rope pulled by hand' => [
            ManipulativeKind::Pulley,
            ['ropes' => 3],
            [Act::drag('rope', 0, 0, 360)],
            ['pulled' => '60', 'up' => '20', 'effort' => '20'],
        ];
        $circuit = ManipulativeKind::Circuit;
        yield 'an open switch' => [$circuit, [], [], ['lit' => '0', 'lamps' => '1', 'state' => 'open']];
        yield 'a shut one' => [$circuit, [], [Act::press('switch', 3)], ['lit' => '1', 'state' => 'closed']];
        yield 'without a lamp' => [
            $circuit, [], [Act::press('switch', 3), ...array_fill(0, 2, Act::press('place', 4))],
            ['state' => 'open', 'lamps' => '0'],
        ];
        yield 'a wire where the lamp was' => [
            $circuit, [], [Act::press('switch', 3), ...array_fill(0, 4, Act::press('place', 4))], ['lamps' => '0'],
        ];
        yield 'a bare branch beside a lamp' => [
            $circuit, ['branches' => 1], [Act::press('switch', 3)], ['lit' => '0', 'state' => 'short'],
        ];
        yield 'a lamp in each branch' => [
            $circuit,
            ['branches' => 1],
            [Act::press('switch', 3), Act::press('place', 6)],
            ['lit' => '2', 'state' => 'closed'],
        ];
        $atoms = ManipulativeKind::Atoms;
        $water = [Act::press('add', 3), Act::press('add', 0), Act::press('add', 0)];
        $bond = static fn (int $a, int $b): array => [Act::press('token', $a), Act::press('token', $b)];
        yield 'water' => [
            $atoms,
            [],
            [...$water, ...$bond(0, 1), ...$bond(0, 2)],
            ['formula' => 'H2O', 'bonds' => 'yes'],
            'H2O, all bonds used',
        ];
        yield 'a bond too few' => [$atoms, [], [...$water, ...$bond(0, 1)], ['bonds' => 'no']];
        yield 'a double bond' => [
            $atoms,
            [],
            [Act::press('add', 3), Act::press('add', 3), ...$bond(0, 1), ...$bond(1, 0)],
            ['formula' => 'O2', 'bonds' => 'yes'],
        ];
        yield 'carbon first, then hydrogen' => [
            $atoms,
            [],
            array_map(static fn (int $i): Act => Act::press('add', $i), [0, 0, 3, 1, 5]),
            ['formula' => 'CH2OS'],
        ];
        yield 'an atom that goes takes its bonds' => [
            $atoms,
            [],
            [...$water, ...$bond(0, 1), ...$bond(0, 2), Act::drag('token', 1, 2000, 0)],
            ['formula' => 'HO', 'bonds' => 'no'],
        ];
        $staff = ManipulativeKind::Staff;
        yield 'a chord’s notes' => [
            $staff,
            [],
            [Act::press('step', 0), Act::press('step', 2), Act::press('step', 4)],
            ['notes' => 'C4 E4 G4', 'beats' => '3'],
        ];
        yield 'a longer one' => [
            $staff,
            [],
            [Act::press('step', 5), Act::press('note')],
            ['notes' => 'A4', 'beats' => '2'],
        ];
        yield 'in the bass' => [$staff, ['clef' => 1], [Act::press('step', 0)], ['notes' => 'E2']];
    }

    /** @return iterable<string, Worked> */
    private static function space(): iterable
    {
        $solid = ManipulativeKind::Solid;
        $points = self::presses('point');
        $cube = ['wide' => 4, 'deep' => 4, 'high' => 4];
        yield 'a cuboid of 6, 4 and 5' => [$solid, [], [], ['volume' => '120', 'cut' => '0']];
        yield 'a space diagonal of a cube of 4' => [
            $solid,
            $cube,
            $points(0, 6),
            ['length' => '6.93'],
            'Length 6.93 cm',
        ];
        yield 'an edge' => [$solid, [], $points(0, 1), ['length' => '6']];
        yield 'a cut through three corners of a cube' => [
            $solid,
            $cube,
            $points(0, 2, 5),
            ['cut' => '3', 'area' => '13.86'],
            'Cut with 3 corners, area 13.86 cm²',
        ];
        yield 'half a cube' => [$solid, $cube, $points(0, 1, 6), ['cut' => '4', 'area' => '22.63']];
        // The middles of three edges no two of which meet.
        yield 'a hexagon in a cube' => [$solid, $cube, $points(9, 13, 17), ['cut' => '6', 'area' => '20.78']];
        yield 'a point pressed again is none' => [$solid, [], $points(0, 1, 1), ['length' => '0']];
        yield 'no fourth point' => [$solid, $cube, $points(0, 2, 5, 7), ['area' => '13.86']];
        yield 'a square pyramid is a third' => [
            $solid,
            ['shape' => 2, 'sides' => 4, 'wide' => 6, 'high' => 5],
            [],
            ['volume' => '30'],
        ];
        yield 'a hexagonal prism' => [
            $solid,
            ['shape' => 1, 'sides' => 6, 'wide' => 4, 'high' => 2],
            [],
            ['volume' => '20.78'],
        ];
        yield 'a cylinder' => [$solid, ['shape' => 3, 'wide' => 2, 'high' => 1], [], ['volume' => '3.14']];
        yield 'a cone' => [$solid, ['shape' => 4, 'wide' => 2, 'high' => 3], [], ['volume' => '3.14']];
        yield 'turned by a drag' => [
            $solid,
            [],
            [Act::drag('turn', 0, 290, 250)],
            [],
            'Cuboid, turned 295°, tilted 30°',
        ];
        yield 'cut 3 above the middle of a sphere of 5' => [
            ManipulativeKind::Sphere,
            ['cut' => 3],
            [],
            ['area' => '50.27', 'volume' => '523.6'],
        ];
        yield 'no cut beside the sphere' => [
            ManipulativeKind::Sphere,
            ['radius' => 2, 'cut' => 9],
            [],
            ['area' => '0'],
        ];
        $net = ManipulativeKind::FoldedNet;
        yield 'a net of 4, 3 and 5' => [$net, [], [], ['surface' => '94', 'folded' => '0']];
        yield 'folded it has the same surface' => [
            $net,
            [],
            [Act::press('fold', 100)],
            ['surface' => '94', 'folded' => '100'],
        ];
        yield 'no further than flat' => [$net, [], [Act::press('fold', -10)], ['folded' => '0']];
        $cubeOf = ManipulativeKind::CoordinateCube;
        yield 'the plane through the units' => [$cubeOf, [], [], ['plane' => 'x + y + z = 3'], 'Plane x + y + z = 3'];
        yield 'a plane that is typed' => [
            $cubeOf,
            [],
            [Act::type('place', 0, 2), Act::type('place', 4, 4)],
            ['plane' => '6x + 3y + 4z = 12'],
        ];
        yield 'three in a row are no plane' => [
            $cubeOf,
            [],
            [
                Act::type('place', 0, 0),
                Act::type('place', 4, 0),
                Act::type('place', 8, 0),
            ],
            ['plane' => ''],
        ];
        yield 'two points and their distance' => [$cubeOf, ['points' => 1], [], ['length' => '4.24', 'plane' => '']];
    }

    /** @return iterable<string, Worked> */
    private static function instruments(): iterable
    {
        $ruler = ManipulativeKind::Ruler;
        yield 'a ruler lies level' => [$ruler, [], [], ['turn' => '0'], 'Ruler at 0°'];
        yield 'turned up by its grip' => [$ruler, [], [Act::drag('grip', 0, -62, 692)], ['turn' => '270']];
        yield 'to the left' => [$ruler, [], [Act::drag('grip', 0, -692, -62)], ['turn' => '180']];
        yield 'pushed it is not turned' => [$ruler, [], [Act::drag('body', 0, 900, 500)], ['turn' => '0']];
        $compass = ManipulativeKind::Compass;
        yield 'opened 4 cm' => [$compass, [], [], ['opening' => '40'], 'Compasses open 40 mm'];
        yield 'typed' => [$compass, [], [Act::type('radius', 0, 25)], ['opening' => '25']];
        yield 'no wider than it goes' => [$compass, [], [Act::type('radius', 0, 900)], ['opening' => '100']];
        yield 'pulled at the hinge' => [$compass, [], [Act::drag('hinge', 0, 177, -200)], ['opening' => '60']];
        yield 'the pencil turned keeps it' => [$compass, [], [Act::drag('pencil', 0, 0, 90)], ['opening' => '40']];
        yield 'set down elsewhere keeps it' => [$compass, [], [Act::drag('needle', 0, 300, 90)], ['opening' => '40']];
    }

    /** @return iterable<string, Worked> */
    private static function more(): iterable
    {
        $bar = ManipulativeKind::FractionBar;
        $line = ManipulativeKind::NumberLine;
        $tiles = ManipulativeKind::AlgebraTiles;
        $data = ManipulativeKind::DataLine;
        $beam = ManipulativeKind::LoadedBeam;
        yield 'two halves and a third' => [
            $bar,
            ['rows' => 3, 'parts' => 2],
            [Act::press('more', 2), ...self::presses('cell')(0, 100, 200)],
            ['shaded' => '4/3'],
        ];
        yield 'three bars of fifths' => [
            $bar,
            ['rows' => 3, 'parts' => 5],
            self::presses('cell')(0, 101, 204),
            ['shaded' => '3/5'],
        ];
        yield 'ninety-nine tens' => [
            ManipulativeKind::BaseTen,
            ['value' => 990],
            [],
            ['value' => '990', 'blocks' => '18'],
        ];
        yield 'a thousand' => [ManipulativeKind::BaseTen, ['columns' => 4, 'value' => 1000], [], ['blocks' => '1']];
        yield 'a jump of a quarter' => [
            $line,
            ['from' => 0, 'to' => 1, 'parts' => 4],
            [Act::drag('end', 0, 275, 0)],
            ['at' => '1/4'],
        ];
        yield 'three jumps of two' => [
            $line,
            [],
            [Act::drag('end', 0, 220, 0), Act::drag('end', 0, 440, 0), Act::drag('end', 0, 660, 0)],
            ['at' => '6', 'jumps' => '3'],
            'From 0, jumps +2, +2, +2: at 6',
        ];
        yield 'six counters are no sum of signs' => [
            ManipulativeKind::Counters,
            ['first' => 0, 'second' => 6],
            [],
            ['total' => '-6', 'second' => '6'],
        ];
        yield 'a square of sides x + 3' => [
            $tiles,
            ['xs' => 6, 'ones' => 9],
            [Act::press('arrange')],
            [],
            'Rectangle: x² + 6x + 9 = (x + 3)(x + 3)',
        ];
        yield 'three x² and one' => [
            $tiles,
            ['squares' => 3, 'xs' => 4, 'ones' => 1],
            [Act::press('arrange')],
            ['tiles' => '8'],
            'Rectangle: 3x² + 4x + 1 = (x + 1)(3x + 1)',
        ];
        yield 'even values' => [
            $data,
            ['values' => '2, 4, 6, 8, 10, 12'],
            [],
            ['median' => '7', 'lower' => '4', 'upper' => '10'],
        ];
        yield 'five values' => [
            $data,
            ['values' => '1, 2, 3, 4, 5'],
            [],
            ['lower' => '1.5', 'upper' => '4.5', 'mean' => '3'],
        ];
        yield 'all the same' => [$data, ['values' => '7, 7, 7'], [], ['range' => '0', 'median' => '7', 'mean' => '7']];
        yield 'a load far out against three near' => [
            $beam,
            ['arms' => 6],
            [Act::press('hook', 6), ...array_fill(0, 3, Act::press('hook', -2))],
            ['balance' => 'balanced', 'left' => '60'],
        ];
        yield 'heavier loads' => [
            $beam,
            ['weight' => 25],
            [Act::press('hook', -4)],
            ['left' => '100', 'balance' => 'tips left'],
        ];
        yield 'four ropes' => [ManipulativeKind::Pulley, ['ropes' => 4, 'load' => 100], [], ['effort' => '25']];
        yield 'half past midnight' => [
            ManipulativeKind::Clock,
            ['hours' => 0, 'minutes' => 30],
            [],
            ['time' => '0:30'],
        ];
    }

    /** @return Closure(int ...): list<Act> presses on parts of a name */
    private static function presses(string $part): Closure
    {
        return static fn (int ...$n): array => array_map(
            static fn (int $one): Act => Act::press($part, $one),
            array_values($n),
        );
    }

    public function test_a_note_sounds_in_its_pitch(): void
    {
        $object = Hands::on(ManipulativeKind::Staff, [], Act::press('step', 5), Act::press('step', 0));
        $sounds = Staff::sounds($object->settings, $object->state);
        self::assertEqualsWithDelta([440.0, 4], $sounds[0], 1e-9);
        self::assertEqualsWithDelta(261.6256, $sounds[1][0], 1e-3);
    }

    /** @return iterable<array{array<string, int>}> */
    public static function nets(): iterable
    {
        foreach ([0, 1, 2] as $shape) {
            foreach ([3, 4, 5, 8] as $sides) {
                yield [['shape' => $shape, 'sides' => $sides, 'wide' => 5, 'deep' => 2, 'high' => 3]];
            }
        }
    }

    /** @param  array<string, int>  $settings */
    #[DataProvider('nets')]
    public function test_a_net_keeps_its_faces_however_far_it_is_folded(array $settings): void
    {
        $surface = static fn (int $folded): string => Hands::on(
            ManipulativeKind::FoldedNet,
            $settings,
            Act::press('fold', $folded),
        )->facts()['surface'];
        self::assertSame([$surface(0), $surface(0), $surface(0)], [$surface(30), $surface(70), $surface(100)]);
    }

    public function test_turning_a_solid_changes_nothing_that_is_measured(): void
    {
        mt_srand(5);
        for ($i = 0; $i < 40; $i++) {
            $points = [mt_rand(0, 19), mt_rand(0, 19), mt_rand(0, 19)];
            $object = Hands::on(
                ManipulativeKind::Solid,
                ['wide' => mt_rand(1, 9), 'high' => mt_rand(1, 9)],
                ...array_map(static fn (int $n): Act => Act::press('point', $n), $points),
            );
            $turned = $object->with(['act' => Act::drag('turn', 0, mt_rand(0, 460), mt_rand(0, 460))->toArray()]);
            self::assertSame($object->facts(), $turned->facts());
        }
    }

    public function test_a_pushed_ruler_lies_where_the_hand_put_it_and_back_again(): void
    {
        $start = Hands::on(ManipulativeKind::Ruler, [], Act::drag('grip', 0, 500, -300));
        $body = self::middleOf($start->sketch(), 'body');
        $pushed = $start->with(['act' => Act::drag('body', 0, $body[0] + 120, $body[1] - 40)->toArray()]);
        $there = self::middleOf($pushed->sketch(), 'body');
        self::assertEqualsWithDelta([$body[0] + 120, $body[1] - 40], $there, 1.1);
        $back = $pushed->with(['act' => Act::drag('body', 0, $body[0], $body[1])->toArray()]);
        self::assertEqualsWithDelta($start->state->toArray(), $back->state->toArray(), 1.0);
        self::assertTrue(ManipulativeKind::Ruler->isInstrument());
        self::assertFalse(ManipulativeKind::Clock->isInstrument());
    }

    /** @return array{int, int} */
    private static function middleOf(Sketch $sketch, string $part): array
    {
        foreach ($sketch->parts as $one) {
            if ($one->name === $part) {
                $xs = array_filter($one->outline, static fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY);
                $ys = array_filter($one->outline, static fn (int $i): bool => $i % 2 === 1, ARRAY_FILTER_USE_KEY);

                return [
                    (int) round((max($xs ?: [0]) + min($xs ?: [0])) / 2),
                    (int) round((max($ys ?: [0]) + min($ys ?: [0])) / 2),
                ];
            }
        }
        self::fail("There is no {$part}.");
    }

    public function test_chance_is_even(): void
    {
        $counts = array_fill(0, 6, 0);
        for ($n = 1; $n <= 6000; $n++) {
            $counts[Seeded::at(7, $n, 6)]++;
        }
        // Five degrees of freedom: 15 is passed by chance once in a hundred.
        $chi = array_sum(array_map(static fn (int $one): float => ($one - 1000) ** 2 / 1000, $counts));
        self::assertLessThan(15, $chi);
    }
}
