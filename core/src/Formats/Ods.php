<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Checks\Level;
use Crag\Render\Xml;
use DateTimeImmutable;

/**
 * A spreadsheet in OpenDocument 1.3 (OASIS; ISO/IEC 26300): part 3, clause 9, for the tables, part 2 for the package.
 * Words stand in cells of type string, so that nothing in them is run as a formula.
 */
final class Ods
{
    public const MIME = 'application/vnd.oasis.opendocument.spreadsheet';

    /** How wide a character is on the whole, in centimetres. */
    private const CM_A_CHARACTER = 0.2;

    private const NAMESPACES = [
        'xmlns:office' => 'urn:oasis:names:tc:opendocument:xmlns:office:1.0',
        'xmlns:table' => 'urn:oasis:names:tc:opendocument:xmlns:table:1.0',
        'xmlns:text' => 'urn:oasis:names:tc:opendocument:xmlns:text:1.0',
        'xmlns:style' => 'urn:oasis:names:tc:opendocument:xmlns:style:1.0',
        'xmlns:fo' => 'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0',
        'xmlns:number' => 'urn:oasis:names:tc:opendocument:xmlns:datastyle:1.0',
        'xmlns:config' => 'urn:oasis:names:tc:opendocument:xmlns:config:1.0',
        'office:version' => '1.3',
    ];

    /**
     * @param  list<Table>  $tables
     * @return array<string, string> the files of the package by path; the first has to be stored first, and as it is
     */
    public static function files(array $tables): array
    {
        $styles = $sheets = '';
        foreach ($tables as $n => $table) {
            $styles .= self::columnStyles($table, $n);
            $sheets .= self::table($table, $n);
        }

        return [
            'mimetype' => self::MIME,
            'META-INF/manifest.xml' => '<?xml version="1.0" encoding="UTF-8"?>'.
                Xml::element(
                    'manifest:manifest',
                    [
                        'xmlns:manifest' => 'urn:oasis:names:tc:opendocument:xmlns:manifest:1.0',
                        'manifest:version' => '1.3',
                    ],
                    Xml::element('manifest:file-entry', [
                        'manifest:full-path' => '/',
                        'manifest:media-type' => self::MIME,
                    ]).
                        Xml::element('manifest:file-entry', [
                            'manifest:full-path' => 'content.xml',
                            'manifest:media-type' => 'text/xml',
                        ]).
                        Xml::element('manifest:file-entry', [
                            'manifest:full-path' => 'settings.xml',
                            'manifest:media-type' => 'text/xml',
                        ]),
                ),
            'content.xml' => '<?xml version="1.0" encoding="UTF-8"?>'.
                Xml::element(
                    'office:document-content',
                    self::NAMESPACES,
                    Xml::element('office:automatic-styles', [], self::styles().$styles).
                        Xml::element('office:body', [], Xml::element('office:spreadsheet', [], $sheets)),
                ),
            'settings.xml' => '<?xml version="1.0" encoding="UTF-8"?>'.
                Xml::element('office:document-settings', self::NAMESPACES, self::frozen($tables)),
        ];
    }

    /** How a heading, a moment and the levels look. */
    private static function styles(): string
    {
        $part = static fn (string $name, string|int $value = ''): string => Xml::element(
            "number:{$name}",
            in_array($name, ['month', 'day', 'hours', 'minutes', 'year'], true) ? ['number:style' => 'long'] : [],
            (string) $value,
        );
        $styles = Xml::element(
            'number:date-style',
            ['style:name' => 'moment'],
            $part('year').$part('text', '-').$part('month').$part('text', '-').$part('day').$part('text', ' ').
                $part('hours').$part('text', ':').$part('minutes'),
        );
        $styles .= self::cellStyle('heading', 'DAD4C7', '25323B', true);
        $styles .= Xml::element('style:style', [
            'style:name' => 'at',
            'style:family' => 'table-cell',
            'style:data-style-name' => 'moment',
        ]);
        foreach (Level::cases() as $level) {
            $styles .= self::cellStyle("level{$level->value}", ...Table::colours($level));
        }

        return $styles;
    }

    private static function cellStyle(string $name, string $behind, string $colour, bool $isBold = false): string
    {
        return Xml::element(
            'style:style',
            ['style:name' => $name, 'style:family' => 'table-cell'],
            Xml::element('style:table-cell-properties', ['fo:background-color' => "#{$behind}"]).
                Xml::element(
                    'style:text-properties',
                    ['fo:color' => "#{$colour}"] + ($isBold ? ['fo:font-weight' => 'bold'] : []),
                ),
        );
    }

    private static function columnStyles(Table $table, int $n): string
    {
        $styles = '';
        foreach ($table->widths() as $c => $characters) {
            $styles .= Xml::element(
                'style:style',
                ['style:name' => "column{$n}.{$c}", 'style:family' => 'table-column'],
                Xml::element('style:table-column-properties', [
                    'style:column-width' => number_format($characters * self::CM_A_CHARACTER, 2, '.', '').'cm',
                ]),
            );
        }

        return $styles;
    }

    /**
     * The headings stay in sight: part 4 of the standard leaves the view to the program, and this is how those that
     * read the format keep it.
     *
     * @param  list<Table>  $tables
     */
    private static function frozen(array $tables): string
    {
        $item = static fn (string $name, int $value): string => Xml::element(
            'config:config-item',
            ['config:name' => $name, 'config:type' => $name === 'VerticalSplitMode' ? 'short' : 'int'],
            (string) $value,
        );
        $sheets = implode(
            '',
            array_map(
                static fn (Table $table): string => Xml::element(
                    'config:config-item-map-entry',
                    ['config:name' => $table->name],
                    $item('VerticalSplitMode', 2).$item('VerticalSplitPosition', 1).$item('PositionBottom', 1),
                ),
                $tables,
            ),
        );

        return Xml::element(
            'office:settings',
            [],
            Xml::element(
                'config:config-item-set',
                ['config:name' => 'ooo:view-settings'],
                Xml::element(
                    'config:config-item-map-indexed',
                    ['config:name' => 'Views'],
                    Xml::element(
                        'config:config-item-map-entry',
                        [],
                        Xml::element('config:config-item-map-named', ['config:name' => 'Tables'], $sheets),
                    ),
                ),
            ),
        );
    }

    private static function table(Table $table, int $n): string
    {
        $columns = '';
        foreach (array_keys($table->widths()) as $c) {
            $columns .= Xml::element('table:table-column', ['table:style-name' => "column{$n}.{$c}"]);
        }
        $rows = [];
        foreach ($table->rows as $r => $row) {
            $rows[] = Xml::element(
                'table:table-row',
                [],
                implode(
                    '',
                    array_map(
                        static fn (string|int|float|DateTimeImmutable|Level|null $cell): string => self::cell(
                            $cell,
                            $r === 0,
                        ),
                        $row,
                    ),
                ),
            );
        }

        return Xml::element('table:table', ['table:name' => $table->name], $columns.implode('', $rows));
    }

    private static function cell(string|int|float|DateTimeImmutable|Level|null $value, bool $isHeading): string
    {
        $style = $isHeading ? ['table:style-name' => 'heading'] : [];
        if ($value === null || $value === '') {
            return Xml::element('table:table-cell', $style);
        }
        if ($value instanceof DateTimeImmutable) {
            return Xml::element(
                'table:table-cell',
                [
                    'table:style-name' => 'at',
                    'office:value-type' => 'date',
                    'office:date-value' => $value->format('Y-m-d\TH:i:s'),
                ],
                Xml::element('text:p', [], $value->format('Y-m-d H:i')),
            );
        }
        if (! is_string($value)) {
            [$number, $style] = $value instanceof Level
                ? [$value->value, ['table:style-name' => "level{$value->value}"]]
                : [$value, $style];

            return Xml::element(
                'table:table-cell',
                $style + ['office:value-type' => 'float', 'office:value' => (string) $number],
                Xml::element('text:p', [], (string) $number),
            );
        }
        $lines = array_map(
            static fn (string $line): string => Xml::element('text:p', [], Xml::text($line)),
            preg_split('/\R/u', $value) ?: [$value],
        );

        return Xml::element('table:table-cell', $style + ['office:value-type' => 'string'], implode('', $lines));
    }
}
