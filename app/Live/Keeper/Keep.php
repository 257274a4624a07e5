<?php

declare(strict_types=1);

namespace App\Live\Keeper;

use App\Canvas\AppendOperations;
use App\Canvas\Batch;
use App\Live\Clock;
use App\Live\Publisher;
use App\Models\Canvas;
use App\Models\Seat;
use Crag\Canvas\Log\LateInk;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\Role;
use Crag\Session\Rules\Rules;
use Crag\Session\Rules\Situation;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use stdClass;
use Throwable;

/**
 * Takes what pages sent over their sockets: the same checks as for what is posted, by the same classes, and the same
 * way onto the log. Whatever is out of the ordinary is not judged here: the page is told to post it, and has its answer
 * from there.
 */
final readonly class Keep
{
    /** In one transaction, which holds up every other writer meanwhile. */
    private const AT_ONCE = 40;

    /** Of one seat in one round. A page waits for each answer; who floods is not answered at all. */
    private const OF_A_SEAT = 3;

    public function __construct(private AppendOperations $append, private Publisher $publisher)
    {
    }

    /**
     * @param  list<Delivery>  $deliveries  in the order in which they came
     * @return int how many batches were taken
     */
    public function __invoke(array $deliveries): int
    {
        $taken = 0;
        foreach (array_chunk($this->allowed(self::inMeasure($deliveries)), self::AT_ONCE) as $batches) {
            $taken += $this->take($batches);
        }

        return $taken;
    }

    /**
     * @param  list<Delivery>  $deliveries
     * @return list<Delivery>
     */
    private static function inMeasure(array $deliveries): array
    {
        $of = [];

        return array_values(
            array_filter($deliveries, static function (Delivery $one) use (&$of): bool {
                $of[$one->seat] = ($of[$one->seat] ?? 0) + 1;

                return $of[$one->seat] <= self::OF_A_SEAT;
            }),
        );
    }

    /**
     * @param  list<Delivery>  $deliveries
     * @return list<Batch>
     */
    private function allowed(array $deliveries): array
    {
        $canvases = $deliveries === [] ? [] : self::canvases(array_column($deliveries, 'canvas'));
        $batches = [];
        foreach ($deliveries as $one) {
            $row = $canvases[$one->canvas] ?? null;
            if ($row === null || $row->seat_id !== $one->seat) {
                $this->sendStranger($one);
            } elseif (! hash_equals(KeepKey::from($one->seat, $row->turn, $row->token_hash), $one->key)) {
                continue;
            } elseif (rescue(static fn (): bool => self::may($row), false) !== true) {
                $this->sendElsewhere('seat.'.Seat::channelOf($one->seat, $row->turn), $one->reply);
            } else {
                $canvas = (new Canvas())->newFromBuilder([
                    'id' => $row->id,
                    'live_session_id' => $row->live_session_id,
                    'prompt_id' => $row->prompt_id,
                    'seat_id' => $row->seat_id,
                ]);
                $batches[] = new Batch($canvas, $canvas->author(), $one->operations, reply: $one->reply);
            }
        }

        return $batches;
    }

    /**
     * Students' canvases, each with what decides who may draw on it, in one question.
     *
     * @param  list<string>  $ids
     * @return array<string, stdClass> by id
     */
    private static function canvases(array $ids): array
    {
        return DB::table('canvases')
            ->join('seats', 'seats.id', '=', 'canvases.seat_id')
            ->join('live_sessions', 'live_sessions.id', '=', 'canvases.live_session_id')
            ->whereIn('canvases.id', array_values(array_unique($ids)))
            ->get([
                'canvases.id',
                'canvases.live_session_id',
                'canvases.prompt_id',
                'canvases.seat_id',
                'seats.token_hash',
                'seats.turn',
                'seats.state',
                'live_sessions.ended_at',
            ])
            ->keyBy('id')
            ->all();
    }

    private static function may(stdClass $row): bool
    {
        $ended = $row->ended_at === null ? null : (int) Date::parse($row->ended_at)->getTimestampMs();

        return LateInk::mayArrive($ended, Clock::ms()) &&
            Rules::refusal(
                Deed::Hear,
                Role::Student,
                new Situation(seat: SeatState::from($row->state)),
            ) === null;
    }

    /** Somebody who names a canvas that is not theirs is answered only if they are who they say. */
    private function sendStranger(Delivery $one): void
    {
        $seat = Seat::query()->find($one->seat);
        if ($seat !== null && hash_equals(KeepKey::of($seat), $one->key)) {
            $this->sendElsewhere('seat.'.$seat->channelId(), $one->reply);
        }
    }

    /**
     * All in one go; where one of them breaks, each alone, so that it breaks nobody else's.
     *
     * @param  list<Batch>  $batches
     */
    private function take(array $batches): int
    {
        try {
            return count($this->append->several($batches));
        } catch (Throwable $problem) {
            if (count($batches) > 1) {
                return array_sum(array_map(fn (Batch $one): int => $this->take([$one]), $batches));
            }
            report($problem);
            $seat = $batches[0]->canvas->seat()->first();
            if ($seat !== null) {
                $this->sendElsewhere('seat.'.$seat->channelId(), (string) $batches[0]->reply);
            }

            return 0;
        }
    }

    /** The page posts it, and is told there what is wrong. */
    private function sendElsewhere(string $channel, string $reply): void
    {
        $this->publisher->publish(
            $channel,
            (string) json_encode([
                'stream' => 'operations',
                'operations' => [],
                'kept' => ['reply' => $reply, 'post' => true],
            ]),
        );
    }
}
