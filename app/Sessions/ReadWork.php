<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\Canvas;
use App\Models\Seat;
use Crag\Canvas\Layer;
use Crag\Canvas\Object\Note;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Object\Text;
use Crag\Canvas\Placed;
use Crag\Canvas\Scene;
use Crag\Checks\DrawingTime;
use Crag\Reading\Answered;
use Crag\Reading\Reader;
use Crag\Reading\Reading;
use Crag\Reading\Work;

/** Gives a canvas to the reader that is configured. It gets what was typed and how much was drawn, and no name. */
final readonly class ReadWork
{
    public function __construct(private Reader $reader)
    {
    }

    public function name(): string
    {
        return $this->reader->name();
    }

    public function __invoke(Canvas $canvas, Seat $seat): Reading
    {
        return $this->reader->read(self::work($canvas, $seat));
    }

    public static function work(Canvas $canvas, Seat $seat): Work
    {
        $scene = $canvas->scene();
        $mine = $canvas->prompt->forSeat($seat);
        $answers = [];
        foreach ($mine->questions as $question) {
            $given = $scene->answers[$question->id] ?? null;
            $written = $given === null ? '' : trim($question->asked->written($given));
            $answers[] = new Answered($question->words, $written, $written === '' ? null : $question->compare($given));
        }
        $made = array_values($canvas->operations()->whereNotNull('seat_id')->reorder()->pluck('made_at_ms')->map(intval(...))->all());

        return new Work($canvas->prompt->plainWords(), $mine->lookFor, $answers, self::texts($scene), count(self::own($scene, Stroke::class)), DrawingTime::of($made));
    }

    /** @return list<string> */
    private static function texts(Scene $scene): array
    {
        return array_map(static fn (Placed $placed): string => $placed->object instanceof Text || $placed->object instanceof Note ? $placed->object->text : '', [...self::own($scene, Text::class), ...self::own($scene, Note::class)]);
    }

    /**
     * @param  class-string  $kind
     * @return list<Placed> what the student made of a kind
     */
    private static function own(Scene $scene, string $kind): array
    {
        return array_values(array_filter($scene->placed, static fn (Placed $placed): bool => $placed->layer === Layer::Student && $placed->object instanceof $kind));
    }
}
