<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Private notes over canvases, the line-up, picks, and quick ways to what the desk watches. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('drop index canvases_lead');
        Schema::table('canvases', function (Blueprint $table): void {
            // The student's canvas over which a teacher writes private notes: they have a log of their own.
            $table->foreignUlid('notes_on_id')->nullable()->constrained('canvases')->cascadeOnDelete();
            // Up to which operation a teacher has looked at it closely.
            $table->unsignedInteger('looked_at_operation')->default(0);
        });
        DB::statement(
            'create unique index canvases_lead on canvases (prompt_id) where seat_id is null and notes_on_id is null',
        );
        DB::statement('create unique index canvases_notes on canvases (notes_on_id) where notes_on_id is not null');
        DB::statement(
            "create index operations_rubbed_out on operations (canvas_id, stored_at_ms) where kind in ('cut', 'remove', 'clear', 'withdraw')",
        );
        DB::statement(
            "create index operations_answered on operations (canvas_id, n) where kind in ('answer', 'fresh', 'give_back')",
        );

        Schema::create('lineup_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->string('page', 32)->default('');
            $table->unsignedInteger('n');
            // The moment that is shown.
            $table->unsignedInteger('at_operation');
            $table->boolean('with_notes')->default(false);
            $table->unique(['prompt_id', 'canvas_id', 'page']);
        });
        Schema::table('showcases', function (Blueprint $table): void {
            $table->boolean('with_notes')->default(false);
        });

        Schema::create('picks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('seat_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('made_at_ms');
            // Among how many it was drawn.
            $table->unsignedInteger('among');
            $table->boolean('is_undone')->default(false);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('picks');
        Schema::dropIfExists('lineup_entries');
    }
};
