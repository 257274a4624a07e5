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
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\Role;
use Crag\Session\Rules\Rules;
use Crag\Session\Rules\Situation;
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
        $seats = Seat::query()->with('session')->findMany(array_column($deliveries, 'seat'))->keyBy('id');
        $canvases = Canvas::query()->findMany(array_column($deliveries, 'canvas'))->keyBy('id');
        $batches = [];
        foreach ($deliveries as $one) {
            $seat = $seats->get($one->seat);
            if ($seat === null || ! hash_equals(KeepKey::of($seat), $one->key)) {
                continue;
            }
            $canvas = $canvases->get($one->canvas);
            if ($canvas === null || rescue(static fn (): bool => self::may($seat, $canvas), false) !== true) {
                $this->sendElsewhere($seat, $one->reply);

                continue;
            }
            $canvas = (clone $canvas)->setRelation('seat', $seat);
            $batches[] = new Batch($canvas, $canvas->author(), $one->operations, reply: $one->reply);
        }

        return $batches;
    }

    private static function may(Seat $seat, Canvas $canvas): bool
    {
        $session = $seat->session;

        return $canvas->seat_id === $seat->id &&
            LateInk::mayArrive($session->endedMs(), Clock::ms()) &&
            Rules::refusal(Deed::Hear, Role::Student, new Situation(seat: $seat->state)) === null;
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
            $seat = $batches[0]->canvas->seat;
            if ($seat !== null) {
                report($problem);
                $this->sendElsewhere($seat, (string) $batches[0]->reply);
            }

            return 0;
        }
    }

    /** The page posts it, and is told there what is wrong. */
    private function sendElsewhere(Seat $seat, string $reply): void
    {
        $this->publisher->publish(
            'seat.'.$seat->channelId(),
            (string) json_encode([
                'stream' => 'operations',
                'operations' => [],
                'kept' => ['reply' => $reply, 'post' => true],
            ]),
        );
    }
}
