<?php

declare(strict_types=1);

namespace App\Models\Asks;

use App\Models\Model;

/**
 * What somebody answered once. The latest of a voter counts; the ones before tell what was changed.
 *
 * @property int $id
 * @property string $ask_id
 * @property string $voter
 * @property array{value: mixed} $value  null for an answer that was taken back
 * @property int $made_at_ms
 */
final class AskAnswer extends Model
{
    public $timestamps = false;

    protected $table = 'ask_answers';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['value' => 'array'];
    }
}
