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
 * QTI's simple kinds can hold: choices (with pictures), boxes to tick, printed answers, numbers (with their tolerance),
 * maths answers and short texts. Scales become choices without a right one. Where a question stands on its page is kept
 * in an attribute of our own, as QTI allows (data-place: page, x, y, width and height in units). What has no place in
 * QTI is listed in a text file.
 */
final class QtiPackage
{
    /** The text file that says what is left out. */
    private const LEFT = 'left-out.txt';

    /**
     * @param  list<PlanPrompt>  $prompts
     * @param  array<string, string>  $pictures  the files' names by the pictures' ids
     * @return array<string, string> files by name, with the manifest; the manifest alone when nothing fits
     */
    public static function write(string $title, array $prompts, array $pictures = []): array
    {
        $files = $left = [];
        foreach ($prompts as $i => $prompt) {
            foreach ($prompt->questions as $n => $question) {
                $what = self::left($question);
                if ($what !== '') {
                    $left[] = 'Prompt '.($i + 1).', question '.($n + 1).": {$what}";
                }
            }
            if (array_filter($prompt->questions, self::isHeld(...)) !== []) {
                $name = sprintf('item-%03d', $i + 1);
                $files["{$name}.xml"] = self::item($name, $prompt, $pictures);
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

        return ['imsmanifest.xml' => "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n{$manifest}"] + $files +
            ($left === [] ? [] : [self::LEFT => implode("\n", ['Left out:', ...$left])."\n"]);
    }

    private static function isHeld(Question $question): bool
    {
        return match ($question->asked->kind()) {
            QuestionKind::State, QuestionKind::Graph, QuestionKind::Drawing, QuestionKind::Space => false,
            default => true,
        };
    }

    /** What of a question has no place in QTI, in words; empty for nothing. */
    private static function left(Question $question): string
    {
        if (! self::isHeld($question)) {
            return $question->takesAnswer() ? 'all of it ('.$question->asked->kind()->word().')' : '';
        }
        $json = $question->toArray();
        $hasTolerance = self::toleranceKind($json) !== 'none';

        return $hasTolerance && self::tolerance($json) === null ? 'its tolerance' : '';
    }

    /** @param  array<string, mixed>  $json */
    private static function toleranceKind(array $json): string
    {
        $kind = is_array($json['tolerance'] ?? null) ? $json['tolerance']['kind'] ?? 'none' : 'none';

        return is_string($kind) ? $kind : 'none';
    }

    /**
     * @param  array<string, mixed>  $json
     * @return ?array{string, string} QTI's mode, and how much; null where there is none, or none that is a number
     */
    private static function tolerance(array $json): ?array
    {
        $most = is_array($json['tolerance'] ?? null) ? $json['tolerance']['most'] ?? '' : '';
        $mode = ['within' => 'absolute', 'percent' => 'relative'][self::toleranceKind($json)] ?? null;

        return $mode !== null && is_string($most) && is_numeric($most) && self::isPlain($json['right'] ?? '')
            ? [$mode, $most]
            : null;
    }

    private static function isPlain(mixed $number): bool
    {
        return is_string($number) && preg_match('/^-?\d+(\.\d+)?$/', $number) === 1;
    }

    /** A number within its tolerance counts one (qti-equal: a relative one is in per cent). */
    private static function processing(string $response, Question $question): string
    {
        $tolerance = self::tolerance($question->toArray());
        if ($tolerance === null) {
            return '';
        }
        [$mode, $most] = $tolerance;
        $variable = Xml::element('qti-variable', ['identifier' => $response]);
        $one = Xml::element('qti-base-value', ['base-type' => 'float'], '1');
        $score = Xml::element('qti-sum', [], Xml::element('qti-variable', ['identifier' => 'SCORE']).$one);

        return Xml::element('qti-response-condition', [], Xml::element(
            'qti-response-if',
            [],
            Xml::element(
                'qti-equal',
                ['tolerance-mode' => $mode, 'tolerance' => "{$most} {$most}"],
                $variable.Xml::element('qti-correct', ['identifier' => $response]),
            ).Xml::element('qti-set-outcome-value', ['identifier' => 'SCORE'], $score),
        ));
    }

    /** @param  array<string, string>  $pictures */
    private static function item(string $name, PlanPrompt $prompt, array $pictures): string
    {
        $declarations = $body = $processing = '';
        foreach (explode("\n", PlainMaths::words($prompt->words)) as $line) {
            $body .= $line === '' ? '' : Xml::element('p', [], Xml::text($line));
        }
        foreach ($prompt->questions as $i => $question) {
            if (! self::isHeld($question)) {
                continue;
            }
            $response = 'RESPONSE'.($i + 1);
            [$declaration, $interaction] = self::question($response, $question, $pictures);
            $declarations .= $declaration;
            $body .= $interaction;
            $processing .= self::processing($response, $question);
        }
        if ($processing !== '') {
            $zero = Xml::element('qti-default-value', [], Xml::element('qti-value', [], '0'));
            $score = ['identifier' => 'SCORE', 'cardinality' => 'single', 'base-type' => 'float'];
            $declarations .= Xml::element('qti-outcome-declaration', $score, $zero);
            $processing = Xml::element('qti-response-processing', [], $processing);
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
                $declarations.Xml::element('qti-item-body', [], $body).$processing,
            );
    }

    /**
     * @param  array<string, string>  $pictures
     * @return array{string, string} the declaration and the interaction
     */
    private static function question(string $response, Question $question, array $pictures): array
    {
        $json = $question->toArray();
        $kind = $question->asked->kind();
        $options = match (true) {
            $kind === QuestionKind::Scale => array_map(
                static fn (int $step): array => ['id' => "s{$step}", 'words' => (string) $step],
                range(self::int($json['from']), self::int($json['to'])),
            ),
            $kind === QuestionKind::Tick => [['id' => 'ticked', 'words' => '✓']],
            is_array($json['options'] ?? null) => $json['options'],
            default => null,
        };
        $right = array_values(
            array_filter(
                is_array($json['right'] ?? null) ? $json['right'] : [$json['right'] ?? ''],
                static fn (mixed $one): bool => is_string($one) && $one !== '',
            ),
        );
        $isSeveral = $kind === QuestionKind::Choices || ($json['several'] ?? false) === true;
        if ($options !== null) {
            $ids = array_map(static fn (mixed $one): mixed => is_array($one) ? $one['id'] ?? '' : '', $options);

            return [
                self::declaration(
                    $response,
                    $isSeveral ? 'multiple' : 'single',
                    'identifier',
                    array_values(array_filter($right, static fn (string $one): bool => in_array($one, $ids, true))),
                ),
                self::choices(
                    $response,
                    $question,
                    $options,
                    $isSeveral ? 0 : 1,
                    ($json['shuffle'] ?? false) === true,
                    $pictures,
                ),
            ];
        }
        $isPlain = $kind === QuestionKind::Number && self::isPlain($right[0] ?? '');
        $entry = Xml::element(
            'p',
            [],
            Xml::text(PlainMaths::words($question->words)).
                ' '.
                Xml::element(
                    'qti-text-entry-interaction',
                    ['response-identifier' => $response, 'data-kind' => $kind->value] + self::place($question),
                ),
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

    /**
     * @param  array<array-key, mixed>  $options
     * @param  array<string, string>  $pictures
     */
    private static function choices(
        string $response,
        Question $question,
        array $options,
        int $most,
        bool $shuffle,
        array $pictures,
    ): string {
        $inside =
            $question->words === ''
                ? ''
                : Xml::element('qti-prompt', [], Xml::text(PlainMaths::words($question->words)));
        foreach ($options as $option) {
            $option = is_array($option) ? $option : [];
            [$id, $words, $picture] = [$option['id'] ?? '', $option['words'] ?? '', $option['picture'] ?? ''];
            $file = is_string($picture) ? $pictures[$picture] ?? null : null;
            $inside .= Xml::element(
                'qti-simple-choice',
                ['identifier' => is_string($id) ? $id : ''],
                Xml::text(PlainMaths::words(is_string($words) ? $words : '')).
                    ($file === null ? '' : Xml::element('img', ['src' => $file, 'alt' => ''])),
            );
        }

        return Xml::element(
            'qti-choice-interaction',
            [
                'response-identifier' => $response,
                'max-choices' => $most,
                'shuffle' => $shuffle ? 'true' : 'false',
            ] + self::place($question),
            $inside,
        );
    }

    /** @return array<string, string> */
    private static function place(Question $question): array
    {
        $spot = $question->spot;

        return $spot === null
            ? []
            : ['data-place' => "{$spot->page} {$spot->x} {$spot->y} {$spot->w} {$spot->h}"];
    }

    private static function int(mixed $value): int
    {
        return is_int($value) ? $value : 0;
    }
}
