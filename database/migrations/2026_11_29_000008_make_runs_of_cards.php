<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A run's lines become cards, read as they are; its teams have names and are kept; an ask can have a picture. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('runs', function (Blueprint $table): void {
            $table->renameColumn('lines', 'cards');
        });
        Schema::table('runs', function (Blueprint $table): void {
            $table->json('teams')->nullable();
            $table->boolean('on_screen')->default(false);
            $table->string('screen_before')->nullable();
            $table->unsignedBigInteger('ends_at_ms')->nullable();
            $table->unsignedBigInteger('looked_at_ms')->nullable();
        });
        foreach (DB::table('runs')->where('by_teams', true)->get(['id', 'live_session_id']) as $run) {
            $groups = DB::table('seats')
                ->leftJoin('roster_entries', 'roster_entries.id', '=', 'seats.roster_entry_id')
                ->where('seats.live_session_id', $run->live_session_id)
                ->selectRaw('seats.id as id, coalesce(seats."group", roster_entries."group", \'\') as name')
                ->pluck('name', 'id')
                ->filter();
            $names = $groups->unique()->values();
            if ($names->count() > 1) {
                DB::table('runs')->where('id', $run->id)->update(['teams' => json_encode([
                    'names' => $names,
                    'of' => (object) $groups->map(fn (string $name) => $names->search($name))->all(),
                ], JSON_THROW_ON_ERROR)]);
            }
        }
        Schema::table('runs', function (Blueprint $table): void {
            $table->dropColumn('by_teams');
        });
        Schema::table('asks', function (Blueprint $table): void {
            $table->string('picture', 40)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('asks', function (Blueprint $table): void {
            $table->dropColumn('picture');
        });
        Schema::table('runs', function (Blueprint $table): void {
            $table->boolean('by_teams')->default(false);
        });
        DB::table('runs')->whereNotNull('teams')->update(['by_teams' => true]);
        Schema::table('runs', function (Blueprint $table): void {
            $table->dropColumn(['teams', 'on_screen', 'screen_before', 'ends_at_ms', 'looked_at_ms']);
        });
        Schema::table('runs', function (Blueprint $table): void {
            $table->renameColumn('cards', 'lines');
        });
    }
};
