<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Teachers\Plan;
use App\Models\Teachers\Teacher;
use Illuminate\Support\Facades\Cache;

/** Which teachers have a plan open, and at which field of which prompt each of them is. */
final class WhoIsHere
{
    /** Each open page asks every three seconds. */
    private const GONE_AFTER_MS = 10_000;

    private const LONGEST = 60;

    /**
     * This teacher is at a field; answers where the others are.
     *
     * @param  string  $at  a prompt's id and a field's name, with a space between; empty for nowhere
     * @return list<array{name: string, prompt: string, field: string}>
     */
    public static function with(Plan $plan, Teacher $teacher, string $at): array
    {
        $now = now()->getTimestampMs();
        $key = "plan.{$plan->id}.here";
        $known = Cache::get($key, []);
        $here = array_filter(
            is_array($known) ? $known : [],
            static fn (mixed $one): bool => is_array($one) && ($one['ms'] ?? 0) > $now - self::GONE_AFTER_MS,
        );
        $here[$teacher->id] = [
            'name' => $teacher->name === '' ? __('Another teacher') : $teacher->name,
            'at' => mb_substr($at, 0, self::LONGEST),
            'ms' => $now,
        ];
        Cache::put($key, $here, intdiv(self::GONE_AFTER_MS, 1000) * 2);
        unset($here[$teacher->id]);

        return array_values(array_map(static function (array $one): array {
            [$prompt, $field] = [...explode(' ', $one['at'], 2), ''];

            return ['name' => $one['name'], 'prompt' => $prompt, 'field' => $field];
        }, $here));
    }
}
