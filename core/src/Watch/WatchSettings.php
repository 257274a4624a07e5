<?php

declare(strict_types=1);

namespace Crag\Watch;

/** From when on the desk speaks of something, and of what it is silent. */
final readonly class WatchSettings
{
    /** @var array<string, array{int, int, int}> the least, the most and the usual */
    public const LIMITS = [
        'drawing_seconds' => [3, 60, 10],
        'quiet_minutes' => [1, 30, 1],
        'still_minutes' => [1, 60, 4],
        'rub_outs' => [3, 40, 12],
        'same_slip' => [2, 20, 3],
    ];

    /**
     * @param  int  $drawingSeconds  a student who made a stroke within so many seconds is drawing
     * @param  int  $quietMinutes  from how many minutes on the frame says how long a canvas has been quiet
     * @param  int  $stillMinutes  so long without a stroke is a signal
     * @param  int  $rubOuts  so often rubbed out within five minutes is one
     * @param  int  $sameSlip  so many students with the same wrong answer are one
     * @param  list<Signal>  $off
     */
    private function __construct(
        public int $drawingSeconds,
        public int $quietMinutes,
        public int $stillMinutes,
        public int $rubOuts,
        public int $sameSlip,
        public array $off,
    ) {
    }

    public static function usual(): self
    {
        return self::read([]);
    }

    /**
     * What is missing or makes no sense is as usual.
     *
     * @param  array<array-key, mixed>  $json
     */
    public static function read(array $json): self
    {
        $number = static function (string $key) use ($json): int {
            [$least, $most, $usual] = self::LIMITS[$key];

            return is_numeric($json[$key] ?? null) ? max($least, min($most, (int) $json[$key])) : $usual;
        };
        $off = is_array($json['off'] ?? null) ? $json['off'] : [];

        return new self(
            $number('drawing_seconds'),
            $number('quiet_minutes'),
            $number('still_minutes'),
            $number('rub_outs'),
            $number('same_slip'),
            array_values(
                array_filter(Signal::cases(), static fn (Signal $signal): bool => in_array($signal->value, $off, true)),
            ),
        );
    }

    public function hears(Signal $signal): bool
    {
        return ! in_array($signal, $this->off, true);
    }

    /**
     * @return array{
     *     drawing_seconds: int, quiet_minutes: int, still_minutes: int, rub_outs: int, same_slip: int,
     *     off: list<string>,
     * }
     */
    public function toArray(): array
    {
        return [
            'drawing_seconds' => $this->drawingSeconds,
            'quiet_minutes' => $this->quietMinutes,
            'still_minutes' => $this->stillMinutes,
            'rub_outs' => $this->rubOuts,
            'same_slip' => $this->sameSlip,
            'off' => array_map(static fn (Signal $signal): string => $signal->value, $this->off),
        ];
    }
}
