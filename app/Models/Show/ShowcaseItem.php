<?php

declare(strict_types=1);

namespace App\Models\Show;

use App\Models\Canvas;
use App\Models\Casts\CoreValue;
use App\Models\LiveSession;
use App\Models\Model;
use App\Models\TalkThrough;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Scene;
use Crag\Session\Door\NameMode;
use Crag\Session\Screen\ShownPart;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One of up to four canvases that are shown side by side.
 *
 * @property int $id
 * @property string $showcase_id
 * @property int $n  from 1, from left to right
 * @property string $canvas_id
 * @property string $page  which of its pages
 * @property ?int $at_operation  the moment; null as it is now
 * @property bool $with_notes  whether the private notes over it are shown too
 * @property ?NameMode $names  null as the session has names
 * @property ?int $lineup_entry_id
 * @property string $praise  what was said of it before the class; empty for nothing
 * @property ?ShownPart $view  null for the whole page
 * @property ?int $replay_from_ms  since when its replay plays
 * @property int $replay_speed  times as fast as it was drawn
 * @property ?string $talk_id  what is said about it, which its replay goes along with
 * @property ?TalkThrough $talk
 * @property Canvas $canvas
 * @property ?Canvas $over
 */
final class ShowcaseItem extends Model
{
    public $timestamps = false;

    protected $table = 'showcase_items';

    protected $guarded = [];

    protected $attributes = ['praise' => ''];

    protected function casts(): array
    {
        return ['with_notes' => 'boolean', 'names' => NameMode::class, 'view' => CoreValue::class.':'.ShownPart::class];
    }

    /** What is to be seen. */
    public function scene(): Scene
    {
        $scene = $this->canvas->sceneSeen($this->at_operation);
        // Coach ink is between a teacher and one student.
        $scene = $scene->having(
            array_filter($scene->placed, static fn (PlacedObject $placed): bool => $placed->layer !== Layer::Coach),
        );
        $notes = $this->with_notes ? Canvas::query()->where('notes_on_id', $this->canvas_id)->first()?->scene() : null;

        return $notes === null ? $scene : $scene->having($scene->placed + $notes->placed);
    }

    /**
     * What a page that shows it must know beside its picture.
     *
     * @return array{
     *     key: string, n: int, version: string, over: int, ink: ?string,
     *     view: ?array{x: float, y: float, scale: float}, replay: ?array{from: int, speed: int}, isSpoken: bool,
     *     name: string,
     *     praise: string,
     * }
     */
    public function told(LiveSession $session): array
    {
        return [
            'key' => substr(
                hash_hmac('sha256', "{$this->canvas_id} {$this->page}", config()->string('app.key')),
                0,
                12,
            ),
            'n' => $this->n,
            'version' => $this->version(),
            'over' => $this->over->operation_count ?? 0,
            'ink' => $this->over?->id,
            'view' => $this->view?->toArray(),
            'replay' => $this->replay_from_ms === null
                    ? null
                    : ['from' => $this->replay_from_ms, 'speed' => $this->replay_speed],
            'isSpoken' => $this->talk_id !== null,
            'name' => $this->label($session),
            'praise' => $this->praise,
        ];
    }

    /** Changes whenever the picture does. */
    public function version(): string
    {
        return $this->at_operation === null ? (string) $this->canvas->operation_count : (string) $this->at_operation;
    }

    /** The name under it; empty for none. */
    public function label(LiveSession $session): string
    {
        $seat = $this->canvas->seat;

        return $seat === null
            ? ''
            : ($this->names ?? $session->settings->shownNames)->show($seat->name, $seat->seatName());
    }

    /** @return HasOne<Canvas, $this> what is drawn over it before the class */
    public function over(): HasOne
    {
        return $this->hasOne(Canvas::class, 'over_item_id');
    }

    /** @return BelongsTo<TalkThrough, $this> */
    public function talk(): BelongsTo
    {
        return $this->belongsTo(TalkThrough::class);
    }

    /** @return BelongsTo<Canvas, $this> */
    public function canvas(): BelongsTo
    {
        return $this->belongsTo(Canvas::class);
    }
}
