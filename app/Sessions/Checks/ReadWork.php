<?php

declare(strict_types=1);

namespace App\Sessions\Checks;

use App\Models\Canvas;
use App\Models\Seat;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Scene;
use Crag\Checks\DrawingTime;
use Crag\Reading\Answered;
use Crag\Reading\Point;
use Crag\Reading\Reader;
use Crag\Reading\Reading;
use Crag\Reading\Typed;
use Crag\Reading\Where;
use Crag\Reading\Work;
use Crag\Session\Room\ShortMessage;
use Illuminate\Support\Str;

/** Gives a canvas to the reader that is configured. It gets what was typed and how much was drawn, and no name. */
final readonly class ReadWork
{
    private const MOST_SAID = 2;

    public function __construct(private Reader $reader)
    {
    }

    public function name(): string
    {
        return $this->reader->name();
    }

    /** Under which it writes to students. */
    public function shortName(): string
    {
        return __(Str::before($this->reader->name(), ':'));
    }

    public function __invoke(Canvas $canvas, Seat $seat): Reading
    {
        return $this->reader->read(self::work($canvas, $seat));
    }

    /** What it would write to the student, short enough for a message. */
    public static function words(Reading $reading): string
    {
        $say = static fn (Point $point): string => __($point->sentence, $point->values);

        return Str::limit(
            trim(
                implode(' ', array_map($say, array_slice($reading->missing, 0, self::MOST_SAID))).
                    ' '.
                    $say($reading->question),
            ),
            ShortMessage::LONGEST - 10,
        );
    }

    public static function work(Canvas $canvas, Seat $seat): Work
    {
        $scene = $canvas->scene();
        $mine = $canvas->prompt->forSeat($seat);
        $answers = [];
        foreach ($mine->questions as $question) {
            if (! $question->takesAnswer()) {
                continue;
            }
            $given = $scene->answerTo($question);
            $written = $given === null ? '' : trim($question->asked->written($given));
            $spot = $question->spot;
            $answers[] = new Answered(
                $question->words,
                $written,
                $written === '' ? null : $question->compare($given),
                $spot === null ? null : new Where($spot->page, $spot->x + $spot->w / 2, $spot->y + $spot->height() / 2),
            );
        }
        $made = array_values(
            $canvas->operations()->whereNotNull('seat_id')->reorder()->pluck('made_at_ms')->map(intval(...))->all(),
        );

        return new Work(
            $canvas->prompt->plainWords(),
            $mine->lookFor,
            $answers,
            Typed::on($scene),
            self::strokes($scene),
            DrawingTime::of($made),
        );
    }

    private static function strokes(Scene $scene): int
    {
        return count(array_filter(
            $scene->placed,
            static fn (PlacedObject $placed): bool => $placed->layer === Layer::Student &&
                $placed->object instanceof Stroke,
        ));
    }
}
