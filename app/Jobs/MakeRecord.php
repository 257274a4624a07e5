<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Canvas;
use App\Models\Record;
use App\Records\Sheets;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Draws every canvas of a session into one PDF, saying how far it is. */
final class MakeRecord implements ShouldQueue
{
    use Queueable;

    public function __construct(private readonly string $recordId)
    {
    }

    public function handle(): void
    {
        $record = Record::query()->with('session')->find($this->recordId);
        if ($record === null) {
            return;
        }
        $canvases = self::inOrder($record->live_session_id);
        $record->update(['state' => 'making', 'total' => count($canvases)]);
        Sheets::pdf($record->session, $canvases, $record->path(), true, static function (int $done) use ($record): void {
            $record->update(['done' => $done]);
        });
        $record->update(['state' => 'ready']);
    }

    public function failed(?Throwable $reason): void
    {
        Record::query()->whereKey($this->recordId)->update(['state' => 'failed']);
    }

    /** @return list<Canvas> by prompt, then by seat */
    private static function inOrder(string $sessionId): array
    {
        return array_values(Canvas::query()->where('live_session_id', $sessionId)->whereNotNull('seat_id')->with(['seat', 'prompt', 'check'])->get()
            ->sortBy(static fn (Canvas $canvas): array => [$canvas->prompt->n, $canvas->seat?->n])->all());
    }
}
