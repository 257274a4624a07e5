<?php

declare(strict_types=1);

namespace Crag\Plan\Task;

use Crag\Canvas\Drawing\Palette;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * Something to try that ticks itself as soon as it is done.
 *
 * JSON form: {"do": a kind, "words": what the student reads, empty for the usual sentence, "with": the word or the
 * unit, where the kind has one}.
 *
 * When it is done is a test that the student's page runs too, so that a tick comes with the stroke: either a fact
 * ({"fact": "page"}, "answer", "hand" or "send"), or objects of which the student has to have made one
 * ({"objects": [{field: [values]}, {field: {"not": [values]}}, {field: {"like": a regular expression, without regard
 * to case}} …]}, all fields of one of them).
 */
final readonly class Task
{
    public const MOST = 12;

    private const LONGEST_WORDS = 120;

    private const LONGEST_WITH = 20;

    private function __construct(public TaskKind $kind, public string $words, public string $with)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $kind = TaskKind::from($fields->oneOf('do', array_column(TaskKind::cases(), 'value')));
        $with = $fields->has('with') ? trim($fields->text('with', self::LONGEST_WITH)) : '';
        if ($kind->takesWord() && $with === '') {
            throw UnreadableFields::saying('Say which word or unit you mean.');
        }

        return new self(
            $kind,
            $fields->has('words') ? trim($fields->text('words', self::LONGEST_WORDS)) : '',
            $kind->takesWord() ? $with : '',
        );
    }

    /** @return array{do: string, words: string, with: string} */
    public function toArray(): array
    {
        return ['do' => $this->kind->value, 'words' => $this->words, 'with' => $this->with];
    }

    /** @return array<string, mixed> when it is done */
    public function test(): array
    {
        // What both PHP and JavaScript take as the letters themselves.
        $with = (string) preg_replace('~[.*+?^${}()|[\]\\\\/]~', '\\\\$0', $this->with);
        $typed = ['text', 'note'];

        return match ($this->kind) {
            TaskKind::Pen => ['objects' => [['type' => ['stroke']]]],
            TaskKind::Colour => ['objects' => [
                ['type' => ['stroke', 'highlight'], 'colour' => ['not' => [Palette::PENS['Slate'], Palette::HIGHLIGHTERS['Yellow']]]],
            ]],
            TaskKind::Marker => ['objects' => [['type' => ['highlight']]]],
            TaskKind::Shape => ['objects' => [
                ['type' => ['line', 'arrow', 'rectangle', 'ellipse', 'triangle', 'polygon', 'curve']],
            ]],
            TaskKind::Arrow => ['objects' => [
                ['type' => ['arrow'], 'ends' => ['not' => ['none']]],
                ['ends' => ['end', 'both']],
            ]],
            TaskKind::Stamp => ['objects' => [['type' => ['stamp']]]],
            TaskKind::Text => ['objects' => [['type' => ['text']]]],
            TaskKind::Word => ['objects' => [['type' => $typed, 'text' => ['like' => $with]]]],
            TaskKind::Unit => ['objects' => [
                ['type' => $typed, 'text' => ['like' => "\\d\\s*{$with}(?!\\p{L})"]],
            ]],
            TaskKind::Note => ['objects' => [['type' => ['note']]]],
            TaskKind::Maths => ['objects' => [['type' => ['maths']]]],
            TaskKind::Construct => ['objects' => [['type' => ['construction']]]],
            TaskKind::Picture => ['objects' => [['type' => ['picture']]]],
            TaskKind::Page, TaskKind::Answer, TaskKind::Hand, TaskKind::Send => ['fact' => $this->kind->value],
        };
    }

    /** @param  list<string>  $facts  those that hold */
    public function isDone(Scene $scene, array $facts): bool
    {
        $test = $this->test();
        if (isset($test['fact'])) {
            return in_array($test['fact'], $facts, true);
        }
        foreach ($scene->placed as $placed) {
            if ($placed->layer === Layer::Student && self::fits($placed, $test)) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<string, mixed>  $test */
    private static function fits(PlacedObject $placed, array $test): bool
    {
        $json = $placed->object->toArray();
        foreach (is_array($test['objects'] ?? null) ? $test['objects'] : [] as $fields) {
            $isOne = true;
            foreach (is_array($fields) ? $fields : [] as $name => $asked) {
                $isOne = $isOne && self::holds($json[$name] ?? null, is_array($asked) ? $asked : []);
            }
            if ($isOne) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<array-key, mixed>  $asked */
    private static function holds(mixed $value, array $asked): bool
    {
        if (is_array($asked['not'] ?? null)) {
            return ! in_array($value, $asked['not'], true);
        }
        if (is_string($asked['like'] ?? null)) {
            return is_string($value) && preg_match("/{$asked['like']}/iu", $value) === 1;
        }

        return in_array($value, $asked, true);
    }
}
