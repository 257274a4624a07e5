<?php

declare(strict_types=1);

namespace App\Models;

use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Paper;
use Illuminate\Database\Eloquent\Concerns\HasUlids;

/**
 * A picture that a session or a plan holds, re-encoded by us.
 *
 * @property string $id
 * @property ?string $live_session_id
 * @property ?string $plan_id
 * @property ?string $seat_id  the student whose it is; null for the teacher's
 * @property string $mime
 * @property int $width
 * @property int $height
 * @property int $bytes
 * @property ?list<array{string, int, int, int, int}> $page_words  of a PDF's page: each word with left, top, width and
 *     height in ten-thousandths of the picture
 */
final class Asset extends Model
{
    use HasUlids;

    protected $table = 'assets';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['page_words' => 'array'];
    }

    public function path(): string
    {
        $folder =
            $this->live_session_id === null
                ? HeldFolder::of('plans', (string) $this->plan_id)
                : HeldFolder::of('sessions', $this->live_session_id);

        return "{$folder}/{$this->id}";
    }

    /** As a backdrop, on a page of its own proportions. */
    public function backdrop(): Backdrop
    {
        return Backdrop::picture($this->id, Paper::like($this->width, $this->height));
    }

    /** The same picture for another holder. */
    public function copyTo(Holder $holder): self
    {
        $copy = self::query()->create(
            [$holder->column() => $holder->holderId()] +
                $this->only(['mime', 'width', 'height', 'bytes', 'page_words']),
        );
        copy($this->path(), $copy->path());

        return $copy;
    }
}
