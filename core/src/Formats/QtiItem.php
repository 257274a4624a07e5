<?php

declare(strict_types=1);

namespace Crag\Formats;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\InvalidPrompt;
use DOMElement;

/**
 * An assessment item of QTI 3.0 (1EdTech, "Question and Test Interoperability: Assessment, Section and Item, version
 * 3.0", elements qti-assessment-item and below): its words and its choice and text entry interactions, as a prompt.
 * Whatever else an item may hold is left out. Typed answers whose base type is float or integer become numbers, with
 * the tolerance that the item's response processing gives them. Pictures of choices and the places that
 * {@see QtiPackage} writes come along.
 */
final class QtiItem
{
    public const NAMESPACE = 'http://www.imsglobal.org/xsd/imsqtiasi_v3p0';

    private const BLOCKS = ['p', 'div', 'li', 'h1', 'h2', 'h3', 'h4', 'tr', 'qti-prompt'];

    /**
     * @param  array<string, string>  $pictures  ids of pictures by the names of their files in the package
     *
     * @throws UnreadableFile
     */
    public static function read(string $xml, array $pictures = []): PlanPrompt
    {
        $item = XmlFile::root($xml, 'QTI 3', 'qti-assessment-item');
        $body = XmlFile::all($item, 'qti-item-body')[0] ?? throw UnreadableFile::notXml('QTI 3');
        $questions = [];
        foreach (XmlFile::all($body, 'qti-choice-interaction') as $choice) {
            $questions[] = self::choice($item, $choice, count($questions), $pictures);
        }
        foreach (XmlFile::all($body, 'qti-text-entry-interaction') as $entry) {
            $questions[] = self::entry($item, $entry, count($questions));
        }
        $words = self::words($body);
        try {
            return PlanPrompt::read(
                new Fields([
                    'words' => mb_substr(
                        $words === '' && $questions === [] ? $item->getAttribute('title') : $words,
                        0,
                        2000,
                    ),
                    'questions' => array_slice($questions, 0, PlanPrompt::MOST_QUESTIONS),
                ]),
            );
        } catch (UnreadableFields|InvalidPrompt $problem) {
            throw UnreadableFile::holds('QTI 3', $problem->getMessage());
        }
    }

    /**
     * @return list<string> the files of the items that a package's manifest names (resource types beginning with
     *      "imsqti_item"), in its order
     */
    public static function named(string $manifest): array
    {
        $files = [];
        foreach (XmlFile::all(XmlFile::root($manifest, 'QTI 3', 'manifest'), 'resource') as $resource) {
            if (
                str_starts_with($resource->getAttribute('type'), 'imsqti_item') &&
                $resource->getAttribute('href') !== ''
            ) {
                $files[] = $resource->getAttribute('href');
            }
        }

        return $files;
    }

    /**
     * @return list<string> the files of the pictures that its choices show
     *
     * @throws UnreadableFile
     */
    public static function pictures(string $xml): array
    {
        $files = [];
        foreach (XmlFile::all(XmlFile::root($xml, 'QTI 3', 'qti-assessment-item'), 'qti-simple-choice') as $choice) {
            foreach (XmlFile::all($choice, 'img') as $picture) {
                $files[] = $picture->getAttribute('src');
            }
        }

        return array_values(array_unique(array_filter($files, static fn (string $file): bool => $file !== '')));
    }

    /**
     * @param  array<string, string>  $pictures
     * @return array<string, mixed>
     */
    private static function choice(DOMElement $item, DOMElement $interaction, int $n, array $pictures): array
    {
        [$right, , $isMultiple] = self::declared($item, $interaction);
        $options = $ids = [];
        foreach (XmlFile::all($interaction, 'qti-simple-choice') as $i => $choice) {
            $ids[$choice->getAttribute('identifier')] = $id = 'c'.($i + 1);
            $file = (XmlFile::all($choice, 'img')[0] ?? null)?->getAttribute('src') ?? '';
            $options[] = ['id' => $id, 'words' => mb_substr(self::words($choice), 0, 300)] +
                (isset($pictures[$file]) ? ['picture' => $pictures[$file]] : []);
        }
        $prompt = XmlFile::all($interaction, 'qti-prompt')[0] ?? null;
        $isMultiple = $isMultiple || ! in_array($interaction->getAttribute('max-choices'), ['', '1'], true);
        $right = array_values(array_intersect_key($ids, array_flip($right)));

        return [
            'id' => 'q'.($n + 1),
            'kind' => $isMultiple ? 'choices' : 'choice',
            'spot' => self::place($interaction),
            'words' => $prompt === null ? '' : mb_substr(self::words($prompt), 0, 500),
            'options' => array_slice($options, 0, 12),
            'right' => $isMultiple ? $right : array_slice($right, 0, 1),
            'shuffle' => $interaction->getAttribute('shuffle') === 'true',
        ];
    }

    /** @return array<string, mixed> */
    private static function entry(DOMElement $item, DOMElement $interaction, int $n): array
    {
        [$right, $type] = self::declared($item, $interaction);
        $common = ['id' => 'q'.($n + 1), 'words' => '', 'spot' => self::place($interaction)];
        $kind = $interaction->getAttribute('data-kind');
        $isNumber = in_array($type, ['float', 'integer'], true) || $kind === 'number';

        return match (true) {
            $isNumber => $common + ['kind' => 'number', 'right' => $right[0] ?? ''] + self::tolerance($item, $interaction),
            $kind === 'maths' => $common + ['kind' => 'maths', 'right' => $right[0] ?? ''],
            default => $common + ['kind' => 'text', 'right' => $right],
        };
    }

    /** @return array{tolerance?: array{kind: string, most: string}} as the item's response processing says it */
    private static function tolerance(DOMElement $item, DOMElement $interaction): array
    {
        foreach (XmlFile::all($item, 'qti-equal') as $equal) {
            $of = (XmlFile::all($equal, 'qti-variable')[0] ?? null)?->getAttribute('identifier');
            $kind = ['absolute' => 'within', 'relative' => 'percent'][$equal->getAttribute('tolerance-mode')] ?? null;
            $most = explode(' ', trim($equal->getAttribute('tolerance')))[0];
            if ($of === $interaction->getAttribute('response-identifier') && $kind !== null && is_numeric($most)) {
                return ['tolerance' => ['kind' => $kind, 'most' => $most]];
            }
        }

        return [];
    }

    /** @return ?array<string, int> where a question stands on its page */
    private static function place(DOMElement $interaction): ?array
    {
        if (preg_match('/^(\d+) (\d+) (\d+) (\d+) (\d+)$/', $interaction->getAttribute('data-place'), $found) !== 1) {
            return null;
        }
        [, $page, $x, $y, $w, $h] = array_map(intval(...), $found);

        return ['page' => $page, 'x' => $x, 'y' => $y, 'w' => $w] + ($h === 0 ? [] : ['h' => $h]);
    }

    /** @return array{list<string>, string, bool} the right answers, the base type, and whether there may be several */
    private static function declared(DOMElement $item, DOMElement $interaction): array
    {
        foreach (XmlFile::all($item, 'qti-response-declaration') as $declaration) {
            if ($declaration->getAttribute('identifier') === $interaction->getAttribute('response-identifier')) {
                $correct = XmlFile::all($declaration, 'qti-correct-response')[0] ?? null;
                $values =
                    $correct === null
                        ? []
                        : array_map(
                            static fn (DOMElement $value): string => trim($value->textContent),
                            XmlFile::all($correct, 'qti-value'),
                        );
                // Several accepted answers to one text entry stand in a mapping.
                foreach (XmlFile::all($declaration, 'qti-map-entry') as $entry) {
                    if ((float) $entry->getAttribute('mapped-value') > 0) {
                        $values[] = trim($entry->getAttribute('map-key'));
                    }
                }

                return [
                    array_values(array_unique($values)),
                    $declaration->getAttribute('base-type'),
                    $declaration->getAttribute('cardinality') === 'multiple',
                ];
            }
        }

        return [[], '', false];
    }

    /** The words of an element, a line for each block, without those of interactions in it. */
    private static function words(DOMElement $within): string
    {
        $words = '';
        foreach ($within->childNodes as $node) {
            if ($node instanceof DOMElement) {
                $name = (string) $node->localName;
                $isInteraction = str_ends_with($name, '-interaction');
                $inside =
                    $isInteraction || $name === 'qti-rubric-block'
                        ? ($name === 'qti-text-entry-interaction'
                            ? ' ____ '
                            : '')
                        : self::words($node);
                $words .= in_array($name, self::BLOCKS, true) || $name === 'br' ? "\n{$inside}\n" : $inside;
            } else {
                $words .= preg_replace('/\s+/u', ' ', $node->textContent);
            }
        }

        return trim((string) preg_replace(['/ *\n[ \n]*/u', '/ +/u'], ["\n", ' '], $words));
    }
}
