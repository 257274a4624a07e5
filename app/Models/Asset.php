<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A picture that a session holds, re-encoded by us.
 *
 * @property string $id
 * @property string $live_session_id
 * @property ?string $seat_id  the student whose it is; null for the teacher's
 * @property string $mime
 * @property int $width
 * @property int $height
 * @property int $bytes
 */
final class Asset extends Model
{
    use HasUlids;

    protected $guarded = [];

    public function path(): string
    {
        return SessionFolder::of($this->live_session_id)."/{$this->id}";
    }
}
