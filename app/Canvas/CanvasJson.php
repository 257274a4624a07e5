<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Database\Engine;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\LoggedOperation;
use App\Models\Seat;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\OperationKind;

/** A canvas as its page opens it: the scene that is kept and what came since, or the whole log when it is asked for. */
final class CanvasJson
{
    /**
     * @param  array<string, mixed>  $also  what else the page must know
     * @param  ?Layer  $layer  on which the page draws; null for the author's own
     * @param  ?Seat  $by  who draws there, where several do; null: whose canvas it is
     */
    public static function opening(Canvas $canvas, array $also, ?Layer $layer = null, ?Seat $by = null): string
    {
        $kept = KeptScene::opening($canvas);
        $n = $kept['n'] ?? 0;
        if ($by !== null && $by->id !== $canvas->seat_id) {
            $also += ['authors' => (object) self::authors($canvas, $n)];
        }

        return self::body($canvas, $n, $kept['body'] ?? 'null', $also, $layer, $by);
    }

    /**
     * Who made what is folded into the kept scene: the scene itself says only that students did.
     *
     * @return array<string, list<string>> the ids of operations, by seat
     */
    private static function authors(Canvas $canvas, int $n): array
    {
        $authors = [];
        $made = $canvas
            ->operations()
            ->where('n', '<=', $n)
            ->whereNotNull('seat_id')
            ->whereIn('kind', OperationKind::making())
            ->toBase()
            ->get(['op_id', 'seat_id']);
        foreach ($made as $row) {
            $authors[$row->seat_id][] = $row->op_id;
        }

        return $authors;
    }

    /** What came after an operation; after 0 the whole log. */
    public static function since(Canvas $canvas, int $after): string
    {
        return self::body($canvas, $after, 'null', []);
    }

    /** Operations after a place in the log, as pages read them. */
    public static function log(Canvas $canvas, int $after): string
    {
        return $canvas
            ->operations()
            ->where('n', '>', $after)
            ->get()
            ->map(static fn (LoggedOperation $row): string => $row->wire())
            ->implode(',');
    }

    /** @param  array<string, mixed>  $also */
    private static function body(
        Canvas $canvas,
        int $n,
        string $scene,
        array $also,
        ?Layer $layer = null,
        ?Seat $by = null,
    ): string {
        $also += [
            'canvas' => $canvas->id,
            'clock' => Clock::ms(),
            'n' => $n,
            'older' => self::older($canvas, $n, $layer ?? $canvas->layer(), $by),
        ];

        return sprintf(
            '%s,"scene":%s,"operations":[%s]}',
            substr(json_encode($also, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 0, -1),
            $scene,
            self::log($canvas, $n),
        );
    }

    /**
     * Whether the author may have something to undo or to redo among what is folded into the kept scene.
     *
     * @return array{undo: bool, redo: bool}
     */
    private static function older(Canvas $canvas, int $n, Layer $layer, ?Seat $by): array
    {
        if ($n === 0) {
            return ['undo' => false, 'redo' => false];
        }
        $own = LoggedOperation::query()
            ->where('canvas_id', $canvas->id)
            ->where('n', '<=', $n)
            ->where('seat_id', $layer === Layer::Student ? $by->id ?? $canvas->seat_id : null)
            ->where('layer', $layer->value);
        // What a fresh start put away is not the author's to undo.
        $fresh = LoggedOperation::query()
            ->where('canvas_id', $canvas->id)
            ->where('n', '<=', $n)
            ->where('kind', OperationKind::Fresh->value)
            ->whereRaw(
                "not exists (select 1 from operations w where w.canvas_id = operations.canvas_id and w.kind = 'withdraw' and ".
                    Engine::here()->field('w.body', 'target').' = operations.op_id)',
            )
            ->max('n');
        $own->where('n', '>', is_numeric($fresh) ? (int) $fresh : 0);
        $last = (clone $own)->orderByDesc('n')->value('kind');

        return [
            'undo' => $last !== null &&
                $own->whereNotIn('kind', [OperationKind::Backdrop->value, OperationKind::Withdraw->value])->exists(),
            'redo' => $last === OperationKind::Withdraw->value || $last === OperationKind::Reinstate->value,
        ];
    }
}
