<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Canvas;
use Crag\Prompt\ToolTray;
use Crag\Prompt\TrayInForce;
use Crag\Prompt\TrayKind;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** How much a canvas and its session, if it is in one, hold, and the tray in force, read in one go: another request may have appended just now. */
final class Counts
{
    private function __construct(public int $operations, public int $objects, public ?int $ofSession, public readonly TrayInForce $tray)
    {
    }

    public static function of(Canvas $canvas): self
    {
        $row = DB::table('canvases')->leftJoin('live_sessions', 'live_sessions.id', '=', 'canvases.live_session_id')
            ->join('prompts', 'prompts.id', '=', 'canvases.prompt_id')->where('canvases.id', $canvas->id)
            ->first([
                'canvases.operation_count as operations', 'canvases.added_count as objects',
                'live_sessions.operation_count as of_session', DB::raw('coalesce(prompts.tray, live_sessions.tray) as tray'),
            ]);
        if ($row === null || ! is_numeric($row->operations) || ! is_numeric($row->objects)) {
            throw new RuntimeException("The canvas {$canvas->id} has gone.");
        }
        $tray = is_string($row->tray) ? TrayInForce::read(json_decode($row->tray, true, flags: JSON_THROW_ON_ERROR)) : TrayInForce::always(ToolTray::of(TrayKind::Standard));

        return new self((int) $row->operations, (int) $row->objects, is_numeric($row->of_session) ? (int) $row->of_session : null, $tray);
    }

    /** One more operation, which puts so many objects on the canvas. */
    public function take(int $objects): void
    {
        $this->operations++;
        $this->ofSession = $this->ofSession === null ? null : $this->ofSession + 1;
        $this->objects += $objects;
    }
}
