<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\LoggedOperation;
use Crag\Canvas\Log\EarlierOperation;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Object\ObjectId;
use Illuminate\Database\Query\Builder;

/** What canvases' logs say of the operations in some batches and of those that they refer to. */
final class LogSoFar
{
    /** Ids in one question. */
    private const AT_ONCE = 500;

    /** @var array<string, array<string, EarlierOperation>> by canvas and id */
    private array $known = [];

    /** @var array<string, array<string, int>> their places, by canvas and id */
    private array $places = [];

    /** @param  list<array{string, list<Operation>}>  $asked  a canvas and what is to go there */
    public static function of(array $asked): self
    {
        $ids = [];
        foreach ($asked as [$canvas, $operations]) {
            foreach ($operations as $operation) {
                $ids[] = [$canvas, $operation->id->value];
                foreach ($operation->effect->targets() as $target) {
                    $ids[] = [$canvas, ObjectId::operation($target)];
                }
            }
        }
        $log = new self();
        foreach (array_chunk(array_unique($ids, SORT_REGULAR), self::AT_ONCE) as $some) {
            $log->look($some);
        }

        return $log;
    }

    /** @param  array<array{string, string}>  $ids  canvas and id */
    private function look(array $ids): void
    {
        $byCanvas = [];
        foreach ($ids as [$canvas, $id]) {
            $byCanvas[$canvas][] = $id;
        }
        $query = LoggedOperation::query()->toBase();
        foreach ($byCanvas as $canvas => $some) {
            $query->orWhere(
                static fn (Builder $one): Builder => $one->where('canvas_id', $canvas)->whereIn('op_id', $some),
            );
        }
        foreach ($query->get() as $row) {
            $logged = (new LoggedOperation())->setRawAttributes((array) $row);
            $this->known[$logged->canvas_id][$logged->op_id] = EarlierOperation::of($logged->operation());
            $this->places[$logged->canvas_id][$logged->op_id] = $logged->n;
        }
    }

    /** @return array<string, EarlierOperation> by id */
    public function known(string $canvas): array
    {
        return $this->known[$canvas] ?? [];
    }

    /** @return ?int where the operation is in the canvas's log; null where it is not there */
    public function placeOf(string $canvas, string $id): ?int
    {
        return $this->places[$canvas][$id] ?? null;
    }

    /** @return EarlierOperation as the next ones may refer to it */
    public function take(string $canvas, Operation $operation, int $place): EarlierOperation
    {
        $this->places[$canvas][$operation->id->value] = $place;

        return $this->known[$canvas][$operation->id->value] = EarlierOperation::of($operation);
    }
}
