<?php

declare(strict_types=1);

namespace App\Models\Teachers;

use App\Models\Model;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A student of a class. The PIN only keeps classmates from taking each other's names; it stands in the list that the
 * teacher reads out, so it is kept as it is.
 *
 * @property string $id
 * @property string $roster_id
 * @property int $n  the seat's number
 * @property string $name
 * @property string $group
 * @property string $pin
 * @property ?string $source  the student in the school's records
 * @property string $account  with which the student signs in; in small letters, empty for none
 * @property Roster $roster
 */
final class RosterEntry extends Model
{
    use HasUlids;

    protected $table = 'roster_entries';

    protected $guarded = [];

    protected $attributes = ['group' => '', 'pin' => '', 'account' => ''];

    /** @return BelongsTo<Roster, $this> */
    public function roster(): BelongsTo
    {
        return $this->belongsTo(Roster::class);
    }
}
