<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Render\Xml;

/**
 * A workbook in Office Open XML (ECMA-376, ISO/IEC 29500): part 1, clauses 18.2 and 18.3, in its transitional form.
 * Words are inline strings, so that nothing in them is run as a formula.
 */
final class Xlsx
{
    public const MIME = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

    private const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

    private const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

    private const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';

    /** What a sheet's name must not hold, and how long it may be. */
    private const NOT_IN_NAMES = '/[\[\]:*?\/\\\\]/u';

    private const LONGEST_NAME = 31;

    /**
     * @param  list<Table>  $tables
     * @return array<string, string> the files of the package by path
     */
    public static function files(array $tables): array
    {
        $sheets = $links = $types = '';
        $files = [];
        foreach ($tables as $i => $table) {
            $n = $i + 1;
            $name = mb_substr(
                trim((string) preg_replace(self::NOT_IN_NAMES, ' ', $table->name)),
                0,
                self::LONGEST_NAME,
            );
            $sheets .= Xml::element('sheet', [
                'name' => $name === '' ? "Sheet {$n}" : $name,
                'sheetId' => $n,
                'r:id' => "rId{$n}",
            ]);
            $links .= Xml::element('Relationship', [
                'Id' => "rId{$n}",
                'Type' => self::OFFICE.'/worksheet',
                'Target' => "worksheets/sheet{$n}.xml",
            ]);
            $types .= Xml::element('Override', [
                'PartName' => "/xl/worksheets/sheet{$n}.xml",
                'ContentType' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml',
            ]);
            $files["xl/worksheets/sheet{$n}.xml"] = self::xml(
                Xml::element(
                    'worksheet',
                    ['xmlns' => self::MAIN],
                    Xml::element('sheetData', [], self::rows($table->rows)),
                ),
            );
        }
        $types =
            Xml::element('Default', [
                'Extension' => 'rels',
                'ContentType' => 'application/vnd.openxmlformats-package.relationships+xml',
            ]).
            Xml::element('Default', ['Extension' => 'xml', 'ContentType' => 'application/xml']).
            Xml::element('Override', ['PartName' => '/xl/workbook.xml', 'ContentType' => self::MIME.'.main+xml']).
            $types;

        return [
            '[Content_Types].xml' => self::xml(
                Xml::element('Types', ['xmlns' => self::PACKAGE.'/content-types'], $types),
            ),
            '_rels/.rels' => self::xml(
                Xml::element(
                    'Relationships',
                    ['xmlns' => self::PACKAGE.'/relationships'],
                    Xml::element('Relationship', [
                        'Id' => 'rId1',
                        'Type' => self::OFFICE.'/officeDocument',
                        'Target' => 'xl/workbook.xml',
                    ]),
                ),
            ),
            'xl/workbook.xml' => self::xml(
                Xml::element(
                    'workbook',
                    ['xmlns' => self::MAIN, 'xmlns:r' => self::OFFICE],
                    Xml::element('sheets', [], $sheets),
                ),
            ),
            'xl/_rels/workbook.xml.rels' => self::xml(
                Xml::element('Relationships', ['xmlns' => self::PACKAGE.'/relationships'], $links),
            ),
        ] + $files;
    }

    /** @param  list<list<string|int|float|null>>  $rows */
    private static function rows(array $rows): string
    {
        $xml = '';
        foreach ($rows as $r => $row) {
            $cells = '';
            foreach ($row as $c => $value) {
                $at = self::column($c).($r + 1);
                $cells .= match (true) {
                    $value === null, $value === '' => '',
                    is_string($value) => Xml::element(
                        'c',
                        ['r' => $at, 't' => 'inlineStr'],
                        Xml::element('is', [], Xml::element('t', ['xml:space' => 'preserve'], Xml::text($value))),
                    ),
                    default => Xml::element('c', ['r' => $at], Xml::element('v', [], (string) $value)),
                };
            }
            $xml .= Xml::element('row', ['r' => $r + 1], $cells);
        }

        return $xml;
    }

    /** A, B, … Z, AA, AB … */
    private static function column(int $n): string
    {
        $name = '';
        for ($n++; $n > 0; $n = intdiv($n - 1, 26)) {
            $name = chr(65 + (($n - 1) % 26)).$name;
        }

        return $name;
    }

    private static function xml(string $root): string
    {
        return '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>'.$root;
    }
}
