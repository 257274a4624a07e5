<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\ToolTray;

/**
 * The tray that students have now, and the one they had before: what was made with the old one while it held is still
 * taken when it comes late, so that changing the tools costs nobody a stroke.
 */
final readonly class TrayInForce
{
    /** For what was under way as the change went out, whatever a device's clock says. */
    private const ON_THE_WAY_MS = 5_000;

    private function __construct(public ToolTray $now, private ?ToolTray $before, private int $changedMs)
    {
    }

    public static function since(ToolTray $tray, int $nowMs, ?self $before = null): self
    {
        return new self($tray, $before?->now, $nowMs);
    }

    public static function always(ToolTray $tray): self
    {
        return new self($tray, null, 0);
    }

    /**
     * @param  array<array-key, mixed>  $json
     *
     * @throws UnreadableFields
     */
    public static function read(array $json): self
    {
        $fields = new Fields($json);

        return new self(
            ToolTray::read($fields->object('now')),
            is_array($json['before'] ?? null) ? ToolTray::read($fields->object('before')) : null,
            $fields->whole('changed', 0, PHP_INT_MAX),
        );
    }

    /** @return array{now: array<string, mixed>, before: ?array<string, mixed>, changed: int} */
    public function toArray(): array
    {
        return ['now' => $this->now->toArray(), 'before' => $this->before?->toArray(), 'changed' => $this->changedMs];
    }

    /** @param  int  $nowMs  milliseconds since 1970, as the operation's own time */
    public function allows(Operation $operation, int $nowMs): bool
    {
        return $operation->fits($this->now) ||
            ($this->before !== null && $operation->fits($this->before) && $this->isLate($operation, $nowMs));
    }

    private function isLate(Operation $operation, int $nowMs): bool
    {
        $since = $nowMs - $this->changedMs;

        return $since <= self::ON_THE_WAY_MS ||
            ($operation->madeAtMs <= $this->changedMs && $since <= LateInk::GRACE_MS);
    }
}
