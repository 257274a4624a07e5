<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Scene;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Question\QuestionKind;
use Crag\Prompt\Question\Spot;

/** The answer boxes that stand on a page, each with what was answered in it. In units. */
final class AnswerBoxes
{
    /** Letters of what is asked and of what is answered. */
    private const ASKED = 24;

    private const ANSWERED = 28;

    private const SMALLEST = 14;

    private const READ_AS = 18;

    private const PADDING = 8;

    /** How wide a letter is on average, in its size: an estimate, since nothing here measures letters. */
    private const LETTER = 0.54;

    private const FRAME = '#2c6e8f';

    private const INK = '#25323b';

    /** @param  string  $page  by its id */
    public static function draw(Scene $scene, string $page): string
    {
        $n = array_search($page, array_map(strval(...), array_keys($scene->pages)), true);
        $drawing = '';
        foreach ($scene->boxes as $number => $question) {
            $spot = $question->spot;
            if ($spot !== null && $spot->page === $n) {
                $answer = $scene->answerTo($question);
                $drawing .= self::box($number, $question, $spot, $answer);
            }
        }

        return $drawing === '' ? '' : Xml::element('g', ['class' => 'boxes'], $drawing);
    }

    private static function box(int $number, Question $question, Spot $spot, mixed $answer): string
    {
        $kind = $question->asked->kind();
        if ($kind->needsPlace()) {
            $frame = $kind === QuestionKind::Marked ? '' : self::frame($spot, $spot->height(), false, true);

            return $frame.($question->takesAnswer() ? self::number($spot, $number) : '');
        }
        if ($question->isByHand()) {
            return self::frame($spot, $spot->height(), false, true).
                self::readAs($spot, $question, $answer).
                self::number($spot, $number);
        }
        $said = $answer === null ? '' : PlainMaths::words($question->asked->written($answer));
        if ($kind === QuestionKind::Tick) {
            return self::frame($spot, $spot->height(), $said !== '', false).
                ($said === '' ? '' : self::tick($spot)).
                self::number($spot, $number);
        }
        $lines = $spot->isBare ? [] : self::lines(PlainMaths::words($question->words), $spot->w, self::ASKED);
        $drawing = '';
        $y = $spot->y + self::PADDING;
        foreach ($lines as $line) {
            $drawing .= self::write($spot, $y + self::ASKED * 0.85, self::ASKED, $line);
            $y += self::ASKED * 1.25;
        }
        $rest = max((float) Spot::LINE, $spot->y + $spot->height() - $y);
        $height = max($spot->height(), $lines === [] ? 0.0 : $y - $spot->y + $rest);
        $offered = self::offered($question, $answer);
        [$size, $answered] = self::fitted($offered === '' ? $said : $offered, $spot->w, $rest);
        // A line of words stands in the middle of its box, several from its top.
        $y += count($answered) === 1 ? max(0.0, ($rest - self::PADDING - $size) / 2) : 0.0;
        foreach ($answered as $line) {
            $weight = str_starts_with($line, '○') ? 'normal' : 'bold';
            $drawing .= self::write($spot, $y + $size * 0.85, $size, $line, $weight);
            $y += $size * 1.2;
        }

        return self::frame($spot, max($height, $y - $spot->y), $said !== '', false).
            $drawing.
            self::number($spot, $number);
    }

    /** What was written there by hand, as it was read and confirmed, small at the foot. */
    private static function readAs(Spot $spot, Question $question, mixed $answer): string
    {
        $said = $answer === null ? '' : PlainMaths::words($question->asked->written($answer));

        return $said === '' ? '' : Xml::words(
            $spot->x + $spot->w - self::PADDING,
            $spot->y + $spot->height() - self::PADDING,
            self::READ_AS,
            "✓ {$said}",
            ['fill' => self::FRAME, 'text-anchor' => 'end'],
        );
    }

    /** What there is to choose from, a line each; nothing where answers are typed. */
    private static function offered(Question $question, mixed $answer): string
    {
        $options = $question->asked->forStudent('')['options'] ?? [];
        $chosen = is_array($answer) ? $answer : [$answer];
        $lines = [];
        foreach (is_array($options) ? $options : [] as $i => $option) {
            if (is_array($option) && is_string($option['words'] ?? null)) {
                $words = $option['words'] === '' ? chr(65 + (int) $i) : PlainMaths::words($option['words']);
                $lines[] = (in_array($option['id'] ?? null, $chosen, true) ? '● ' : '○ ').$words;
            }
        }

        return implode("\n", $lines);
    }

    /**
     * Letters so large that all lines find room, but not too small to read.
     *
     * @return array{float, list<string>}
     */
    private static function fitted(string $said, int $width, float $height): array
    {
        $size = (float) self::ANSWERED;
        do {
            $lines = self::lines($said, $width, $size);
            $isFitting = count($lines) * $size * 1.2 <= max($height - self::PADDING, $size * 1.2);
        } while (! $isFitting && ($size -= 2) >= self::SMALLEST);

        return [max($size, self::SMALLEST), $lines];
    }

    /** @return list<string> */
    private static function lines(string $words, int $width, float $size): array
    {
        return Lines::of($words, max(2, (int) (($width - 2 * self::PADDING) / ($size * self::LETTER))));
    }

    private static function frame(Spot $spot, float $height, bool $isAnswered, bool $isDashed): string
    {
        return Xml::element('rect', [
            'x' => $spot->x,
            'y' => $spot->y,
            'width' => $spot->w,
            'height' => $height,
            'rx' => 6,
            'fill' => $isAnswered ? '#e8f1f6' : ($isDashed ? 'none' : '#ffffff'),
            'fill-opacity' => 0.9,
            'stroke' => self::FRAME,
            'stroke-width' => 2.5,
        ] + ($isDashed ? ['stroke-dasharray' => '10 8'] : []));
    }

    private static function tick(Spot $spot): string
    {
        [$w, $h] = [$spot->w, $spot->height()];
        $r = min($w, $h) * 0.32;
        [$x, $y] = [$spot->x + $w / 2, $spot->y + $h / 2];
        $at = static fn (float $dx, float $dy): string => Xml::number($x + $dx * $r).' '.Xml::number($y + $dy * $r);

        return Xml::element('path', [
            'd' => "M{$at(-1, 0.1)}L{$at(-0.3, 0.8)}L{$at(1, -0.8)}",
            'fill' => 'none',
            'stroke' => self::INK,
            'stroke-width' => max(3.0, $r / 3),
            'stroke-linecap' => 'round',
            'stroke-linejoin' => 'round',
        ]);
    }

    /** Its number, in its corner. */
    private static function number(Spot $spot, int $number): string
    {
        $width = strlen((string) $number) * 10 + 10;

        return Xml::element('rect', [
            'x' => $spot->x - 8,
            'y' => $spot->y - 10,
            'width' => $width,
            'height' => 22,
            'rx' => 9,
            'fill' => self::FRAME,
        ]).Xml::words($spot->x - 8 + $width / 2, $spot->y + 6, 16, (string) $number, [
            'fill' => '#ffffff',
            'text-anchor' => 'middle',
        ]);
    }

    private static function write(Spot $spot, float $y, float $size, string $line, string $weight = 'normal'): string
    {
        return Xml::words($spot->x + self::PADDING + 4, $y, $size, $line, [
            'fill' => self::INK,
            'font-weight' => $weight,
        ]);
    }
}
