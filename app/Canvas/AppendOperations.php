<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Database\Turn;
use App\Live\Clock;
use App\Models\Asset;
use App\Models\Canvas;
use App\Models\LoggedOperation;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\EarlierOperation;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\MayAppend;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\RefusedOperation;
use Crag\Canvas\Scene;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Question;
use Illuminate\Support\Facades\DB;

/**
 * The one way onto a canvas's log: read, check, append, announce. A bad operation is refused with its reason and the
 * good ones beside it are kept; one that is there already is answered as accepted, so that sending again is harmless.
 * What was drawn while drawing was stopped is held: the page keeps it, and sends it again when drawing goes on.
 */
final readonly class AppendOperations
{
    public function __construct(private AnnounceOperations $announce)
    {
    }

    /**
     * @param  list<mixed>  $operations  in their JSON form, decoded
     * @param  ?Layer  $only  the one layer on which they may be; null for all that the canvas has
     * @return array{
     *     accepted: list<array{id: string, n: int}>,
     *     refused: list<array{id: mixed, reason: string}>,
     *     held: list<array{id: string, why: string, reason: string}>,
     * }
     */
    public function __invoke(Canvas $canvas, Author $author, array $operations, ?Layer $only = null): array
    {
        return $this->several([new Batch($canvas, $author, $operations, $only)])[0]->answer();
    }

    /**
     * In one transaction, one after the other as they stand: all of them, or none where something breaks.
     *
     * @param  list<Batch>  $batches
     * @return list<Appended> one for each
     */
    public function several(array $batches): array
    {
        $read = array_map(fn (Batch $batch): array => $this->read($batch->operations, $batch->author), $batches);
        $sessions = array_values(array_filter(array_map(
            static fn (Batch $batch): ?string => $batch->canvas->live_session_id,
            $batches,
        )));
        $all = Turn::during($sessions, fn (): array => DB::transaction(function () use ($batches, $read): array {
            $counts = Counts::ofAll(array_map(static fn (Batch $batch): string => $batch->canvas->id, $batches));
            $log = LogSoFar::of(
                array_map(
                    static fn (Batch $batch, array $one): array => [$batch->canvas->id, $one[0]],
                    $batches,
                    $read,
                ),
            );
            $now = Clock::ms();
            $all = array_map(
                fn (Batch $batch, array $one): Appended => $this->append(
                    $batch,
                    $one[0],
                    $one[1],
                    $counts[$batch->canvas->id],
                    $log,
                    $now,
                ),
                $batches,
                $read,
            );
            $this->store($all, $now);

            return $all;
        }));
        DB::afterCommit(fn () => ($this->announce)($all));

        return $all;
    }

    /**
     * @param  list<mixed>  $batch
     * @return array{list<Operation>, list<array{id: mixed, reason: string}>}
     */
    private function read(array $batch, Author $author): array
    {
        $operations = $refused = [];
        foreach ($batch as $json) {
            try {
                $operations[] = Operation::read(is_array($json) ? $json : [], $author);
            } catch (UnreadableFields $problem) {
                $refused[] = ['id' => is_array($json) ? $json['id'] ?? null : null, 'reason' => $problem->getMessage()];
            }
        }

        return [$operations, $refused];
    }

    /**
     * @param  list<Operation>  $operations
     * @param  list<array{id: mixed, reason: string}>  $refused  what could not be read
     */
    private function append(
        Batch $batch,
        array $operations,
        array $refused,
        Counts $counts,
        LogSoFar $log,
        int $now,
    ): Appended {
        $canvas = $batch->canvas;
        $layers = $batch->only === null ? $canvas->layer()->besideInLog() : [$batch->only];
        $accepted = $added = $held = [];
        foreach ($operations as $operation) {
            $id = $operation->id->value;
            $place = $log->placeOf($canvas->id, $id);
            if ($place !== null) {
                $accepted[] = ['id' => $id, 'n' => $place];

                continue;
            }
            $why = $counts->mayDraw($operation->author)->holdsBack($operation->madeAtMs, $now);
            if ($why !== null) {
                $held[] = ['id' => $id, 'why' => $why->value, 'reason' => __($why->sentence())];

                continue;
            }
            try {
                $this->rule($canvas, $counts, $log->known($canvas->id), $now, $layers)->check($operation);
                $row = $this->row($canvas, $operation, $now);
                $counts->bytes->take(strlen($row->body));
            } catch (RefusedOperation $problem) {
                $refused[] = ['id' => $id, 'reason' => $problem->getMessage()];

                continue;
            }
            $place = $counts->operations + 1;
            $counts->take(count($log->take($canvas->id, $operation, $place)->types));
            $accepted[] = ['id' => $id, 'n' => $place];
            $added[] = $row->at($place, $counts->session?->operations);
        }

        return new Appended($batch, $counts, $accepted, $refused, $held, $added);
    }

    /**
     * @param  array<string, EarlierOperation>  $known
     * @param  list<Layer>  $layers
     */
    private function rule(Canvas $canvas, Counts $counts, array $known, int $now, array $layers): MayAppend
    {
        return new MayAppend(
            $counts->operations,
            $known,
            $counts->tray,
            $now,
            static fn (string $id): bool => Asset::query()
                ->whereKey($id)
                ->where(self::holder($canvas))
                ->where(static fn ($owner) => $owner->whereNull('seat_id')->orWhereIn('seat_id', array_keys($counts->writers)))
                ->exists(),
            $counts->objects,
            static fn (): Scene => KeptScene::of($canvas)->scene,
            static fn (string $id): ?Question => $canvas->seat === null
                ? null
                : $canvas->prompt->questionToAnswer($id, $canvas->seat),
            $layers,
            $counts->isShared,
        );
    }

    /** @return array<string, ?string> whose pictures may be shown on it */
    private static function holder(Canvas $canvas): array
    {
        return $canvas->live_session_id === null
            ? ['plan_id' => $canvas->prompt->plan_id]
            : ['live_session_id' => $canvas->live_session_id];
    }

    /** It has its places in the logs when it is taken. */
    private function row(Canvas $canvas, Operation $operation, int $now): LoggedOperation
    {
        $json = $operation->toArray();

        return (new LoggedOperation())->setRawAttributes([
            'live_session_id' => $canvas->live_session_id,
            'canvas_id' => $canvas->id,
            'op_id' => $json['id'],
            'seat_id' => $operation->author->seat,
            'layer' => $json['layer'],
            'kind' => $json['kind'],
            'body' => json_encode($json['body'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            'made_at_ms' => $json['at'],
            'stored_at_ms' => $now,
        ]);
    }

    /** @param  list<Appended>  $all */
    private function store(array $all, int $now): void
    {
        $canvases = $sessions = $rows = [];
        foreach ($all as $one) {
            if ($one->added === []) {
                continue;
            }
            foreach ($one->added as $row) {
                $rows[] = $row->getAttributes();
            }
            $byStudent = $one->added[count($one->added) - 1]->seat_id !== null;
            $counts = $one->counts;
            $canvases[$one->batch->canvas->id] = [
                'operation_count' => $counts->operations,
                'added_count' => $counts->objects,
                'byte_count' => $counts->bytes->ofCanvas(),
            ] + ($byStudent ? ['last_stroke_ms' => $now] : []);
            if ($counts->session !== null) {
                $sessions[(string) $one->batch->canvas->live_session_id] = $counts->session;
            }
        }
        foreach (array_chunk($rows, 500) as $some) {
            LoggedOperation::query()->toBase()->insert($some);
        }
        foreach ($canvases as $id => $changed) {
            // Many at a time: the query's builder would take as long as the database.
            DB::update(
                'update canvases set '.implode(' = ?, ', array_keys($changed)).' = ? where id = ?',
                [...array_values($changed), $id],
            );
        }
        foreach ($sessions as $id => $session) {
            DB::table('live_sessions')
                ->where('id', $id)
                ->update(['operation_count' => $session->operations, 'byte_count' => $session->bytes->bytes]);
        }
    }
}
