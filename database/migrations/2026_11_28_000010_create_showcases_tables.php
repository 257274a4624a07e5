<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Work shown to the class, the line-up, and what students offer. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('showcases', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->timestamps();
        });

        Schema::create('showcase_items', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('showcase_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('n');
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            // Which of the canvas's pages: the id of the operation that added it, nothing for the first.
            $table->string('page', 32)->default('');
            // The moment that is shown; null as it is now.
            $table->unsignedInteger('at_operation')->nullable();
            $table->boolean('with_notes')->default(false);
            // Null as the session has names.
            $table->string('names', 8)->nullable();
            $table->foreignId('lineup_entry_id')->nullable();
            // The part that everyone sees: {"x", "y", "scale"}; null for the whole page.
            $table->text('view')->nullable();
            // Since when its replay plays, and how fast; null where it stands still.
            $table->unsignedBigInteger('replay_from_ms')->nullable();
            $table->unsignedTinyInteger('replay_speed')->default(4);
        });

        Schema::create('lineup_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->string('page', 32)->default('');
            $table->unsignedInteger('n');
            $table->unsignedInteger('at_operation');
            $table->boolean('is_live')->default(false);
            $table->boolean('with_notes')->default(false);
            $table->string('names', 8)->nullable();
            $table->string('caption', 200)->default('');
            $table->unique(['prompt_id', 'canvas_id', 'page']);
        });

        Schema::create('offers', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('seat_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->string('page', 32)->default('');
            $table->unsignedInteger('at_operation');
            // {"x", "y", "w", "h"} in units; null for the whole page.
            $table->text('cut')->nullable();
            $table->string('words', 200)->default('');
            $table->string('state', 10)->default('waiting');
            $table->unsignedTinyInteger('column')->default(0);
            $table->unsignedInteger('place')->default(0);
            $table->unsignedBigInteger('made_at_ms');
        });

        Schema::table('canvases', function (Blueprint $table): void {
            // What is drawn over a shown canvas in front of the class has a log of its own.
            $table->foreignId('over_item_id')->nullable()->unique()->constrained('showcase_items')->cascadeOnDelete();
        });
        DB::statement(
            'create unique index canvases_lead on canvases (prompt_id)'.
            ' where seat_id is null and notes_on_id is null and over_item_id is null',
        );
    }

    public function down(): void
    {
        DB::statement('drop index canvases_lead');
        Schema::table('canvases', function (Blueprint $table): void {
            $table->dropForeign(['over_item_id']);
            $table->dropUnique(['over_item_id']);
            $table->dropColumn('over_item_id');
        });
        Schema::dropIfExists('offers');
        Schema::dropIfExists('lineup_entries');
        Schema::dropIfExists('showcase_items');
        Schema::dropIfExists('showcases');
    }
};
