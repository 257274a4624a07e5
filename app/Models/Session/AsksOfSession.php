<?php

declare(strict_types=1);

namespace App\Models\Session;

use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** Quick asks and runs of them. */
trait AsksOfSession
{
    /** @return BelongsTo<Ask, $this> the quick ask that is before the class */
    public function ask(): BelongsTo
    {
        return $this->belongsTo(Ask::class);
    }

    /** @return BelongsTo<Run, $this> of quick asks: under way, or the last one */
    public function run(): BelongsTo
    {
        return $this->belongsTo(Run::class);
    }

    /** @return HasMany<Ask, $this> the latest first */
    public function asks(): HasMany
    {
        $asks = $this->hasMany(Ask::class);
        $asks->orderByDesc('n');

        return $asks;
    }
}
