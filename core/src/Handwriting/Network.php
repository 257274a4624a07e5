<?php

declare(strict_types=1);

namespace Crag\Handwriting;

use RuntimeException;

/**
 * Tells signs apart by their features: a network of one hidden layer, trained by `deploy/handwriting/train.sh` on
 * forms of our own drawing in many made-up hands (Rumelhart, Hinton and Williams, "Learning representations by
 * back-propagating errors", 1986). It answers in less than a millisecond.
 */
final class Network
{
    /** What is no sign: a part of one, or parts of two. */
    public const NONE = '∅';

    private static ?self $shipped = null;

    /**
     * @param  list<string>  $signs
     * @param  list<list<float>>  $hidden  for each unit its bias, then its weights
     * @param  list<list<float>>  $output  for each sign the same
     */
    private function __construct(
        public readonly array $signs,
        private readonly array $hidden,
        private readonly array $output,
    ) {
    }

    public static function shipped(): self
    {
        return self::$shipped ??= self::read(Weights::JSON);
    }

    /** @param  string  $text  as train.mjs writes it */
    public static function read(string $text): self
    {
        $json = (array) json_decode($text, true, flags: JSON_THROW_ON_ERROR);
        [$signs, $hidden, $output] = [$json['signs'] ?? null, $json['hidden'] ?? null, $json['output'] ?? null];
        if (! is_array($signs) || ! is_array($hidden) || ! is_array($output) || count($signs) !== count($output)) {
            throw new RuntimeException('This is no network.');
        }

        return new self(
            array_values(array_map(static fn (mixed $sign): string => is_string($sign) ? $sign : '', $signs)),
            self::layer($hidden),
            self::layer($output),
        );
    }

    /**
     * @param  array<array-key, mixed>  $rows
     * @return list<list<float>>
     */
    private static function layer(array $rows): array
    {
        $layer = [];
        foreach ($rows as $row) {
            $weights = [];
            foreach (is_array($row) ? $row : [] as $weight) {
                $weights[] = is_numeric($weight) ? (float) $weight : 0.0;
            }
            $layer[] = $weights;
        }

        return $layer;
    }

    /**
     * @param  list<float>  $features
     * @return array<string, float> how likely each sign is, all together 1
     */
    public function tell(array $features): array
    {
        $hidden = [];
        foreach ($this->hidden as $weights) {
            $sum = $weights[0];
            foreach ($features as $i => $feature) {
                if ($feature !== 0.0) {
                    $sum += $weights[$i + 1] * $feature;
                }
            }
            $hidden[] = $sum > 0 ? $sum : 0.0;
        }
        $sums = [];
        foreach ($this->output as $n => $weights) {
            $sum = $weights[0];
            foreach ($hidden as $i => $unit) {
                if ($unit !== 0.0) {
                    $sum += $weights[$i + 1] * $unit;
                }
            }
            $sums[$this->signs[$n]] = $sum;
        }
        $most = max([-INF, ...array_values($sums)]);
        $likely = array_map(static fn (float $sum): float => exp($sum - $most), $sums);
        $all = array_sum($likely);

        return array_map(static fn (float $one): float => $one / $all, $likely);
    }
}
