<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Lead canvases, kept scenes, trays, pieces, and pictures of students' own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('canvases', function (Blueprint $table): void {
            // Null for the teacher's lead canvas.
            $table->foreignUlid('seat_id')->nullable()->change();
            // How many objects its log ever put on it.
            $table->unsignedInteger('added_count')->default(0);
        });
        DB::statement('create unique index canvases_lead on canvases (prompt_id) where seat_id is null');

        // A canvas's scene up to operation n: a cache that can be thrown away.
        Schema::create('scenes', function (Blueprint $table): void {
            $table->foreignUlid('canvas_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->longText('body');
        });

        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->text('tray')->nullable();
        });

        Schema::table('prompts', function (Blueprint $table): void {
            // Null where the session's tray holds.
            $table->text('tray')->nullable();
            $table->text('pieces')->default('[]');
        });

        Schema::table('showcases', function (Blueprint $table): void {
            // Which of the canvas's pages: the id of the operation that added it, nothing for the first.
            $table->string('page', 32)->default('');
        });

        Schema::table('assets', function (Blueprint $table): void {
            // Whose it is; null for the teacher's, which the whole class may see.
            $table->foreignUlid('seat_id')->nullable()->constrained()->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('scenes');
    }
};
