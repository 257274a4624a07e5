<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Checks\Level;
use Crag\Render\Xml;
use DateTimeImmutable;

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

    /** The number of a form of our own; those below belong to the format. */
    private const MOMENT = 164;

    private const DAY_S = 86400;

    private const DAYS_TO_1970 = 25569;

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
                    self::frozen().self::columns($table).Xml::element('sheetData', [], self::rows($table->rows)),
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
            Xml::element('Override', [
                'PartName' => '/xl/styles.xml',
                'ContentType' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.styles+xml',
            ]).
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
                Xml::element(
                    'Relationships',
                    ['xmlns' => self::PACKAGE.'/relationships'],
                    $links.Xml::element('Relationship', [
                        'Id' => 'rIdStyles',
                        'Type' => self::OFFICE.'/styles',
                        'Target' => 'styles.xml',
                    ]),
                ),
            ),
            'xl/styles.xml' => self::xml(self::styles()),
        ] + $files;
    }

    /**
     * Fonts, fills and forms of cells: 0 as they come, 1 a heading, 2 a moment, 3 to 6 the levels. The first two fills
     * belong to the format.
     */
    private static function styles(): string
    {
        $fonts = [self::font('25323B', false), self::font('25323B', true)];
        $fills = [self::fill('none', null), self::fill('gray125', null), self::fill('solid', 'DAD4C7')];
        $forms = [[0, 0, 0], [0, 1, 2], [self::MOMENT, 0, 0]];
        foreach (Level::cases() as $level) {
            [$behind, $colour] = Table::colours($level);
            $fonts[] = self::font($colour, false);
            $fills[] = self::fill('solid', $behind);
            $forms[] = [0, count($fonts) - 1, count($fills) - 1];
        }

        return Xml::element(
            'styleSheet',
            ['xmlns' => self::MAIN],
            self::counted('numFmts', [
                Xml::element('numFmt', ['numFmtId' => self::MOMENT, 'formatCode' => 'yyyy\\-mm\\-dd\\ hh:mm']),
            ]).
                self::counted('fonts', $fonts).
                self::counted('fills', $fills).
                self::counted('borders', [Xml::element('border', [])]).
                self::counted('cellStyleXfs', [Xml::element('xf', ['numFmtId' => 0, 'fontId' => 0, 'fillId' => 0])]).
                self::counted(
                    'cellXfs',
                    array_map(
                        static fn (array $form): string => Xml::element('xf', [
                            'numFmtId' => $form[0],
                            'fontId' => $form[1],
                            'fillId' => $form[2],
                            'borderId' => 0,
                            'xfId' => 0,
                            'applyNumberFormat' => $form[0] === 0 ? 0 : 1,
                            'applyFont' => 1,
                            'applyFill' => 1,
                        ]),
                        $forms,
                    ),
                ),
        );
    }

    /** @param  list<string>  $parts */
    private static function counted(string $name, array $parts): string
    {
        return Xml::element($name, ['count' => count($parts)], implode('', $parts));
    }

    private static function font(string $colour, bool $isBold): string
    {
        return Xml::element(
            'font',
            [],
            ($isBold ? Xml::element('b', []) : '').
                Xml::element('sz', ['val' => 11]).
                Xml::element('color', ['rgb' => "FF{$colour}"]).
                Xml::element('name', ['val' => 'Calibri']),
        );
    }

    private static function fill(string $pattern, ?string $colour): string
    {
        return Xml::element(
            'fill',
            [],
            Xml::element(
                'patternFill',
                ['patternType' => $pattern],
                $colour === null ? '' : Xml::element('fgColor', ['rgb' => "FF{$colour}"]),
            ),
        );
    }

    /** The headings stay in sight. */
    private static function frozen(): string
    {
        return Xml::element(
            'sheetViews',
            [],
            Xml::element(
                'sheetView',
                ['workbookViewId' => 0],
                Xml::element('pane', [
                    'ySplit' => 1,
                    'topLeftCell' => 'A2',
                    'activePane' => 'bottomLeft',
                    'state' => 'frozen',
                ]),
            ),
        );
    }

    private static function columns(Table $table): string
    {
        $columns = '';
        foreach ($table->widths() as $c => $width) {
            $columns .= Xml::element('col', [
                'min' => $c + 1,
                'max' => $c + 1,
                'width' => $width,
                'customWidth' => 1,
            ]);
        }

        return $columns === '' ? '' : Xml::element('cols', [], $columns);
    }

    /** @param  list<list<string|int|float|DateTimeImmutable|Level|null>>  $rows */
    private static function rows(array $rows): string
    {
        $xml = '';
        foreach ($rows as $r => $row) {
            $cells = '';
            foreach ($row as $c => $value) {
                $at = ['r' => self::column($c).($r + 1)] + ($r === 0 ? ['s' => 1] : []);
                $cells .= match (true) {
                    $value === null, $value === '' => $r === 0 ? Xml::element('c', $at) : '',
                    is_string($value) => Xml::element(
                        'c',
                        $at + ['t' => 'inlineStr'],
                        Xml::element('is', [], Xml::element('t', ['xml:space' => 'preserve'], Xml::text($value))),
                    ),
                    $value instanceof DateTimeImmutable => Xml::element(
                        'c',
                        ['s' => 2] + $at,
                        Xml::element('v', [], self::serial($value)),
                    ),
                    $value instanceof Level => Xml::element(
                        'c',
                        ['s' => 3 + $value->value] + $at,
                        Xml::element('v', [], (string) $value->value),
                    ),
                    default => Xml::element('c', $at, Xml::element('v', [], (string) $value)),
                };
            }
            $xml .= Xml::element('row', ['r' => $r + 1], $cells);
        }

        return $xml;
    }

    /**
     * Days since the last day of 1899, by the wall's clock: part 1, clause 18.17.4.1. Half a millisecond is added: a
     * second has no exact part of a day, and some programs cut where others round.
     */
    private static function serial(DateTimeImmutable $moment): string
    {
        $days = ($moment->getTimestamp() + $moment->getOffset() + 0.0005) / self::DAY_S + self::DAYS_TO_1970;

        return number_format($days, 10, '.', '');
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
