<?php

declare(strict_types=1);

namespace App\Models;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Generator;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $n its place in the canvas's log
 * @property ?int $session_n its place among all operations of the session; null in a plan
 * @property ?string $live_session_id
 * @property string $canvas_id
 * @property string $op_id
 * @property ?string $seat_id
 * @property string $layer
 * @property string $kind
 * @property string $body JSON
 * @property int $made_at_ms
 * @property int $stored_at_ms
 */
final class LoggedOperation extends Model
{
    protected $table = 'operations';

    protected $guarded = [];

    public $timestamps = false;

    public function operation(): Operation
    {
        return Operation::read(
            [
                'id' => $this->op_id,
                'kind' => $this->kind,
                'layer' => $this->layer,
                'at' => $this->made_at_ms,
                'body' => json_decode($this->body, true, flags: JSON_THROW_ON_ERROR),
            ],
            $this->seat_id === null ? Author::teacher() : Author::seat($this->seat_id),
            true,
        );
    }

    /**
     * The operations of a query, a few at a time, each under its place in the log.
     *
     * @param  HasMany<self, covariant Canvas>|Builder<self>  $rows
     * @return Generator<int, Operation>
     */
    public static function read(HasMany|Builder $rows): Generator
    {
        foreach ($rows->toBase()->cursor() as $row) {
            $logged = (new self())->setRawAttributes((array) $row);
            yield $logged->n => $logged->operation();
        }
    }

    /** The same with its places in the canvas's log and in the session's. */
    public function at(int $n, ?int $sessionN): self
    {
        return $this->setRawAttributes(['n' => $n, 'session_n' => $sessionN] + $this->attributes);
    }

    /** For a desk that may not see it yet: that it was, and nothing of what it is. */
    public function coveredWire(): string
    {
        return sprintf('{"s":%d,"covered":true}', $this->session_n);
    }

    /** Its JSON form with its two numbers, for a page that already trusts what is stored: nothing is decoded. */
    public function wire(): string
    {
        // No column is cast: asked for one by one, they would be a tenth of what storing costs.
        $row = $this->attributes;

        return sprintf(
            '{"n":%d,"s":%d,"canvas":"%s","by":%s,"id":"%s","kind":"%s","layer":"%s","at":%d,"body":%s}',
            $row['n'],
            $row['session_n'],
            $row['canvas_id'],
            $row['seat_id'] === null ? 'null' : "\"{$row['seat_id']}\"",
            $row['op_id'],
            $row['kind'],
            $row['layer'],
            $row['made_at_ms'],
            $row['body'],
        );
    }
}
