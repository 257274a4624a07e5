<?php

declare(strict_types=1);

namespace App\Models\Show;

use App\Models\Canvas;
use App\Models\Casts\CoreValue;
use App\Models\Model;
use App\Models\Seat;
use Crag\Canvas\Drawing\CutOut;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Scene;
use Crag\Session\Screen\OfferState;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A canvas, or a part of it, that a student offers to the class with a line of words. Nobody sees it but the teachers
 * until one of them accepts it.
 *
 * @property string $id
 * @property string $live_session_id
 * @property string $seat_id
 * @property string $canvas_id
 * @property string $page
 * @property int $at_operation  the moment of the work that is offered
 * @property ?CutOut $cut  null for the whole page
 * @property string $words
 * @property OfferState $state
 * @property int $column  of the page of offers, from 0
 * @property int $place  in its column
 * @property int $number  by which the class votes, from 1; 0 until it is accepted
 * @property int $made_at_ms
 * @property Seat $seat
 * @property Canvas $canvas
 */
final class Offer extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'offers';

    protected $guarded = [];

    protected $attributes = [
        'page' => '',
        'cut' => null,
        'words' => '',
        'state' => OfferState::Waiting,
        'column' => 0,
        'place' => 0,
        'number' => 0,
    ];

    protected function casts(): array
    {
        return ['cut' => CoreValue::class.':'.CutOut::class, 'state' => OfferState::class];
    }

    /** What is offered: the work as it was then, without what was written to its author. */
    public function scene(): Scene
    {
        $scene = $this->canvas->sceneSeen($this->at_operation);

        return $scene->having(
            array_filter($scene->placed, static fn (PlacedObject $placed): bool => $placed->layer !== Layer::Coach),
        );
    }

    /** @return BelongsTo<Seat, $this> */
    public function seat(): BelongsTo
    {
        return $this->belongsTo(Seat::class);
    }

    /** @return BelongsTo<Canvas, $this> */
    public function canvas(): BelongsTo
    {
        return $this->belongsTo(Canvas::class);
    }
}
