<?php

declare(strict_types=1);

namespace App\Live\Keeper;

use App\Canvas\AppendOperations;
use App\Canvas\Batch;
use App\Canvas\StudentCanvas;
use App\Live\Clock;
use App\Live\Publisher;
use App\Models\Seat;
use Crag\Canvas\Log\LateInk;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\Role;
use Crag\Session\Rules\Rules;
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
        foreach (array_chunk($this->allowed($deliveries), self::AT_ONCE) as $batches) {
            $taken += $this->take($batches);
        }

        return $taken;
    }

    /**
     * @param  list<Delivery>  $deliveries
     * @return list<Batch>
     */
    private function allowed(array $deliveries): array
    {
        $works = $deliveries === [] ? [] : StudentCanvas::many(array_map(
            static fn (Delivery $one): array => [$one->canvas, $one->seat],
            $deliveries,
        ));
        $batches = $strangers = $of = [];
        foreach ($deliveries as $one) {
            $work = $works[StudentCanvas::key($one->canvas, $one->seat)] ?? null;
            if ($work === null) {
                $strangers[$one->seat] = $one;
            } elseif (! hash_equals($work->keepKey(), $one->key)) {
                continue;
            } elseif (($of[$one->seat] = ($of[$one->seat] ?? 0) + 1) > self::OF_A_SEAT) {
                // Counted by who it is, not by whom it names: nobody can use up another's share.
                continue;
            } elseif (! self::may($work)) {
                $this->sendElsewhere('seat.'.Seat::channelOf($work->seat, $work->turn), $one->reply);
            } else {
                $batches[] = new Batch(
                    $work->canvas,
                    $work->author(),
                    $one->operations,
                    reply: $one->reply,
                );
            }
        }
        $this->sendStrangers($strangers);

        return $batches;
    }

    private static function may(StudentCanvas $work): bool
    {
        return LateInk::mayArrive($work->endedMs, Clock::ms()) &&
            Rules::refusal(Deed::Hear, Role::Student, $work->situation) === null;
    }

    /**
     * Who names a canvas that is not theirs is answered only if they are who they say; once in a round.
     *
     * @param  array<string, Delivery>  $strangers  by seat
     */
    private function sendStrangers(array $strangers): void
    {
        foreach ($strangers === [] ? [] : Seat::query()->findMany(array_keys($strangers)) as $seat) {
            if (hash_equals(KeepKey::of($seat), $strangers[$seat->id]->key)) {
                $this->sendElsewhere('seat.'.$seat->channelId(), $strangers[$seat->id]->reply);
            }
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
            $seat = Seat::query()->find($batches[0]->author->seat);
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
