<?php

declare(strict_types=1);

namespace App\Models\Session;

use App\Models\Act;
use App\Models\Asset;
use App\Models\Handout;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use Crag\Canvas\Log\TrayInForce;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** Prompts and what is handed out at them. */
trait WorkOfSession
{
    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    /** @return HasMany<Prompt, $this> those that the class works through */
    public function prompts(): HasMany
    {
        $prompts = $this->allPrompts();
        $prompts->whereNull('ask_id');

        return $prompts;
    }

    /** @return HasMany<Prompt, $this> these, and those that hold the drawings of quick asks */
    public function allPrompts(): HasMany
    {
        $prompts = $this->hasMany(Prompt::class)->chaperone('session');
        $prompts->orderBy('n');

        return $prompts;
    }

    /** @return BelongsTo<Prompt, $this> what the class works on now */
    public function prompt(): BelongsTo
    {
        return $this->belongsTo(Prompt::class);
    }

    /** The tools that students have where a prompt has no tray of its own. */
    public function trayInForce(): TrayInForce
    {
        return $this->tray ?? TrayInForce::always(ToolTray::of(TrayKind::Standard));
    }

    /** @return HasMany<Handout, $this> the latest first */
    public function handouts(): HasMany
    {
        $handouts = $this->hasMany(Handout::class);
        $handouts->orderByDesc('id');

        return $handouts;
    }

    /** @return HasMany<Act, $this> what was done to the whole room, oldest first */
    public function acts(): HasMany
    {
        $acts = $this->hasMany(Act::class)->chaperone('session');
        $acts->orderBy('id');

        return $acts;
    }

    /** @return HasMany<Asset, $this> */
    public function assets(): HasMany
    {
        return $this->hasMany(Asset::class);
    }
}
