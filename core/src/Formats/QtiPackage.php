<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Plan\PlanPrompt;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\QuestionKind;
use Crag\Render\PlainMaths;
use Crag\Render\Xml;

/**
 * The questions of prompts as a QTI 3.0 package: a manifest and one item for each prompt that has a question which
 * QTI's simple kinds can hold: choices, numbers, maths answers and short texts. Scales become choices without a right
 * one.
 */
final class QtiPackage
{
    /**
     * @param  list<PlanPrompt>  $prompts
     * @return array<string, string> files by name, with the manifest; the manifest alone when nothing fits
     */
    public static function write(string $title, array $prompts): array
    {
        $files = [];
        foreach ($prompts as $i => $prompt) {
            if ($prompt->questions !== []) {
                $name = sprintf('item-%03d', $i + 1);
                $files["{$name}.xml"] = self::item($name, $prompt);
            }
        }
        $resources = implode(
            '',
            array_map(
                static fn (string $file): string => Xml::element(
                    'resource',
                    [
                        'identifier' => basename($file, '.xml'),
                        'type' => 'imsqti_item_xmlv3p0',
                        'href' => $file,
                    ],
                    Xml::element('file', ['href' => $file]),
                ),
                array_keys($files),
            ),
        );
        $manifest = Xml::element(
            'manifest',
            ['xmlns' => 'http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1', 'identifier' => 'crag-plan'],
            Xml::element(
                'metadata',
                [],
                Xml::element('schema', [], 'QTI Package').Xml::element('schemaversion', [], '3.0.0'),
            ).
                Xml::element('organizations', []).
                Xml::element('resources', [], $resources),
        );

        return ['imsmanifest.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n{$manifest}"] + $files;
    }

    private static function item(string $name, PlanPrompt $prompt): string
    {
        $declarations = $body = '';
        foreach (explode("\n", PlainMaths::words($prompt->words)) as $line) {
            $body .= $line === '' ? '' : Xml::element('p', [], Xml::text($line));
        }
        foreach ($prompt->questions as $i => $question) {
            $response = 'RESPONSE'.($i + 1);
            [$declaration, $interaction] = self::question($response, $question);
            $declarations .= $declaration;
            $body .= $interaction;
        }

        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n".
            Xml::element(
                'qti-assessment-item',
                [
                    'xmlns' => QtiItem::NAMESPACE,
                    'identifier' => $name,
                    'title' => mb_substr(PlainMaths::words($prompt->words), 0, 60) ?: $name,
                    'adaptive' => 'false',
                    'time-dependent' => 'false',
                ],
                $declarations.Xml::element('qti-item-body', [], $body),
            );
    }

    /** @return array{string, string} the declaration and the interaction */
    private static function question(string $response, Question $question): array
    {
        $json = $question->toArray();
        $kind = $question->asked->kind();
        $options = match (true) {
            $kind === QuestionKind::Scale => array_map(
                static fn (int $step): array => ['id' => "s{$step}", 'words' => (string) $step],
                range(self::int($json['from']), self::int($json['to'])),
            ),
            is_array($json['options'] ?? null) => $json['options'],
            default => null,
        };
        $right = array_values(
            array_filter(
                is_array($json['right'] ?? null) ? $json['right'] : [$json['right'] ?? ''],
                static fn (mixed $one): bool => is_string($one) && $one !== '',
            ),
        );
        if ($options !== null) {
            return [
                self::declaration(
                    $response,
                    $kind === QuestionKind::Choices ? 'multiple' : 'single',
                    'identifier',
                    $right,
                ),
                self::choices(
                    $response,
                    $question,
                    $options,
                    $kind === QuestionKind::Choices ? 0 : 1,
                    ($json['shuffle'] ?? false) === true,
                ),
            ];
        }
        $isPlain = $kind === QuestionKind::Number && preg_match('/^-?\d+(\.\d+)?$/', $right[0] ?? '') === 1;
        $entry = Xml::element(
            'p',
            [],
            Xml::text(PlainMaths::words($question->words)).
                ' '.
                Xml::element('qti-text-entry-interaction', ['response-identifier' => $response]),
        );

        return [self::declaration($response, 'single', $isPlain ? 'float' : 'string', $right), $entry];
    }

    /** @param  list<mixed>  $right */
    private static function declaration(string $response, string $cardinality, string $type, array $right): string
    {
        $values = static fn (array $some): string => implode(
            '',
            array_map(
                static fn (mixed $value): string => Xml::element(
                    'qti-value',
                    [],
                    Xml::text(is_string($value) ? $value : ''),
                ),
                $some,
            ),
        );
        $correct =
            $right === []
                ? ''
                : Xml::element(
                    'qti-correct-response',
                    [],
                    $values($cardinality === 'multiple' ? $right : array_slice($right, 0, 1)),
                );
        $mapping =
            $type === 'string' && count($right) > 1
                ? Xml::element(
                    'qti-mapping',
                    ['default-value' => '0'],
                    implode(
                        '',
                        array_map(
                            static fn (mixed $key): string => Xml::element('qti-map-entry', [
                                'map-key' => is_string($key) ? $key : '',
                                'mapped-value' => '1',
                                'case-sensitive' => 'false',
                            ]),
                            $right,
                        ),
                    ),
                )
                : '';

        return Xml::element(
            'qti-response-declaration',
            ['identifier' => $response, 'cardinality' => $cardinality, 'base-type' => $type],
            $correct.$mapping,
        );
    }

    /** @param  array<array-key, mixed>  $options */
    private static function choices(
        string $response,
        Question $question,
        array $options,
        int $most,
        bool $shuffle,
    ): string {
        $inside =
            $question->words === ''
                ? ''
                : Xml::element('qti-prompt', [], Xml::text(PlainMaths::words($question->words)));
        foreach ($options as $option) {
            [$id, $words] = is_array($option) ? [$option['id'] ?? '', $option['words'] ?? ''] : ['', ''];
            $inside .= Xml::element(
                'qti-simple-choice',
                ['identifier' => is_string($id) ? $id : ''],
                Xml::text(PlainMaths::words(is_string($words) ? $words : '')),
            );
        }

        return Xml::element(
            'qti-choice-interaction',
            ['response-identifier' => $response, 'max-choices' => $most, 'shuffle' => $shuffle ? 'true' : 'false'],
            $inside,
        );
    }

    private static function int(mixed $value): int
    {
        return is_int($value) ? $value : 0;
    }
}
