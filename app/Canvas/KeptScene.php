<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Canvas;
use App\Models\LoggedOperation;
use Crag\Canvas\Scene;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * A canvas's scene as it was last kept, brought up to date. Keeping it makes opening a canvas cost what is on it now,
 * not what ever happened on it; thrown away, it is folded anew from the log.
 */
final readonly class KeptScene
{
    /** A scene is kept anew when so many operations have come since. */
    private const WORTH_KEEPING = 50;

    private function __construct(public Scene $scene, public int $n)
    {
    }

    /** The scene with every operation of the log. */
    public static function of(Canvas $canvas): self
    {
        $kept = self::kept($canvas);
        $since = is_numeric($kept?->n) ? (int) $kept->n : 0;
        $scene =
            $kept !== null && is_string($kept->body)
                ? Scene::read(json_decode($kept->body, true, flags: JSON_THROW_ON_ERROR))
                : null;
        $log = iterator_to_array(LoggedOperation::read($canvas->operations()->where('n', '>', $since)));
        $now = $scene?->and($log);
        if ($now === null) {
            $log = $since === 0 ? $log : iterator_to_array(LoggedOperation::read($canvas->operations()));
            $now = Scene::fold($log);
        }
        $fresh = new self($now, $log === [] ? $since : array_key_last($log));
        if (count($log) >= self::WORTH_KEEPING) {
            $fresh->keep($canvas);
        }

        return $fresh;
    }

    /**
     * @return array{n: int, body: string}|null the scene that is kept, in its JSON form, brought up to date if it is
     *      worth it
     */
    public static function opening(Canvas $canvas): ?array
    {
        $kept = self::kept($canvas);
        if ($canvas->operation_count - (is_numeric($kept?->n) ? (int) $kept->n : 0) >= self::WORTH_KEEPING) {
            self::of($canvas);
            $kept = self::kept($canvas);
        }

        return $kept !== null && is_numeric($kept->n) && is_string($kept->body)
            ? ['n' => (int) $kept->n, 'body' => $kept->body]
            : null;
    }

    private static function kept(Canvas $canvas): ?stdClass
    {
        return DB::table('scenes')
            ->where('canvas_id', $canvas->id)
            ->first(['n', 'body']);
    }

    private function keep(Canvas $canvas): void
    {
        DB::table('scenes')->upsert(
            [
                'canvas_id' => $canvas->id,
                'n' => $this->n,
                'body' => json_encode(
                    $this->scene->toArray(),
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                ),
            ],
            ['canvas_id'],
            ['n', 'body'],
        );
    }
}
