<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Render\Xml;

/**
 * A spreadsheet in OpenDocument 1.3 (OASIS; ISO/IEC 26300): part 3, clause 9, for the tables, part 2 for the package.
 * Words stand in cells of type string, so that nothing in them is run as a formula.
 */
final class Ods
{
    public const MIME = 'application/vnd.oasis.opendocument.spreadsheet';

    private const NAMESPACES = [
        'xmlns:office' => 'urn:oasis:names:tc:opendocument:xmlns:office:1.0',
        'xmlns:table' => 'urn:oasis:names:tc:opendocument:xmlns:table:1.0',
        'xmlns:text' => 'urn:oasis:names:tc:opendocument:xmlns:text:1.0',
        'office:version' => '1.3',
    ];

    /**
     * @param  list<Table>  $tables
     * @return array<string, string> the files of the package by path; the first has to be stored first, and as it is
     */
    public static function files(array $tables): array
    {
        $sheets = implode('', array_map(self::table(...), $tables));

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
                        ]),
                ),
            'content.xml' => '<?xml version="1.0" encoding="UTF-8"?>'.
                Xml::element(
                    'office:document-content',
                    self::NAMESPACES,
                    Xml::element('office:body', [], Xml::element('office:spreadsheet', [], $sheets)),
                ),
        ];
    }

    private static function table(Table $table): string
    {
        $rows = array_map(
            static fn (array $row): string => Xml::element(
                'table:table-row',
                [],
                implode('', array_map(self::cell(...), $row)),
            ),
            $table->rows,
        );

        return Xml::element('table:table', ['table:name' => $table->name], implode('', $rows));
    }

    private static function cell(string|int|float|null $value): string
    {
        if ($value === null || $value === '') {
            return Xml::element('table:table-cell', []);
        }
        if (! is_string($value)) {
            return Xml::element(
                'table:table-cell',
                ['office:value-type' => 'float', 'office:value' => (string) $value],
                Xml::element('text:p', [], (string) $value),
            );
        }
        $lines = array_map(
            static fn (string $line): string => Xml::element('text:p', [], Xml::text($line)),
            preg_split('/\R/u', $value) ?: [$value],
        );

        return Xml::element('table:table-cell', ['office:value-type' => 'string'], implode('', $lines));
    }
}
