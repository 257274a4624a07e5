<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\CoreValue;
use Crag\Plan\Handout as HandoutValue;
use Crag\Plan\HandoutMode;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * Something that was handed out: what, how, to which canvases, and which of their pages have it.
 *
 * @property string $id
 * @property string $live_session_id
 * @property string $prompt_id
 * @property string $label  what it is, in words
 * @property HandoutMode $mode
 * @property bool $for_all  late-comers get it too
 * @property HandoutValue $body
 * @property ?array{words: string, backdrop: array<string, mixed>} $before  the prompt's, where they were changed
 * @property int $made_at_ms
 * @property ?int $undone_at_ms
 * @property Prompt $prompt
 * @property ?Act $act
 */
final class Handout extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'handouts';

    protected $guarded = [];

    protected $attributes = ['before' => null, 'undone_at_ms' => null];

    protected function casts(): array
    {
        return ['mode' => HandoutMode::class, 'for_all' => 'boolean', 'body' => CoreValue::class.':'.HandoutValue::class, 'before' => 'array'];
    }

    /**
     * Whether it went to the whole class: words and backdrop do, though late-comers have them from the prompt itself.
     */
    public function isForEverybody(): bool
    {
        return $this->for_all || $this->before !== null;
    }

    /** @return BelongsTo<Prompt, $this> */
    public function prompt(): BelongsTo
    {
        return $this->belongsTo(Prompt::class);
    }

    /** @return HasOne<Act, $this> where it went to everybody */
    public function act(): HasOne
    {
        return $this->hasOne(Act::class);
    }

    /** @return BelongsToMany<Canvas, $this> each with its operations' ids and when its page had it */
    public function canvases(): BelongsToMany
    {
        return $this->belongsToMany(Canvas::class, 'handout_canvases')->withPivot('operations', 'got_at_ms');
    }
}
