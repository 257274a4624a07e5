<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Formats\Ods;
use Crag\Formats\Table;
use Crag\Formats\Xlsx;
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
        foreach (['table', 'text', 'office'] as $name) {
            $root->registerXPathNamespace($name, "urn:oasis:names:tc:opendocument:xmlns:{$name}:1.0");
        }

        return array_values(array_map(strval(...), (array) $root->xpath($path)));
    }
}
