<?php

declare(strict_types=1);

namespace App\Models;

use Crag\Canvas\Scene;
use Crag\Session\NameMode;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

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
 * @property Canvas $canvas
 */
final class ShowcaseItem extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['with_notes' => 'boolean', 'names' => NameMode::class];
    }

    /** What is to be seen. */
    public function scene(): Scene
    {
        $scene = $this->canvas->scene($this->at_operation);
        $notes = $this->with_notes ? Canvas::query()->where('notes_on_id', $this->canvas_id)->first()?->scene() : null;

        return $notes === null ? $scene : new Scene($scene->pages, $scene->placed + $notes->placed);
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

        return $seat === null ? '' : ($this->names ?? $session->settingsValue()->shownNames)->show($seat->name, $seat->n);
    }

    /** @return BelongsTo<Canvas, $this> */
    public function canvas(): BelongsTo
    {
        return $this->belongsTo(Canvas::class);
    }
}
