<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Checks\Level;
use Crag\Formats\Ods;
use Crag\Formats\Table;
use Crag\Formats\Xlsx;
use DateTimeImmutable;
use PHPUnit\Framework\TestCase;
use SimpleXMLElement;

final class SpreadsheetTest extends TestCase
{
    public function test_every_part_is_sound_xml_and_what_was_put_in_comes_out(): void
    {
        foreach ([Ods::files(self::tables()), Xlsx::files(self::tables())] as $files) {
            foreach (array_diff_key($files, ['mimetype' => true]) as $path => $xml) {
                self::assertInstanceOf(SimpleXMLElement::class, simplexml_load_string($xml), $path);
            }
        }
        self::assertSame('mimetype', array_key_first(Ods::files([])));
        $content = Ods::files(self::tables())['content.xml'];
        self::assertSame(['Checks', 'Answers/2'], self::found('//table:table/@table:name', $content));
        self::assertSame(
            ['Name', 'Level', 'نور & <Co>', '2.5', '=1+1', 'two', 'lines', 'x'],
            self::found('//text:p', $content),
        );
        self::assertSame(['2.5'], self::found('//@office:value', $content), 'a formula in words is words');
    }

    public function test_a_workbook_names_its_sheets_as_it_may_and_its_cells_by_place(): void
    {
        $files = Xlsx::files(self::tables());
        self::assertSame(
            ['Checks', 'Answers 2'],
            self::found('//*[local-name()="sheet"]/@name', $files['xl/workbook.xml']),
        );
        $sheet = $files['xl/worksheets/sheet1.xml'];
        self::assertSame(['2.5'], self::found("//*[local-name()='c'][@r='B2']/*[local-name()='v']", $sheet));
        self::assertSame(['=1+1'], self::found("//*[local-name()='c'][@r='A3']//*[local-name()='t']", $sheet));
        self::assertSame([], self::found('//*[local-name()="f"]', $sheet));
        $wide = Xlsx::files([new Table('W', [array_fill(0, 28, 1)])])['xl/worksheets/sheet1.xml'];
        self::assertSame('AB1', self::found('//*[local-name()="c"]/@r', $wide)[27]);
    }

    public function test_headings_stay_in_sight_moments_can_be_reckoned_with_and_levels_have_their_colour(): void
    {
        $at = new DateTimeImmutable('2026-11-29T12:37:08+05:45');
        $tables = [new Table('Checks', [['Name', 'Level', 'At'], ['نور', Level::Nearly, $at]])];
        $ods = Ods::files($tables);
        self::assertSame(['2026-11-29T12:37:08'], self::found('//@office:date-value', $ods['content.xml']));
        self::assertSame(
            ['heading', 'heading', 'heading', 'level2', 'at'],
            self::found('//table:table-cell/@table:style-name', $ods['content.xml']),
        );
        self::assertSame(['2', '1', '1'], self::found('//config:config-item', $ods['settings.xml']));
        self::assertStringContainsString('settings.xml', $ods['META-INF/manifest.xml']);
        $xlsx = Xlsx::files($tables);
        $sheet = $xlsx['xl/worksheets/sheet1.xml'];
        self::assertSame(['frozen'], self::found('//*[local-name()="pane"]/@state', $sheet));
        $cell = static fn (string $place, string $what): array => self::found(
            "//*[local-name()='c'][@r='{$place}']/{$what}",
            $sheet,
        );
        // 29 November 2026 is the 46,355th day; 12:37:08 on the wall is 45,428 of its seconds.
        [$serial] = $cell('C2', "*[local-name()='v']");
        self::assertEqualsWithDelta(46355 + 45428 / 86400, (float) $serial, 1e-6);
        self::assertSame(['2'], $cell('C2', '@s'));
        self::assertSame([['5'], ['2']], [$cell('B2', '@s'), $cell('B2', "*[local-name()='v']")]);
        $forms = self::found('//*[local-name()="cellXfs"]/*[local-name()="xf"]/@fillId', $xlsx['xl/styles.xml']);
        $fills = self::found('//*[local-name()="fgColor"]/@rgb', $xlsx['xl/styles.xml']);
        // The first two fills are the format's own, without a colour.
        self::assertSame('FFA9C29B', $fills[(int) $forms[5] - 2]);
        self::assertSame([['نور', 2, '2026-11-29T12:37:08+05:45']], array_slice($tables[0]->plain(), 1));
    }

    public function test_columns_are_as_wide_as_what_is_in_them_and_no_wider_than_a_page(): void
    {
        $table = new Table('W', [['A', 'Words', 'At'], [1, str_repeat('x', 200), new DateTimeImmutable()], [2, "ab\ncdefghij"]]);
        self::assertSame([7, 60, 18], $table->widths());
        self::assertSame([], (new Table('Empty', []))->widths());
        foreach ([Ods::files([new Table('Empty', [])]), Xlsx::files([new Table('Empty', [])])] as $files) {
            foreach (array_diff_key($files, ['mimetype' => true]) as $path => $xml) {
                self::assertInstanceOf(SimpleXMLElement::class, simplexml_load_string($xml), $path);
            }
        }
    }

    /** @return list<Table> */
    private static function tables(): array
    {
        return [
            new Table('Checks', [['Name', 'Level'], ['نور & <Co>', 2.5], ['=1+1', null]]),
            new Table('Answers/2', [["two\nlines"], ['', 'x']]),
        ];
    }

    /** @return list<string> */
    private static function found(string $path, string $xml): array
    {
        $root = simplexml_load_string($xml);
        self::assertInstanceOf(SimpleXMLElement::class, $root);
        foreach (['table', 'text', 'office', 'config'] as $name) {
            $root->registerXPathNamespace($name, "urn:oasis:names:tc:opendocument:xmlns:{$name}:1.0");
        }

        return array_values(array_map(strval(...), (array) $root->xpath($path)));
    }
}
