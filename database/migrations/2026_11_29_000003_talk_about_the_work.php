<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Ink over what is shown, where everybody looks, replays before the class; what students offer, and the page on which
 * it stands.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('showcase_items', function (Blueprint $table): void {
            // The part that everybody sees: {"x", "y", "scale"}; null for the whole page.
            $table->text('view')->nullable();
            // Since when its replay plays, and how fast; null where it stands still.
            $table->unsignedBigInteger('replay_from_ms')->nullable();
            $table->unsignedTinyInteger('replay_speed')->default(4);
        });
        DB::statement('drop index canvases_lead');
        Schema::table('canvases', function (Blueprint $table): void {
            // What is drawn over a shown canvas before the class has a log of its own.
            $table->foreignId('over_item_id')->nullable()->constrained('showcase_items')->cascadeOnDelete();
        });
        DB::statement(
            'create unique index canvases_lead on canvases (prompt_id) where seat_id is null and notes_on_id is null and over_item_id is null',
        );
        DB::statement('create unique index canvases_over on canvases (over_item_id) where over_item_id is not null');

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
        Schema::table('live_sessions', function (Blueprint $table): void {
            // Headings of the page of offers; whether offers stand there without being looked at first.
            $table->text('board')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('offers');
    }
};
