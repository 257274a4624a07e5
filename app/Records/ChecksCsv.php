<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Canvas;
use App\Models\LiveSession;
use Crag\Formats\Csv;
use Illuminate\Support\Carbon;

/** The checks of a session: a row for each seat and prompt. */
final class ChecksCsv
{
    public static function of(LiveSession $session): string
    {
        $canvases = $session->canvases()->with(['seat', 'prompt', 'check'])->get()
            ->sortBy(static fn (Canvas $canvas): array => [$canvas->prompt->n, $canvas->seat->n]);
        $rows = [[__('Seat'), __('Name'), __('Prompt'), __('Words'), __('Level'), __('Check'), __('Checked at'), __('Started')]];
        foreach ($canvases as $canvas) {
            $check = $canvas->check;
            $level = $check?->level;
            $rows[] = [
                $canvas->seat->n,
                $canvas->seat->name,
                $canvas->prompt->n,
                $canvas->prompt->plainWords(),
                $level?->value,
                $level === null ? '' : __($level->word()),
                $check === null || $level === null ? '' : Carbon::createFromTimestampMs($check->made_at_ms)->toIso8601String(),
                $canvas->last_stroke_ms === null ? __('no') : __('yes'),
            ];
        }

        return Csv::write($rows);
    }
}
