<?php

declare(strict_types=1);

namespace App\Models;

use App\Canvas\KeptScene;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Scene;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Sharing;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A student's canvas for a prompt; without a seat, the teacher's lead canvas for it (in a plan, its diagram), a
 * teacher's private notes over a student's, or what is drawn over it while it is shown.
 *
 * @property string $id
 * @property ?string $live_session_id  null in a plan
 * @property string $prompt_id
 * @property ?string $seat_id
 * @property int $operation_count
 * @property int $byte_count
 * @property int $added_count
 * @property ?string $notes_on_id  the student's canvas over which these are private notes
 * @property ?int $over_item_id  the shown canvas over which this is drawn before the class
 * @property int $looked_at_operation  up to which operation a teacher has looked at it closely
 * @property ?int $last_stroke_ms
 * @property ?int $sent_at_ms  when the student sent it to the teacher
 * @property ?Seat $seat
 * @property Prompt $prompt
 * @property ?Check $check
 * @property ?\Illuminate\Support\Carbon $created_at
 */
final class Canvas extends Model
{
    use HasUlids;

    protected $table = 'canvases';

    protected $guarded = [];

    protected $attributes = [
        'operation_count' => 0,
        'byte_count' => 0,
        'added_count' => 0,
        'last_stroke_ms' => null,
        'sent_at_ms' => null,
        'notes_on_id' => null,
        'over_item_id' => null,
        'looked_at_operation' => 0,
    ];

    /** Who draws on it. */
    public function author(): Author
    {
        return $this->seat_id === null ? Author::teacher() : Author::seat($this->seat_id);
    }

    /** @return list<Author> whose canvas it is; of a group's, everyone who is or was in it */
    public function authors(): array
    {
        return $this->seat_id === null ? [Author::teacher()] : array_map(Author::seat(...), $this->workers());
    }

    /** The layer on which its author draws. */
    public function layer(): Layer
    {
        return match (true) {
            $this->seat_id !== null => Layer::Student,
            $this->notes_on_id !== null => Layer::Private,
            default => Layer::Lead,
        };
    }

    /** @return list<string> the seats of the students whose work it is: of a group, all who are or were in it */
    public function workers(): array
    {
        $seat = $this->loadMissing('seat')->seat;

        return match (true) {
            $seat === null => [],
            ! $seat->isGroup() => [$seat->id],
            default => array_map(strval(...), array_values($seat->members()->pluck('seat_id')->all())),
        };
    }

    /** Whether it is one of those that its prompt is worked on now: it may have been shared otherwise before. */
    public function isAsShared(): bool
    {
        return ($this->prompt->sharing() !== Sharing::Each) === ($this->loadMissing('seat')->seat?->isGroup() === true);
    }

    public function isLead(): bool
    {
        return $this->layer() === Layer::Lead;
    }

    /** @return BelongsTo<Seat, $this> */
    public function seat(): BelongsTo
    {
        return $this->belongsTo(Seat::class);
    }

    /** @return BelongsTo<Prompt, $this> */
    public function prompt(): BelongsTo
    {
        return $this->belongsTo(Prompt::class);
    }

    /** @return HasMany<LoggedOperation, $this> in the order of the log */
    public function operations(): HasMany
    {
        return $this->hasMany(LoggedOperation::class)->orderBy('n');
    }

    /** @return HasOne<Check, $this> the check that holds */
    public function check(): HasOne
    {
        return $this->hasOne(Check::class)->latestOfMany();
    }

    /** @return HasMany<Check, $this> every check that there was, the latest first */
    public function checks(): HasMany
    {
        $checks = $this->hasMany(Check::class);
        $checks->orderByDesc('id');

        return $checks;
    }

    /** @param  ?int  $upTo the number of the last operation to count; null for all */
    public function scene(?int $upTo = null): Scene
    {
        if ($upTo === null) {
            return KeptScene::of($this)->scene;
        }

        return Scene::fold(LoggedOperation::read($this->operations()->where('n', '<=', $upTo)));
    }

    /** The same as it is seen: with the answer boxes on its pages, and what is answered in them. */
    public function sceneSeen(?int $upTo = null): Scene
    {
        return $this->scene($upTo)->withBoxes($this->questions());
    }

    /** @return list<array{int, array<string, mixed>}> as {@see Prompt::boxesFor} */
    public function boxes(): array
    {
        $seat = $this->loadMissing('seat')->seat;

        return $seat === null ? [] : $this->prompt->boxesFor($seat);
    }

    /** @return list<Question> what is asked on it: of nobody in particular, nothing */
    public function questions(): array
    {
        $seat = $this->loadMissing('seat')->seat;

        return $seat === null ? [] : $this->prompt->forSeat($seat)->questions;
    }
}
