<?php

declare(strict_types=1);

namespace App\Models\Show;

use App\Models\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Work that is shown to the class: one canvas, or up to four side by side.
 *
 * @property string $id
 * @property string $live_session_id
 * @property Collection<int, ShowcaseItem> $items
 */
final class Showcase extends Model
{
    use HasUlids;

    public const MOST = 4;

    protected $table = 'showcases';

    protected $guarded = [];

    /** @return HasMany<ShowcaseItem, $this> from left to right */
    public function items(): HasMany
    {
        $items = $this->hasMany(ShowcaseItem::class);
        $items->orderBy('n');

        return $items;
    }
}
