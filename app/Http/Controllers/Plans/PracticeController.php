<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plans;

use App\Http\CurrentTeacher;
use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Models\Teachers\RosterEntry;
use Crag\Practice\PracticeSheet;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** A prompt's practice before class: what three students would have, and sheets to print, with their key. */
final class PracticeController
{
    private const SHOWN = 3;

    private const MOST_SHEETS = 40;

    /** Side by side, as the first three of a class would have them. */
    public function preview(Plan $plan, Prompt $prompt): View
    {
        return view('plans.practice-preview', [
            'prompt' => $prompt,
            'sheets' => self::sheets($prompt, range(1, self::SHOWN)),
        ]);
    }

    /** A sheet for each name of a class, or so many without names; the key stands on pages of its own. */
    public function print(Request $request, Plan $plan, Prompt $prompt): View
    {
        $request->validate([
            'for' => ['nullable', 'string', 'max:40'],
            'n' => ['integer', 'min:1', 'max:'.self::MOST_SHEETS],
        ]);
        $names = CurrentTeacher::found($request)
            ->rosters()
            ->find($request->string('for')->toString())
            ?->entries()
            ->get()
            ->mapWithKeys(static fn (RosterEntry $one): array => [$one->n => $one->name])
            ->all() ?? array_fill(1, $request->integer('n', 1), '');

        return view('plans.practice-print', [
            'plan' => $plan,
            'prompt' => $prompt,
            'names' => $names,
            'sheets' => self::sheets($prompt, array_keys($names)),
            'withKey' => $request->boolean('key'),
        ]);
    }

    /**
     * @param  list<int>  $students  their seats
     * @return array<int, list<\Crag\Practice\Task>> by seat
     */
    private static function sheets(Prompt $prompt, array $students): array
    {
        $practice = $prompt->value()->practice;
        abort_unless($practice instanceof PracticeSheet, 404, __('There’s no practice in this prompt.'));

        return array_combine(
            $students,
            array_map(static fn (int $n): array => $practice->tasks($prompt->id, $n), $students),
        );
    }
}
