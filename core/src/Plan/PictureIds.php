<?php

declare(strict_types=1);

namespace Crag\Plan;

/**
 * The pictures that a prompt in its JSON form names: found, and named otherwise when it moves to where they have other
 * ids.
 */
final class PictureIds
{
    /**
     * @param  array<array-key, mixed>  $json
     * @return list<string> each once, in order
     */
    public static function in(array $json): array
    {
        $ids = [];
        array_walk_recursive($json, static function (mixed $value, int|string $key) use (&$ids): void {
            if (is_string($value) && self::isOne($key, $value)) {
                $ids[$value] = true;
            }
        });

        return array_map(strval(...), array_keys($ids));
    }

    /**
     * @template T of array<array-key, mixed>
     *
     * @param  T  $json
     * @param  array<string, string>  $names  new ids by old ones; others stay
     * @return T
     */
    public static function renamed(array $json, array $names): array
    {
        array_walk_recursive($json, static function (mixed &$value, int|string $key) use ($names): void {
            if (is_string($value) && self::isOne($key, $value)) {
                $value = $names[$value] ?? $value;
            }
        });

        return $json;
    }

    private static function isOne(int|string $key, string $value): bool
    {
        return ($key === 'asset' || $key === 'picture') && $value !== '';
    }
}
