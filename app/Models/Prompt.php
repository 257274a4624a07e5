<?php

declare(strict_types=1);

namespace App\Models;

use Crag\Canvas\Fields;
use Crag\Prompt\Backdrop;
use Crag\Prompt\Prompt as PromptValue;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $id
 * @property string $live_session_id
 * @property int $n
 * @property string $words
 * @property array<string, string> $backdrop
 */
final class Prompt extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['backdrop' => 'array'];
    }

    public function value(): PromptValue
    {
        return PromptValue::of($this->words, $this->backdropValue());
    }

    public function backdropValue(): Backdrop
    {
        return Backdrop::read(new Fields($this->backdrop));
    }

    /** @return HasMany<Canvas, $this> */
    public function canvases(): HasMany
    {
        return $this->hasMany(Canvas::class);
    }

    /** @return array{id: string, n: int, words: string, backdrop: array<string, string>} what pages are told */
    public function announcement(): array
    {
        return ['id' => $this->id, 'n' => $this->n, 'words' => $this->words, 'backdrop' => $this->backdrop];
    }
}
