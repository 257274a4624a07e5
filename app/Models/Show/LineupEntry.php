<?php

declare(strict_types=1);

namespace App\Models\Show;

use App\Models\Canvas;
use App\Models\Model;
use Crag\Session\Door\NameMode;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A page of a canvas that a teacher has chosen to talk about, as it was when it was chosen.
 *
 * @property int $id
 * @property string $live_session_id
 * @property string $prompt_id
 * @property string $canvas_id
 * @property string $page
 * @property ?string $talk_id  what is said about it, with which it is shown
 * @property int $n  its place among those of the prompt
 * @property int $at_operation
 * @property string $caption  why this one: for teachers alone
 * @property bool $is_live  shown as it is now instead
 * @property ?NameMode $names  null as the session has names
 * @property bool $with_notes  whether the private notes over it are shown too
 * @property Canvas $canvas
 */
final class LineupEntry extends Model
{
    protected $table = 'lineup_entries';

    protected $guarded = [];

    public $timestamps = false;

    protected $attributes = ['caption' => '', 'is_live' => false, 'names' => null];

    protected function casts(): array
    {
        return ['with_notes' => 'boolean', 'is_live' => 'boolean', 'names' => NameMode::class];
    }

    /** @return BelongsTo<Canvas, $this> */
    public function canvas(): BelongsTo
    {
        return $this->belongsTo(Canvas::class);
    }
}
