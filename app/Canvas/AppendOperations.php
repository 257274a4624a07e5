<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Audience;
use App\Live\Clock;
use App\Live\Publisher;
use App\Models\Asset;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Seat;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\EarlierOperation;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\MayAppend;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\RefusedOperation;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\Scene;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Question;
use Crag\Session\Screen\LeadSharing;
use Illuminate\Support\Facades\DB;

/**
 * The one way onto a canvas's log: read, check, append, announce. A bad operation is refused with its reason and the
 * good ones beside it are kept; one that is there already is answered as accepted, so that sending again is harmless.
 * What was drawn while drawing was stopped is held: the page keeps it, and sends it again when drawing goes on.
 */
final readonly class AppendOperations
{
    private const MOST_LIVE_BYTES = 200_000;

    public function __construct(private Publisher $publisher)
    {
    }

    /**
     * @param  list<mixed>  $batch  operations in their JSON form, decoded
     * @param  ?Layer  $only  the one layer on which they may be; null for all that the canvas has
     * @return array{
     *     accepted: list<array{id: string, n: int}>,
     *     refused: list<array{id: mixed, reason: string}>,
     *     held: list<array{id: string, why: string, reason: string}>,
     * }
     */
    public function __invoke(Canvas $canvas, Author $author, array $batch, ?Layer $only = null): array
    {
        [$operations, $refused] = $this->read($batch, $author);
        $added = $held = [];
        $counts = null;
        $accepted = DB::transaction(function () use (
            $canvas,
            $operations,
            $only,
            &$added,
            &$refused,
            &$held,
            &$counts,
        ): array {
            $counts = Counts::of($canvas);
            [$accepted, $added, $bad, $held] = $this->append(
                $canvas,
                $operations,
                $counts,
                $only === null ? $canvas->layer()->besideInLog() : [$only],
            );
            $refused = [...$refused, ...$bad];

            return $accepted;
        });
        if ($added !== []) {
            DB::afterCommit(fn () => $this->announce($canvas, $added, $counts));
        }

        return ['accepted' => $accepted, 'refused' => $refused, 'held' => $held];
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
     * @param  list<Layer>  $layers
     * @return array{
     *     list<array{id: string, n: int}>, list<LoggedOperation>,
     *     list<array{id: string, reason: string}>, list<array{id: string, why: string, reason: string}>,
     * } accepted, added, refused, held
     */
    private function append(Canvas $canvas, array $operations, Counts $counts, array $layers): array
    {
        $now = Clock::ms();
        [$known, $places] = $this->known($canvas, $operations);
        $accepted = $added = $refused = $held = [];
        foreach ($operations as $operation) {
            $id = $operation->id->value;
            if (isset($places[$id])) {
                $accepted[] = ['id' => $id, 'n' => $places[$id]];

                continue;
            }
            $why = $operation->author->seat === null ? null : $counts->mayDraw->holdsBack($operation->madeAtMs, $now);
            if ($why !== null) {
                $held[] = ['id' => $id, 'why' => $why->value, 'reason' => __($why->sentence())];

                continue;
            }
            try {
                $this->rule($canvas, $counts, $known, $now, $layers)->check($operation);
                $row = $this->row($canvas, $operation, $now);
                $counts->bytes->take(strlen($row->body));
            } catch (RefusedOperation $problem) {
                $refused[] = ['id' => $id, 'reason' => $problem->getMessage()];

                continue;
            }
            $known[$id] = EarlierOperation::of($operation);
            $counts->take(count($known[$id]->types));
            $places[$id] = $counts->operations;
            $accepted[] = ['id' => $id, 'n' => $counts->operations];
            $added[] = $row->forceFill(['n' => $counts->operations, 'session_n' => $counts->ofSession]);
        }
        $this->store($canvas, $added, $counts, $now);

        return [$accepted, $added, $refused, $held];
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
                ->where(static fn ($owner) => $owner->whereNull('seat_id')->orWhere('seat_id', $canvas->seat_id))
                ->exists(),
            $counts->objects,
            static fn (): Scene => KeptScene::of($canvas)->scene,
            static fn (string $id): ?Question => $canvas->seat === null
                ? null
                : $canvas->prompt->question($id, $canvas->seat),
            $layers,
        );
    }

    /** @return array<string, ?string> whose pictures may be shown on it */
    private static function holder(Canvas $canvas): array
    {
        return $canvas->live_session_id === null
            ? ['plan_id' => $canvas->prompt->plan_id]
            : ['live_session_id' => $canvas->live_session_id];
    }

    /**
     * What the log says of the operations in the batch and of those that they refer to.
     *
     * @param  list<Operation>  $operations
     * @return array{array<string, EarlierOperation>, array<string, int>} what they are, and their places, by id
     */
    private function known(Canvas $canvas, array $operations): array
    {
        $ids = [];
        foreach ($operations as $operation) {
            $ids[] = $operation->id->value;
            array_push($ids, ...array_map(ObjectId::operation(...), $operation->effect->targets()));
        }
        $known = $places = [];
        foreach (array_chunk(array_unique($ids), 500) as $some) {
            $rows = LoggedOperation::query()->where('canvas_id', $canvas->id)->whereIn('op_id', $some)->get();
            foreach ($rows as $row) {
                $known[$row->op_id] = EarlierOperation::of($row->operation());
                $places[$row->op_id] = $row->n;
            }
        }

        return [$known, $places];
    }

    /** It has its places in the logs when it is taken. */
    private function row(Canvas $canvas, Operation $operation, int $now): LoggedOperation
    {
        $json = $operation->toArray();

        return new LoggedOperation([
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

    /** @param  list<LoggedOperation>  $added */
    private function store(Canvas $canvas, array $added, Counts $counts, int $now): void
    {
        if ($added === []) {
            return;
        }
        foreach (array_chunk($added, 500) as $some) {
            LoggedOperation::query()->insert(
                array_map(static fn (LoggedOperation $row): array => $row->getAttributes(), $some),
            );
        }
        $byStudent = $added[count($added) - 1]->seat_id !== null;
        DB::table('canvases')
            ->where('id', $canvas->id)
            ->update(
                [
                    'operation_count' => $counts->operations,
                    'added_count' => $counts->objects,
                    'byte_count' => $counts->bytes->ofCanvas(),
                ] + ($byStudent ? ['last_stroke_ms' => $now] : []),
            );
        if ($canvas->live_session_id !== null) {
            DB::table('live_sessions')
                ->where('id', $canvas->live_session_id)
                ->update(['operation_count' => $counts->ofSession, 'byte_count' => $counts->bytes->ofSession()]);
        }
    }

    /** @param  list<LoggedOperation>  $added */
    private function announce(Canvas $canvas, array $added, Counts $counts): void
    {
        if ($canvas->live_session_id === null) {
            return;
        }
        $session = (new LiveSession())->forceFill(['id' => $canvas->live_session_id]);
        $message = self::message('operations', $added);
        $this->publisher->publish(
            Audience::desk($session)->channel,
            $counts->isCovered ? self::coveredMessage($added) : $message,
        );
        if ($canvas->seat_id !== null) {
            $this->publisher->publish('seat.'.Seat::channelOf($canvas->seat_id, $counts->turn), $message);
        } else {
            $this->announceLead($canvas, $added, $counts->lead);
            event(new TeacherDrew($canvas));
        }
    }

    /**
     * Of the teacher's canvas students hear what they may see: one page, or the ink that lies under theirs.
     *
     * @param  list<LoggedOperation>  $added
     */
    private function announceLead(Canvas $canvas, array $added, LeadSharing $lead): void
    {
        $seen = array_filter($added, static fn ($row): bool => $lead->lets($canvas->id, $row->operation()));
        if ($seen !== []) {
            $this->publisher->publish("lead.{$canvas->live_session_id}", self::message('lead', $seen));
        }
    }

    /** @param  list<LoggedOperation>  $rows */
    private static function coveredMessage(array $rows): string
    {
        return '{"stream":"operations","operations":['.
            implode(',', array_map(static fn (LoggedOperation $row): string => $row->coveredWire(), $rows)).
            ']}';
    }

    /**
     * What is very large is only told of, and pages ask for it: all that is under way shares the channels' memory.
     *
     * @param  array<LoggedOperation>  $rows
     */
    private static function message(string $stream, array $rows): string
    {
        $operations = implode(',', array_map(static fn (LoggedOperation $row): string => $row->wire(), $rows));

        return strlen($operations) > self::MOST_LIVE_BYTES
            ? '{"stream":"'.$stream.'","operations":[],"ask":true}'
            : '{"stream":"'.$stream.'","operations":['.$operations.']}';
    }
}
