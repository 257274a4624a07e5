<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Scene;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Paper;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\QuestionKind;

/**
 * A prompt on upright A4 with a line for the name, so that paper can stand in when devices fail: the words, each page
 * of what is drawn, and the questions with room to answer. Units are points (1/72 inch).
 */
final class PromptSheet
{
    private const WIDTH = 595;

    private const HEIGHT = 842;

    private const MARGIN = 42;

    /** Letters in a line of so many points: an estimate, since nothing here measures letters. */
    private const LETTERS = 84;

    private const LINE = 16;

    /**
     * @param  bool  $isKey  with what is right, instead of room to answer
     * @return list<string> SVG documents, one for each sheet of paper
     */
    public static function documents(
        string $title,
        int $n,
        PlanPrompt $prompt,
        Scene $scene,
        Pictures $pictures,
        bool $isKey = false,
    ): array {
        $sheets = [];
        $title = $isKey ? "Key · {$title}" : $title;
        $scene = ($isKey ? $scene->answered(self::right($prompt)) : $scene)->withBoxes($prompt->questions);
        $pages = array_map(strval(...), array_keys($scene->pages));
        $lines = self::questions($prompt, $isKey);
        foreach ($pages as $i => $page) {
            $at = 96.0;
            $inside = self::head($title, $n, $i, count($pages));
            foreach ($i === 0 ? Lines::of(PlainMaths::words($prompt->words), self::LETTERS) : [] as $line) {
                $inside .= self::write(self::MARGIN, $at, 11.5, $line);
                $at += self::LINE;
            }
            $inside .= self::canvas($scene, $pictures, $page, $at);
            $at += self::room($scene->paper($page), $at)[1] + 26;
            if ($i === count($pages) - 1) {
                $inside .= self::lines($lines, $at);
            }
            $sheets[] = self::document($inside);
        }
        // What found no room stands on further sheets.
        while ($lines !== []) {
            $at = 96.0;
            $sheets[] = self::document(
                self::head($title, $n, count($sheets), count($sheets) + 1).self::lines($lines, $at),
            );
        }

        return $sheets;
    }

    private static function document(string $inside): string
    {
        return Xml::element(
            'svg',
            [
                'xmlns' => 'http://www.w3.org/2000/svg',
                'width' => self::WIDTH.'pt',
                'height' => self::HEIGHT.'pt',
                'viewBox' => '0 0 '.self::WIDTH.' '.self::HEIGHT,
            ],
            Xml::element('rect', ['width' => self::WIDTH, 'height' => self::HEIGHT, 'fill' => '#ffffff']).$inside,
        );
    }

    private static function head(string $title, int $n, int $page, int $pages): string
    {
        return self::write(
            self::MARGIN,
            46,
            13,
            mb_strimwidth($title, 0, 50, '…').' · '.$n.($pages > 1 ? ' ('.($page + 1).')' : ''),
            'bold',
        ).
            self::write(330, 46, 11, 'Name').
            Xml::element('path', [
                'd' => 'M366 48H'.(self::WIDTH - self::MARGIN),
                'stroke' => '#25323b',
                'stroke-width' => 0.8,
            ]).
            Xml::element('path', [
                'd' => 'M'.self::MARGIN.' 66H'.(self::WIDTH - self::MARGIN),
                'stroke' => '#dad4c7',
                'stroke-width' => 1,
            ]);
    }

    /**
     * As wide as the sheet, or as tall as what is left of it below $top.
     *
     * @return array{float, float} width and height, in points
     */
    private static function room(Paper $paper, float $top): array
    {
        $scale = min(
            (self::WIDTH - 2 * self::MARGIN) / $paper->width,
            (self::HEIGHT - self::MARGIN - $top) / $paper->height,
        );

        return [$scale * $paper->width, $scale * $paper->height];
    }

    private static function canvas(Scene $scene, Pictures $pictures, string $page, float $top): string
    {
        $paper = $scene->paper($page);
        [$width, $height] = self::room($paper, $top);
        $frame = Xml::element('rect', [
            'width' => $paper->width,
            'height' => $paper->height,
            'fill' => 'none',
            'stroke' => '#8b8578',
            'stroke-width' => 3,
        ]);

        return Xml::element(
            'svg',
            [
                'x' => (self::WIDTH - $width) / 2,
                'y' => $top,
                'width' => $width,
                'height' => $height,
                'viewBox' => "0 0 {$paper->width} {$paper->height}",
            ],
            SceneSvg::draw($scene, $pictures, $page).$frame,
        );
    }

    /** @return array<string, string|list<string>> by question, what is right in the form of an answer */
    private static function right(PlanPrompt $prompt): array
    {
        $right = [];
        foreach ($prompt->questions as $question) {
            $key = $question->asked->hasKey() ? $question->toArray()['right'] ?? null : null;
            if (is_string($key)) {
                $right[$question->id] = $key;
            } elseif (is_array($key) && $key !== []) {
                $ids = array_values(array_filter($key, is_string(...)));
                $isOneOf = in_array($question->asked->kind(), [QuestionKind::Text, QuestionKind::Choice], true);
                $right[$question->id] = $isOneOf ? $ids[0] ?? '' : $ids;
            }
        }

        return $right;
    }

    /** @return list<array{string, bool}> lines, and whether the line is one to write on */
    private static function questions(PlanPrompt $prompt, bool $isKey): array
    {
        $lines = [];
        foreach ($prompt->questions as $i => $question) {
            $isBelow = $question->spot === null;
            if (! $question->takesAnswer() || ($question->spot?->isBare === true && ! $isKey)) {
                // The page itself says what is asked.
                continue;
            }
            $words = PlainMaths::words($question->words);
            foreach ($words === '' && ! $isBelow ? [] : Lines::of($i + 1 .'.  '.$words, self::LETTERS) as $line) {
                $lines[] = [$line, false];
            }
            if ($isKey && $question->asked->hasKey()) {
                $key = PlainMaths::words($question->asked->key());
                $lines[] = [($words === '' && ! $isBelow ? $i + 1 .'.  ' : '      ')."→ {$key}", false];

                continue;
            }
            foreach (self::offered($question) as $line) {
                $lines[] = [$line, false];
            }
            if ($isBelow && self::offered($question) === [] && ! $isKey) {
                $lines[] = ['', true];
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private static function offered(Question $question): array
    {
        $json = $question->toArray();
        if (isset($json['from'], $json['to']) && is_int($json['from']) && is_int($json['to'])) {
            $words = static fn (string $end): string => is_string($json[$end] ?? null) ? $json[$end] : '';

            return [
                trim(
                    $words('low').
                        '   '.
                        implode(
                            '   ',
                            array_map(static fn (int $step): string => "◯ {$step}", range($json['from'], $json['to'])),
                        ).
                        '   '.
                        $words('high'),
                ),
            ];
        }
        $offered = [];
        foreach (is_array($json['options'] ?? null) ? $json['options'] : [] as $i => $option) {
            $words =
                is_array($option) && is_string($option['words'] ?? null) ? PlainMaths::words($option['words']) : '';
            $offered[] = '      ◯  '.($words === '' ? chr(65 + (int) $i) : $words);
        }

        return $offered;
    }

    /**
     * As many lines as there is room for; what is left stays in the list.
     *
     * @param  list<array{string, bool}>  $lines
     */
    private static function lines(array &$lines, float $at): string
    {
        $inside = '';
        while ($lines !== [] && $at < self::HEIGHT - self::MARGIN) {
            [$line, $isRule] = array_shift($lines);
            $at += $isRule ? self::LINE : 0;
            $inside .= $isRule
                ? Xml::element('path', [
                    'd' => 'M'.(self::MARGIN + 18).' '.Xml::number($at - 6).'H'.(self::WIDTH - self::MARGIN),
                    'stroke' => '#8b8578',
                    'stroke-width' => 0.8,
                ])
                : self::write(self::MARGIN, $at, 11, $line);
            $at += self::LINE;
        }

        return $inside;
    }

    private static function write(float $x, float $y, float $size, string $text, string $weight = 'normal'): string
    {
        return Xml::words($x, $y, $size, $text, [
            'font-weight' => $weight,
            'fill' => '#25323b',
            'xml:space' => 'preserve',
        ]);
    }
}
