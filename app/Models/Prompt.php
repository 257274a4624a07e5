<?php

declare(strict_types=1);

namespace App\Models;

use Crag\Canvas\Fields;
use Crag\Prompt\Backdrop;
use Crag\Prompt\Prompt as PromptValue;
use Crag\Prompt\TrayInForce;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $id
 * @property string $live_session_id
 * @property int $n
 * @property string $words
 * @property array<string, string|float|int> $backdrop
 * @property ?array<string, mixed> $tray  null where the session's holds
 * @property list<array<string, mixed>> $pieces  the bodies of the operations that put pieces on its canvases
 * @property LiveSession $session
 */
final class Prompt extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected $attributes = ['pieces' => '[]', 'tray' => null];

    protected function casts(): array
    {
        return ['backdrop' => 'array', 'tray' => 'array', 'pieces' => 'array'];
    }

    public function value(): PromptValue
    {
        return PromptValue::of($this->words, $this->backdropValue());
    }

    public function backdropValue(): Backdrop
    {
        return Backdrop::read(new Fields($this->backdrop));
    }

    /** The tools that students have for it. */
    public function trayInForce(): TrayInForce
    {
        return $this->tray === null ? $this->session->trayInForce() : TrayInForce::read($this->tray);
    }

    /** @return BelongsTo<LiveSession, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(LiveSession::class, 'live_session_id');
    }

    /** @return HasMany<Canvas, $this> the students' */
    public function canvases(): HasMany
    {
        $canvases = $this->hasMany(Canvas::class);
        $canvases->whereNotNull('seat_id');

        return $canvases;
    }

    /** @return array{id: string, n: int, words: string, backdrop: array<string, string|float|int>} what pages are told */
    public function announcement(): array
    {
        return ['id' => $this->id, 'n' => $this->n, 'words' => $this->words, 'backdrop' => $this->backdrop];
    }
}
