<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Backdrop\BackdropKind;
use Crag\Prompt\Values\Range;
use Crag\Render\BackdropSvg;
use Crag\Render\NoPictures;
use DOMDocument;
use DOMXPath;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BackdropTest extends TestCase
{
    private const AXES = [
        'kind' => 'axes',
        'x_from' => -4,
        'x_to' => 12,
        'x_step' => 2,
        'y_from' => 0,
        'y_to' => 300,
        'y_step' => 50,
        'x_label' => 'd / m',
        'y_label' => 'F / N',
        'equal' => 0,
    ];

    private const LINE = ['kind' => 'number-line', 'from' => 0, 'to' => 2, 'step' => 1, 'parts' => 4];

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function backdrops(): iterable
    {
        foreach (['blank', 'lined', 'millimetre'] as $kind) {
            yield $kind => [['kind' => $kind]];
        }
        foreach (['squared', 'dotted', 'isometric'] as $kind) {
            foreach (['small', 'middle', 'large'] as $size) {
                yield "{$kind} {$size}" => [['kind' => $kind, 'size' => $size]];
            }
        }
        foreach (BackdropKind::cases() as $kind) {
            foreach (array_keys($kind->variants()) as $i => $variant) {
                // The usual one is not written down.
                yield "{$kind->value} {$variant}" => [
                    ['kind' => $kind->value] + ($i === 0 ? [] : ['variant' => $variant]),
                ];
            }
        }
        yield 'axes' => [self::AXES];
        yield 'number line' => [self::LINE];
        yield 'tenths' => [['kind' => 'number-line', 'from' => -0.5, 'to' => 0.5, 'step' => 0.1, 'parts' => 1]];
        yield 'picture' => [['kind' => 'picture', 'asset' => 'abc']];
    }

    /** @param  array<string, mixed>  $json */
    #[DataProvider('backdrops')]
    public function test_every_backdrop_reads_back_and_is_drawn_well_formed(array $json): void
    {
        $backdrop = Backdrop::read(new Fields($json));
        self::assertSame($json, $backdrop->toArray());
        self::assertTrue((new DOMDocument())->loadXML('<g>'.BackdropSvg::draw($backdrop, new NoPictures()).'</g>'));
    }

    public function test_no_two_rulings_look_alike(): void
    {
        $drawn = [];
        foreach (self::backdrops() as [$json]) {
            $drawn[] = BackdropSvg::draw(Backdrop::read(new Fields($json)), new NoPictures());
        }
        array_pop($drawn);
        self::assertCount(count($drawn), array_unique($drawn));
    }

    public function test_axes_stand_at_nought_and_carry_their_numbers_and_labels(): void
    {
        $paths = self::drawn(self::AXES);
        $texts = self::texts($paths);
        self::assertSame(
            [
                "\u{2212}4",
                "\u{2212}2",
                '2',
                '4',
                '6',
                '8',
                '10',
                '12',
                '50',
                '100',
                '150',
                '200',
                '250',
                '300',
                'd / m',
                'F / N',
            ],
            $texts,
        );
        // Nought on the x axis lies a quarter of the way from -4 to 12: 70 + 1460 / 4.
        self::assertStringContainsString('M435 942', self::string($paths, 'string(//path[2]/@d)'));
    }

    public function test_axes_have_the_same_scale_both_ways_unless_that_is_not_wanted(): void
    {
        $round = ['x_from' => 0, 'x_to' => 20, 'x_step' => 1, 'y_from' => 0, 'y_to' => 10, 'y_step' => 1] + self::AXES;
        unset($round['equal']);
        $paths = self::drawn($round);
        // 1460 units for 20 are 73 for one; the page has room for 73 × 10 upwards, in its middle.
        self::assertStringContainsString('M70 135V865M143 135V865', self::string($paths, 'string(//path[1]/@d)'));
        self::assertStringContainsString('M70 865H1530M70 792H1530', self::string($paths, 'string(//path[1]/@d)'));
    }

    public function test_a_number_line_cut_in_quarters_names_them_in_lowest_terms(): void
    {
        $texts = self::texts(self::drawn(self::LINE));
        self::assertSame(['0', '1', '4', '1', '2', '3', '4', '1', '1', '4', '1', '2', '3', '4', '2'], $texts);
    }

    public function test_ticks_are_whole_steps_and_labels_thin_out(): void
    {
        $range = Range::read(new Fields(['from' => -0.3, 'to' => 0.3, 'step' => 0.1]));
        self::assertSame(
            ['-0.3', '-0.2', '-0.1', '0.0', '0.1', '0.2', '0.3'],
            array_map(static fn (float $tick): string => number_format($tick, 1), $range->ticks()),
        );
        self::assertSame(1, $range->labelEvery(25));
        self::assertSame(10, Range::read(new Fields(['from' => 0, 'to' => 199, 'step' => 1]))->labelEvery(25));
    }

    /** @param  array<string, mixed>  $json */
    #[DataProvider('unreadable')]
    public function test_what_cannot_be_drawn_is_refused_with_the_reason(array $json, string $reason): void
    {
        $this->expectException(UnreadableFields::class);
        $this->expectExceptionMessage($reason);
        Backdrop::read(new Fields($json));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unreadable(): iterable
    {
        yield 'a kind from nowhere' => [['kind' => 'lava'], '"kind"'];
        yield 'a picture without one' => [['kind' => 'picture'], '"asset"'];
        yield 'a size from nowhere' => [['kind' => 'squared', 'size' => 'huge'], '"size"'];
        yield 'an axis backwards' => [['x_to' => -5] + self::AXES, 'Across: “to” must be above “from”'];
        yield 'an axis of dust' => [['y_step' => 0.001] + self::AXES, 'Upwards: the step is so small'];
        yield 'an axis to infinity' => [
            ['y_to' => INF] + self::AXES,
            'Upwards: “from”, “to” and “step” must be numbers',
        ];
        yield 'a line without a step' => [['step' => 0] + self::LINE, 'the step must be above 0'];
        yield 'a line in a hundred parts' => [['parts' => 100] + self::LINE, '"parts" is 100'];
        yield 'too many parts of too many steps' => [['to' => 150, 'parts' => 12] + self::LINE, 'too many parts'];
    }

    /** @param  array<string, mixed>  $json */
    private static function drawn(array $json): DOMXPath
    {
        $document = new DOMDocument();
        $document->loadXML('<g>'.BackdropSvg::draw(Backdrop::read(new Fields($json)), new NoPictures()).'</g>');

        return new DOMXPath($document);
    }

    /** @return list<string> */
    private static function texts(DOMXPath $paths): array
    {
        $texts = [];
        foreach ($paths->query('//text') ?: [] as $text) {
            $texts[] = (string) $text->nodeValue;
        }

        return $texts;
    }

    private static function string(DOMXPath $paths, string $expression): string
    {
        $value = $paths->evaluate($expression);
        self::assertIsString($value);

        return $value;
    }
}
