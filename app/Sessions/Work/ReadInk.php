<?php

declare(strict_types=1);

namespace App\Sessions\Work;

use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Seat;
use Crag\Handwriting\InkInBox;
use Crag\Handwriting\OwnForms;
use Crag\Handwriting\ReadLine;
use Crag\Handwriting\WrittenLine;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Spot;
use Illuminate\Support\Facades\DB;

/**
 * Reads what a student wrote by hand. What they confirm or correct is learned for the rest of the session, and
 * forgotten as it ends.
 */
final class ReadInk
{
    private const TABLE = 'own_forms';

    /** Null where there is more than a line, or nothing. */
    public function inBox(Seat $seat, Canvas $canvas, Spot $spot): ?WrittenLine
    {
        $ink = InkInBox::of($canvas->scene(), $spot);

        return $ink === null || $ink->strokes === [] ? null : ReadLine::of($ink, $this->formsOf($seat));
    }

    /** @param  list<string>  $strokes  by their ids */
    public function strokes(Seat $seat, Canvas $canvas, array $strokes): ?WrittenLine
    {
        $ink = InkInBox::named($canvas->scene(), $strokes);

        return $ink === null || $ink->strokes === [] ? null : ReadLine::of($ink, $this->formsOf($seat));
    }

    /** @param  string  $says  what its writer says that it is */
    public function learn(Seat $seat, WrittenLine $line, string $says): void
    {
        $own = $this->formsOf($seat);
        $own = $line->says($says) ? $line->learned($own) : $line->corrected($own, $says);
        DB::table(self::TABLE)->upsert(
            ['seat_id' => $seat->id, 'forms' => json_encode($own->toArray(), JSON_THROW_ON_ERROR)],
            ['seat_id'],
        );
    }

    public static function forget(LiveSession $session): void
    {
        DB::table(self::TABLE)->whereIn('seat_id', $session->seats()->select('id'))->delete();
    }

    private function formsOf(Seat $seat): OwnForms
    {
        $forms = DB::table(self::TABLE)->where('seat_id', $seat->id)->value('forms');
        try {
            return is_string($forms)
                ? OwnForms::read(new Fields((array) json_decode($forms, true, flags: JSON_THROW_ON_ERROR)))
                : OwnForms::none();
        } catch (UnreadableFields) {
            return OwnForms::none();
        }
    }
}
