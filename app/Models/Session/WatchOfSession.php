<?php

declare(strict_types=1);

namespace App\Models\Session;

use App\Models\Canvas;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** Students’ canvases, and which of them their teachers may see. */
trait WatchOfSession
{
    /** Whether work is hidden from its teachers until it is revealed. What has ended is open. */
    public function coversWork(): bool
    {
        return $this->settings->covers($this->isRunning(), false);
    }

    /** @return HasMany<Canvas, $this> the students' */
    public function canvases(): HasMany
    {
        $canvases = $this->hasMany(Canvas::class);
        $canvases->whereNotNull('seat_id');

        return $canvases;
    }

    /**
     * The students' canvases that their teachers may see now. Everything that shows or takes out work begins here.
     *
     * @return HasMany<Canvas, $this>
     */
    public function openCanvases(): HasMany
    {
        return $this->coversWork()
            ? $this->canvases()->whereHas(
                'prompt',
                static fn (Builder $prompt) => $prompt->whereNotNull('revealed_at_ms'),
            )
            : $this->canvases();
    }

    /** @return list<string> canvases that nothing may be told of to a desk */
    public function coveredCanvases(): array
    {
        return ! $this->coversWork()
            ? []
            : $this->canvases()
                ->whereHas('prompt', static fn (Builder $prompt) => $prompt->whereNull('revealed_at_ms'))
                ->pluck('id')
                ->all();
    }
}
