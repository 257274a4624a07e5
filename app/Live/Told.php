<?php

declare(strict_types=1);

namespace App\Live;

use App\Models\Event;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use App\Sessions\Room\RoomState;

/**
 * What is kept of an event, and what a page that catches up is told of it. The state of the room, of a student's page
 * or of a seat is not kept: it holds names, messages and answers, which are kept in one place each. Whoever asks has
 * it as it is now, once, with the last event that told of it.
 */
final class Told
{
    /** Parts of a body that are a whole state. */
    private const STATES = ['room', 'own'];

    /** Events of one seat, a student's or a group's: of these the seat's id is kept. */
    private const OF_A_SEAT = ['seat', 'group'];

    /** @var array<string, mixed> */
    private array $states = [];

    /** @var array<string, true> what was told by a later event already */
    private array $told = [];

    public function __construct(private readonly LiveSession $session)
    {
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    public static function kept(string $type, array $body): array
    {
        if (in_array($type, self::OF_A_SEAT, true)) {
            return ['seat' => is_array($body['seat'] ?? null) ? $body['seat']['id'] ?? null : null];
        }
        foreach (self::STATES as $state) {
            if (array_key_exists($state, $body)) {
                $body[$state] = null;
            }
        }
        unset($body['name']);

        return $body;
    }

    /**
     * @param  iterable<Event>  $events  of one audience, in order
     * @return list<array{n: int, type: string, body: mixed}>
     */
    public function again(iterable $events): array
    {
        $wire = [];
        // The last one first, so that what has been told again since is told once.
        foreach (array_reverse([...$events]) as $event) {
            $wire[] = $this->wire($event);
        }

        return array_reverse($wire);
    }

    /** @return array{n: int, type: string, body: mixed} */
    private function wire(Event $event): array
    {
        $body = json_decode($event->body, true);
        $body = is_array($body) ? $body : [];
        $isAll = in_array($event->type, self::STATES, true);
        $isOfSeat = in_array($event->type, self::OF_A_SEAT, true);
        $key =
            "{$event->audience} {$event->type} ".
            ($isOfSeat && is_string($body['seat'] ?? null) ? $body['seat'] : '');
        if (($isAll || $isOfSeat) && isset($this->told[$key])) {
            return ['n' => $event->n, 'type' => 'gone', 'body' => (object) []];
        }
        $this->told[$key] = true;
        if ($isOfSeat) {
            return ['n' => $event->n] + $this->ofSeat($event->type, is_string($body['seat'] ?? null) ? $body['seat'] : '');
        }
        foreach (self::STATES as $state) {
            if (array_key_exists($state, $body)) {
                $body[$state] = $this->states["{$event->audience} {$state}"] ??= $this->state($state, $event->audience);
            }
        }
        if (is_string($body['by'] ?? null)) {
            $body['name'] = (string) Teacher::query()->whereKey($body['by'])->value('name');
        }

        return ['n' => $event->n, 'type' => $event->type, 'body' => (object) $body];
    }

    /** @return array{type: string, body: mixed} of one that is no more: the desk looks who is there */
    private function ofSeat(string $type, string $id): array
    {
        $seat = ($type === 'group' ? $this->session->groupSeats() : $this->session->seats())->find($id);
        $seat?->setRelation('session', $this->session);

        return match (true) {
            $seat === null => ['type' => 'seats', 'body' => (object) []],
            $type === 'group' => ['type' => 'group', 'body' => ['seat' => $seat->announcement()]],
            default => ['type' => 'seat', 'body' => RoomState::ofSeat($seat)],
        };
    }

    private function state(string $state, string $audience): mixed
    {
        if ($state === 'room') {
            return RoomState::shared($this->session);
        }
        $seat = Seat::query()
            ->where('live_session_id', $this->session->id)
            ->find(explode(':', $audience)[1] ?? '');

        return $seat === null
            ? null
            : RoomState::own($seat->setRelation('session', $this->session->fresh() ?? $this->session));
    }
}
