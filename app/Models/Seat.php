<?php

declare(strict_types=1);

namespace App\Models;

use Crag\Canvas\Author;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $id
 * @property string $live_session_id
 * @property int $n
 * @property string $name
 * @property string $token_hash
 * @property string $ink_key
 * @property int $polled_at_ms
 * @property ?string $roster_entry_id
 * @property LiveSession $session
 */
final class Seat extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected $attributes = ['polled_at_ms' => 0, 'roster_entry_id' => null];

    public function author(): Author
    {
        return Author::seat($this->id);
    }

    /** @return BelongsTo<LiveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(LiveSession::class, 'live_session_id');
    }

    /** @return HasMany<Canvas, $this> */
    public function canvases(): HasMany
    {
        return $this->hasMany(Canvas::class);
    }

    /** @return array{id: string, n: int, name: string, ink: string} what desks are told, and nobody else */
    public function announcement(): array
    {
        return ['id' => $this->id, 'n' => $this->n, 'name' => $this->name, 'ink' => $this->ink_key];
    }

    /** The name of the cookie that holds a place in this session. */
    public static function cookieFor(string $sessionId): string
    {
        return 'crag_seat_'.strtolower($sessionId);
    }
}
