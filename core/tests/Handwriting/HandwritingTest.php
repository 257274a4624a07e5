<?php

declare(strict_types=1);

namespace Crag\Tests\Handwriting;

use Crag\Canvas\Drawing\Colour;
use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Scene;
use Crag\Handwriting\Features;
use Crag\Handwriting\InkInBox;
use Crag\Handwriting\InLatex;
use Crag\Handwriting\Made\Forms;
use Crag\Handwriting\Made\Hand;
use Crag\Handwriting\Made\Trial;
use Crag\Handwriting\Network;
use Crag\Handwriting\OwnForms;
use Crag\Handwriting\ReadLine;
use Crag\Handwriting\Segmented;
use Crag\Handwriting\Trace;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Question\Spot;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Handwriting in made-up hands, read as answers. */
final class HandwritingTest extends TestCase
{
    /** @var array<string, float> by kind of line, once for all of them */
    private static array $right = [];

    public function test_a_sign_looks_the_same_wherever_and_however_large_and_in_whatever_order_it_is_drawn(): void
    {
        $strokes = self::hand()->sign('4');
        $features = Features::of(Trace::of($strokes), 100);
        self::assertCount(Features::COUNT, $features);
        $moved = array_map(
            static fn (array $stroke): array => array_map(
                static fn (array $at): array => [3 * $at[0] + 700, 3 * $at[1] - 90],
                $stroke,
            ),
            $strokes,
        );
        self::assertEqualsWithDelta($features, Features::of(Trace::of($moved), 300), 1e-9);
        $other = array_map(array_reverse(...), array_reverse($strokes));
        self::assertEqualsWithDelta($features, Features::of(Trace::of($other), 100), 1e-9);
    }

    public function test_a_dot_a_line_and_nothing_at_all_have_features(): void
    {
        foreach ([[[[5.0, 5.0]]], [[[0.0, 0.0], [9.0, 0.0]]], [[[4.0, 4.0], [4.0, 4.0]]], []] as $strokes) {
            foreach (Features::of(Trace::of($strokes), 0.0) as $one) {
                self::assertTrue(is_finite($one));
            }
        }
    }

    public function test_one_hand_always_writes_alike_and_another_does_not(): void
    {
        self::assertEquals(self::hand(3)->line('240 Nm'), self::hand(3)->line('240 Nm'));
        self::assertNotEquals(self::hand(3)->line('240 Nm'), self::hand(4)->line('240 Nm'));
        self::assertNotEquals(self::hand(3)->sign('7'), self::hand(4)->sign('7'));
    }

    public function test_signs_of_forms_that_were_never_shown_are_told_apart(): void
    {
        ['signs' => $signs, 'right' => $right] = Trial::signs(4, 900);
        self::assertGreaterThan(400, $signs);
        self::assertGreaterThan(0.95, $right);
    }

    public function test_what_the_network_says_adds_up_and_knows_what_is_no_sign(): void
    {
        $likely = Network::shipped()->tell(Features::of(Trace::of(self::hand()->sign('8')), 100));
        self::assertEqualsWithDelta(1.0, array_sum($likely), 1e-9);
        self::assertArrayHasKey(Network::NONE, $likely);
        // Two signs in one.
        $two = self::hand()->line('38')['trace'];
        $likely = Network::shipped()->tell(Features::of($two, 100));
        arsort($likely);
        self::assertSame(Network::NONE, array_key_first($likely));
    }

    public function test_strokes_that_belong_together_are_put_together(): void
    {
        foreach (['240', '7+8', 'x=5', '90÷6', '45%', '±7', 'F=80N'] as $line) {
            ['trace' => $trace, 'signs' => $written] = self::hand()->line($line);
            $signs = Segmented::of($trace, Network::shipped(), OwnForms::none())['signs'];
            self::assertSame(
                array_column($written, 'strokes'),
                array_map(static fn ($sign): int => count($sign->strokes), $signs),
                $line,
            );
        }
    }

    public function test_a_bar_that_is_added_at_the_end_belongs_to_its_seven(): void
    {
        // 7 2 8, and then the bar of the 7.
        $strokes = [
            [[10.0, 10.0], [70.0, 8.0], [55.0, 50.0], [40.0, 100.0]],
            [[110.0, 25.0], [130.0, 4.0], [160.0, 8.0], [165.0, 40.0], [105.0, 98.0], [175.0, 99.0]],
            [
                [255.0, 22.0], [230.0, 2.0], [208.0, 24.0], [262.0, 74.0], [235.0, 100.0], [205.0, 76.0], [250.0, 32.0],
                [258.0, 14.0],
            ],
            [[28.0, 52.0], [72.0, 49.0]],
        ];
        $signs = Segmented::of(Trace::of(self::smooth($strokes)), Network::shipped(), OwnForms::none())['signs'];
        self::assertSame([[0, 3], [1], [2]], array_map(static fn ($sign): array => $sign->strokes, $signs));
    }

    /** @return iterable<string, array{string, float}> */
    public static function kinds(): iterable
    {
        foreach (array_keys(Trial::LINES) as $kind) {
            yield $kind => [$kind, 0.8];
        }
    }

    #[DataProvider('kinds')]
    public function test_every_kind_of_line_is_read_well_enough_to_be_offered(string $kind, float $least): void
    {
        self::$right = self::$right === [] ? Trial::lines(5, 7_000)['kinds'] : self::$right;
        self::assertGreaterThanOrEqual($least, self::$right[$kind]);
    }

    public function test_what_it_is_sure_of_is_right(): void
    {
        ['sure' => $sure, 'sure_wrong' => $wrong] = Trial::lines(3, 9_000);
        self::assertGreaterThan(0.6, $sure);
        self::assertLessThan(0.05, $wrong);
    }

    public function test_nothing_a_dot_and_a_scribble_are_read_without_harm(): void
    {
        self::assertSame('', ReadLine::of(Trace::of([]), OwnForms::none())->text);
        self::assertCount(1, ReadLine::of(Trace::of([[[5.0, 5.0]]]), OwnForms::none())->named);
        mt_srand(3);
        $scribble = [];
        for ($i = 0; $i < 60; $i++) {
            $scribble[] = array_map(
                static fn (): array => [(float) mt_rand(0, 400), (float) mt_rand(0, 200)],
                range(0, 40),
            );
        }
        self::assertFalse(ReadLine::of(Trace::of($scribble), OwnForms::none())->isSure);
    }

    public function test_what_is_confirmed_and_corrected_is_learned(): void
    {
        $seven = Trace::of(self::hand()->sign('7'));
        $read = ReadLine::of($seven, OwnForms::none());
        self::assertSame('7', $read->text);
        self::assertTrue($read->says(' 7 '));
        $own = $read->corrected(OwnForms::none(), '1');
        self::assertSame('1', ReadLine::of($seven, $own)->text);
        // Kept and read again it is the same hand.
        $kept = OwnForms::read(new Fields((array) json_decode((string) json_encode($own->toArray()), true)));
        self::assertSame('1', ReadLine::of($seven, $kept)->text);
        // What does not have as many signs teaches nothing.
        self::assertTrue($read->corrected(OwnForms::none(), '17')->isEmpty());
        self::assertFalse($read->learned(OwnForms::none())->isEmpty());
        // Other signs of the same hand are read as before.
        self::assertSame('38', ReadLine::of(self::hand()->line('38')['trace'], $own)->text);
    }

    /** @return iterable<array{string, string}> */
    public static function typeset(): iterable
    {
        yield ['(3)/(4)', '\frac{3}{4}'];
        yield ['3/4', '\frac{3}{4}'];
        yield ['9.8 m/s^2', '9.8 m/s^{2}'];
        yield ['√(50)', '\sqrt{50}'];
        yield ['√((3)/(4))', '\sqrt{\frac{3}{4}}'];
        yield ['(x+1)/(x−1)', '\frac{x+1}{x-1}'];
        yield ['(x+2)(x−5)', '(x+2)(x-5)'];
        yield ['m s^(−2)', 'm s^{-2}'];
        yield ['45%', '45\%'];
        yield ['5 ± 2', '5 \pm  2'];
    }

    #[DataProvider('typeset')]
    public function test_what_was_read_is_set_in_type(string $text, string $latex): void
    {
        self::assertSame($latex, InLatex::of($text));
    }

    public function test_only_so_many_forms_are_kept_and_odd_ones_are_refused(): void
    {
        $own = OwnForms::none();
        $features = Features::of(Trace::of(self::hand()->sign('7')), 100);
        for ($i = 0; $i < OwnForms::MOST + 5; $i++) {
            $own = $own->with((string) ($i % 10), $features);
        }
        self::assertCount(OwnForms::MOST, $own->toArray()['forms']);
        foreach ([[['7']], [['7', [1, 2]]], [[7, $features]], ['7']] as $odd) {
            try {
                OwnForms::read(new Fields(['forms' => $odd]));
                self::fail('odd forms');
            } catch (UnreadableFields $problem) {
                self::assertStringContainsString('forms', $problem->getMessage());
            }
        }
    }

    public function test_the_students_pen_in_the_box_is_what_is_read(): void
    {
        $spot = Spot::read(new Fields(['page' => 0, 'x' => 100, 'y' => 100, 'w' => 400, 'h' => 100]));
        $scene = new Scene(['p' => Backdrop::blank(), 'q' => Backdrop::blank()], [
            'in' => self::placed(150, 150),
            'beside' => self::placed(150, 300),
            'marker' => self::placed(150, 150, highlights: true),
            'elsewhere' => self::placed(150, 150, page: 'q'),
            'coach' => self::placed(150, 150, layer: Layer::Coach),
        ]);
        self::assertCount(1, InkInBox::of($scene, $spot)->strokes ?? []);
        self::assertCount(2, InkInBox::named($scene, ['in', 'beside', 'coach', 'gone'])->strokes ?? []);
        // A stroke of thousands of places is looked at in few.
        $long = Ink::of(array_map(
            static fn (int $n): array => [1500 + $n % 700, 1200 + $n % 300, 128, 8 * $n],
            range(0, 3000),
        ));
        $slow = new Scene(['p' => Backdrop::blank()], [
            'long' => new PlacedObject(Layer::Student, 'p', new Stroke(Colour::from('#25323b'), 40, $long)),
        ]);
        self::assertCount(101, InkInBox::of($slow, $spot)->strokes[0] ?? []);
        $many = [];
        for ($i = 0; $i < 81; $i++) {
            $many["s{$i}"] = self::placed(150, 150);
        }
        self::assertNull(InkInBox::of(new Scene(['p' => Backdrop::blank()], $many), $spot));
    }

    private static function placed(
        int $x,
        int $y,
        string $page = 'p',
        Layer $layer = Layer::Student,
        bool $highlights = false,
    ): PlacedObject {
        $ink = Ink::of([[10 * $x, 10 * $y, 128, 0], [10 * $x + 100, 10 * $y + 50, 128, 16]]);

        return new PlacedObject($layer, $page, new Stroke(Colour::from('#25323b'), 40, $ink, $highlights));
    }

    /**
     * @param  list<list<array{float, float}>>  $strokes
     * @return list<list<array{float, float}>> with more places on the way
     */
    private static function smooth(array $strokes): array
    {
        return array_map(static function (array $stroke): array {
            $line = [$stroke[0]];
            for ($i = 1; $i < count($stroke); $i++) {
                for ($n = 1; $n <= 8; $n++) {
                    $line[] = [
                        $stroke[$i - 1][0] + ($stroke[$i][0] - $stroke[$i - 1][0]) * $n / 8,
                        $stroke[$i - 1][1] + ($stroke[$i][1] - $stroke[$i - 1][1]) * $n / 8,
                    ];
                }
            }

            return $line;
        }, $strokes);
    }

    private static function hand(int $seed = 11): Hand
    {
        return new Hand(Forms::all(true), $seed);
    }
}
