<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One page of a canvas as it was when it was chosen.
 *
 * @property string $id
 * @property string $live_session_id
 * @property string $canvas_id
 * @property string $page  which of its pages
 * @property int $at_operation
 * @property bool $with_notes  whether the private notes over it are shown too
 * @property Canvas $canvas
 */
final class Showcase extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected $attributes = ['with_notes' => false];

    protected function casts(): array
    {
        return ['with_notes' => 'boolean'];
    }

    /** @return BelongsTo<Canvas, $this> */
    public function canvas(): BelongsTo
    {
        return $this->belongsTo(Canvas::class);
    }
}
