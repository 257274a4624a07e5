<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Json\Fields;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Paper;
use Crag\Render\NoPictures;
use Crag\Render\SceneSvg;
use DOMDocument;
use DOMElement;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BackdropSvgTest extends TestCase
{
    /** @param  array<string, mixed>  $settings */
    private static function svg(array $settings): DOMDocument
    {
        $document = new DOMDocument();
        $document->loadXML(SceneSvg::backdrop(Backdrop::read(new Fields($settings)), new NoPictures()));

        return $document;
    }

    /** @return list<string> */
    private static function texts(DOMDocument $svg): array
    {
        return array_map(
            static fn (DOMElement $text): string => $text->textContent,
            iterator_to_array($svg->getElementsByTagName('text'), false),
        );
    }

    private static function placeOf(DOMDocument $svg, string $written): float
    {
        foreach ($svg->getElementsByTagName('text') as $text) {
            if ($text->textContent === $written) {
                return (float) $text->getAttribute('x');
            }
        }
        self::fail("“{$written}” is not written.");
    }

    /** @return array<string, mixed> */
    private static function axes(float $from, float $to, int $equal = 1): array
    {
        return [
            'kind' => 'axes',
            'x_from' => $from,
            'x_to' => $to,
            'x_step' => 1,
            'y_from' => -5,
            'y_to' => 5,
            'y_step' => 1,
            'x_label' => 'x / m',
            'y_label' => 'F & <N>',
            'equal' => $equal,
        ];
    }

    public function test_axes_carry_their_numbers_but_zero_and_their_labels_as_text(): void
    {
        $texts = self::texts(self::svg(self::axes(-5, 10)));
        self::assertContains("\u{2212}5", $texts);
        self::assertContains('10', $texts);
        self::assertNotContains('0', $texts);
        self::assertContains('x / m', $texts);
        self::assertContains('F & <N>', $texts);
    }

    public function test_with_the_same_scale_a_step_is_as_long_across_as_up_and_in_the_middle_of_the_page(): void
    {
        $svg = self::svg(self::axes(-5, 5));
        self::assertEqualsWithDelta(
            Paper::wide()->width,
            self::placeOf($svg, "\u{2212}5") + self::placeOf($svg, '5'),
            0.5,
            'They stand as far from the left as from the right.',
        );
        // Without it, the axis is as long as the page allows.
        self::assertGreaterThan(self::placeOf($svg, '5'), self::placeOf(self::svg(self::axes(-5, 5, 0)), '5'));
    }

    public function test_a_long_axis_is_not_covered_with_numbers(): void
    {
        $texts = self::texts(self::svg(self::axes(0, 100, 0)));
        self::assertLessThanOrEqual(40, count($texts));
        self::assertContains('100', $texts);
    }

    public function test_the_parts_of_a_number_line_are_written_in_lowest_terms(): void
    {
        $svg = self::svg(['kind' => 'number-line', 'from' => 0, 'to' => 2, 'step' => 1, 'parts' => 4]);
        // 1/4 1/2 3/4 between 0 and 1, and again between 1 and 2.
        self::assertSame(
            ['0', '1', '4', '1', '2', '3', '4', '1', '1', '4', '1', '2', '3', '4', '2'],
            self::texts($svg),
        );
    }

    public function test_many_parts_are_ticks_without_words(): void
    {
        $svg = self::svg(['kind' => 'number-line', 'from' => 0, 'to' => 10, 'step' => 1, 'parts' => 10]);
        self::assertCount(11, self::texts($svg));
        self::assertSame(
            // Eleven long ticks, nine short ones in each of ten steps, and the line itself.
            11 + 90 + 1,
            substr_count((string) $svg->getElementsByTagName('path')->item(0)?->getAttribute('d'), 'M'),
        );
    }

    /** @return iterable<string, array{array<string, mixed>}> all but isometric, whose lines are cut off at the edge */
    public static function kinds(): iterable
    {
        yield 'blank' => [['kind' => 'blank']];
        yield 'lined' => [['kind' => 'lined']];
        yield 'squared' => [['kind' => 'squared', 'size' => 'small']];
        yield 'dotted' => [['kind' => 'dotted', 'size' => 'large']];
        yield 'axes' => [self::axes(-2.5, 7.5)];
    }

    /** @return iterable<string, array{array<string, mixed>, Paper}> */
    public static function kindsOnPapers(): iterable
    {
        foreach (self::kinds() as $kind => [$settings]) {
            foreach ([Paper::wide(), Paper::tall(), Paper::square(), Paper::like(210, 297)] as $paper) {
                yield "{$kind} on {$paper->text()}" => [$settings + ['paper' => $paper->text()], $paper];
            }
        }
    }

    /** @param  array<string, mixed>  $settings */
    #[DataProvider('kindsOnPapers')]
    public function test_every_backdrop_is_well_formed_and_fills_its_paper(array $settings, Paper $paper): void
    {
        $svg = self::svg($settings);
        self::assertSame("0 0 {$paper->width} {$paper->height}", $svg->documentElement?->getAttribute('viewBox'));
        foreach ($svg->getElementsByTagName('path') as $path) {
            preg_match_all('/[ML](-?[\d.]+) (-?[\d.]+)/', $path->getAttribute('d'), $points, PREG_SET_ORDER);
            foreach ($points as [, $x, $y]) {
                self::assertGreaterThan(-2, min((float) $x, (float) $y));
                self::assertLessThan($paper->width + 2, (float) $x);
                self::assertLessThan($paper->height + 2, (float) $y);
            }
        }
    }
}
