<?php

declare(strict_types=1);

namespace App\Live;

use App\Models\Canvas;
use App\Models\LoggedOperation;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** Operations for a page that catches up: a measured part of them, and whether there is more to ask for. */
final readonly class Portion
{
    private const MOST_BYTES = 1024 * 1024;

    /** @param  string  $operations  JSON, without the brackets around them */
    private function __construct(public string $operations, public bool $hasMore)
    {
    }

    /**
     * @param  HasMany<LoggedOperation, Canvas>|Builder<LoggedOperation>  $rows in the order in which the page needs
     *      them
     * @param  list<string>  $covered  canvases of which the page may know nothing
     */
    public static function of(HasMany|Builder $rows, array $covered = []): self
    {
        $operations = '';
        $hidden = array_flip($covered);
        $n = 0;
        foreach ($rows->toBase()->cursor() as $row) {
            if ($n === CatchUp::MOST || strlen($operations) > self::MOST_BYTES) {
                return new self($operations, true);
            }
            $logged = (new LoggedOperation())->setRawAttributes((array) $row);
            $operations .=
                ($n++ === 0 ? '' : ',').
                (isset($hidden[$logged->canvas_id]) ? $logged->coveredWire() : $logged->wire());
        }

        return new self($operations, false);
    }

    public static function none(): self
    {
        return new self('', false);
    }
}
