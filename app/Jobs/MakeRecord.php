<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Canvas;
use App\Models\Member;
use App\Models\Record;
use App\Records\CanvasesZip;
use App\Records\SheetChoice;
use App\Records\Sheets;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Draws the canvases of a session into one PDF, or puts them into a zip, saying how far it is. */
final class MakeRecord implements ShouldQueue
{
    use Queueable;

    /** What fails once fails again; only a worker that was killed is worth another try. */
    public int $maxExceptions = 1;

    public function __construct(private readonly string $recordId)
    {
    }

    public function handle(): void
    {
        $record = Record::query()->with('session')->find($this->recordId);
        if ($record === null) {
            return;
        }
        $canvases = self::chosen($record);
        $record->update(['state' => JobState::Making, 'total' => count($canvases)]);
        $progress = static function (int $done) use ($record): void {
            $record->update(['done' => $done]);
        };
        $bySeat = ($record->options['names'] ?? 'names') === 'seats';
        if ($record->kind === 'zip') {
            CanvasesZip::write($record->session, $canvases, $record->path(), $bySeat, $progress);
        } else {
            Sheets::pdf(
                $record->session,
                $canvases,
                $record->path(),
                SheetChoice::read($record->options ?? []),
                $progress,
            );
        }
        $record->update(['state' => JobState::Ready]);
    }

    public function failed(?Throwable $reason): void
    {
        Record::query()
            ->whereKey($this->recordId)
            ->update(['state' => JobState::Failed]);
    }

    /** @return list<Canvas> of the chosen prompts, by prompt and then by seat, or the other way round */
    private static function chosen(Record $record): array
    {
        $prompts = $record->options['prompts'] ?? [];
        $seats = $record->options['seats'] ?? [];
        $bySeat = ($record->options['by'] ?? 'prompt') === 'seat';

        return array_values(
            $record->session
                ->openCanvases()
                ->when($prompts !== [], static fn (Builder $query) => $query->whereIn('prompt_id', $prompts))
                ->when($seats !== [], static fn (Builder $query) => $query->where(
                    static fn (Builder $of) => $of
                        ->whereIn('seat_id', $seats)
                        ->orWhereIn('seat_id', Member::query()->whereIn('seat_id', $seats)->select('group_id')),
                ))
                ->with(['seat.members.seat', 'prompt', 'check'])
                ->get()
                ->sortBy(
                    static fn (Canvas $canvas): array => $bySeat
                        ? [$canvas->seat?->n, $canvas->prompt->n]
                        : [$canvas->prompt->n, $canvas->seat?->n],
                )
                ->all(),
        );
    }
}
