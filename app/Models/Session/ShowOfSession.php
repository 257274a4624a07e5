<?php

declare(strict_types=1);

namespace App\Models\Session;

use App\Models\Show\LineupEntry;
use App\Models\Show\Offer;
use App\Models\Show\Showcase;
use Crag\Session\Screen\OfferState;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** What the class sees, and what might be shown. */
trait ShowOfSession
{
    /** @return BelongsTo<Showcase, $this> what is or was last shown */
    public function showcase(): BelongsTo
    {
        return $this->belongsTo(Showcase::class);
    }

    /** @return HasMany<LineupEntry, $this> in the order in which they are to be shown */
    public function lineup(): HasMany
    {
        $entries = $this->hasMany(LineupEntry::class);
        $entries->orderByRaw('(select prompts.n from prompts where prompts.id = lineup_entries.prompt_id), n');

        return $entries;
    }

    /** @return HasMany<Offer, $this> oldest first, without those that were declined */
    public function offers(): HasMany
    {
        $offers = $this->hasMany(Offer::class)->orderBy('id');
        $offers->where('state', '!=', OfferState::Declined);

        return $offers;
    }
}
