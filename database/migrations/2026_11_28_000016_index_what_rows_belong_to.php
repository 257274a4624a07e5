<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a row belongs to is how it is looked for: with a year of sessions in the tables a stroke would go through every
 * canvas that there is. SQLite makes no index for a foreign key by itself.
 */
return new class extends Migration
{
    private const BELONGS_TO = [
        'devices' => ['teacher_id'],
        'rosters' => ['teacher_id'],
        'plans' => ['teacher_id'],
        'plan_rights' => ['teacher_id'],
        'intakes' => ['teacher_id', 'plan_id'],
        'live_sessions' => ['roster_id', 'plan_id'],
        'desk_rights' => ['teacher_id'],
        'prompts' => ['plan_id'],
        'plan_edits' => ['prompt_id', 'teacher_id'],
        'seats' => ['roster_entry_id', 'home_key'],
        'messages' => ['live_session_id', 'seat_id', 'teacher_id'],
        'picks' => ['live_session_id', 'seat_id'],
        'handouts' => ['live_session_id', 'prompt_id'],
        'handout_canvases' => ['canvas_id'],
        'assets' => ['live_session_id', 'plan_id', 'seat_id'],
        'showcases' => ['live_session_id'],
        'showcase_items' => ['showcase_id', 'canvas_id'],
        'lineup_entries' => ['live_session_id', 'canvas_id'],
        'offers' => ['live_session_id', 'seat_id', 'canvas_id'],
        'canvases' => ['live_session_id', 'seat_id'],
        'checks' => ['teacher_id'],
        'runs' => ['live_session_id'],
        'asks' => ['run_id', 'again_of_id'],
        'records' => ['live_session_id'],
    ];

    public function up(): void
    {
        foreach (self::BELONGS_TO as $table => $columns) {
            Schema::table($table, function (Blueprint $blueprint) use ($columns): void {
                array_map(static fn (string $column) => $blueprint->index($column), $columns);
            });
        }
        DB::statement("create index operations_answers_of_seat on operations (seat_id) where kind = 'answer'");
    }

    public function down(): void
    {
        DB::statement('drop index operations_answers_of_seat');
        foreach (self::BELONGS_TO as $table => $columns) {
            Schema::table($table, function (Blueprint $blueprint) use ($columns): void {
                array_map(static fn (string $column) => $blueprint->dropIndex([$column]), $columns);
            });
        }
    }
};
