<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Up to four canvases shown side by side, on the class screen or on the students' own pages; captions, moments and
 * names of the line-up.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('showcase_items', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('showcase_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('n');
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->string('page', 32)->default('');
            // The moment that is shown; null as it is now.
            $table->unsignedInteger('at_operation')->nullable();
            $table->boolean('with_notes')->default(false);
            // Null as the session has names.
            $table->string('names', 8)->nullable();
            $table->foreignId('lineup_entry_id')->nullable();
        });
        DB::statement(
            'insert into showcase_items (showcase_id, n, canvas_id, page, at_operation, with_notes) select id, 1, canvas_id, page, at_operation, with_notes from showcases',
        );
        Schema::table('showcases', function (Blueprint $table): void {
            $table->dropForeign(['canvas_id']);
            $table->dropColumn(['canvas_id', 'page', 'at_operation', 'with_notes']);
        });
        Schema::table('lineup_entries', function (Blueprint $table): void {
            $table->string('caption', 200)->default('');
            $table->boolean('is_live')->default(false);
            $table->string('names', 8)->nullable();
        });
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->string('shown_on', 8)->default('screen');
        });
        Schema::table('seats', function (Blueprint $table): void {
            // "Please do not show mine."
            $table->boolean('keeps_back')->default(false);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('showcase_items');
    }
};
