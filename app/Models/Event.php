<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $live_session_id
 * @property string $audience
 * @property int $n
 * @property string $type
 * @property string $body JSON
 * @property int $at_ms
 */
final class Event extends Model
{
    protected $table = 'events';

    protected $guarded = [];

    public $timestamps = false;
}
