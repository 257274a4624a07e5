<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Canvases, their logs, and the scenes kept from them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('canvases', function (Blueprint $table): void {
            // Before what refers to it: PostgreSQL takes them as they stand.
            $table->ulid('id');
            $table->primary('id');
            $table->foreignUlid('live_session_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->constrained()->cascadeOnDelete();
            // Null for the teacher's lead canvas.
            $table->foreignUlid('seat_id')->nullable()->constrained()->cascadeOnDelete();
            // The student's canvas over which a teacher writes private notes: they have a log of their own.
            $table->foreignUlid('notes_on_id')->nullable()->constrained('canvases')->cascadeOnDelete();
            $table->unsignedInteger('operation_count')->default(0);
            // How many objects its log ever put on it.
            $table->unsignedInteger('added_count')->default(0);
            $table->unsignedBigInteger('byte_count')->default(0);
            $table->unsignedBigInteger('last_stroke_ms')->nullable();
            $table->unsignedBigInteger('sent_at_ms')->nullable();
            // Up to which operation a teacher has looked at it closely.
            $table->unsignedInteger('looked_at_operation')->default(0);
            $table->timestamps();
            $table->unique(['prompt_id', 'seat_id']);
            $table->unique('notes_on_id');
        });

        Schema::create('operations', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('live_session_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->unsignedInteger('session_n')->nullable();
            $table->string('op_id', 32);
            $table->ulid('seat_id')->nullable();
            $table->string('layer', 10);
            $table->string('kind', 10);
            $table->text('body');
            $table->unsignedBigInteger('made_at_ms');
            $table->unsignedBigInteger('stored_at_ms');
            $table->unique(['canvas_id', 'n']);
            $table->unique(['canvas_id', 'op_id']);
            $table->unique(['live_session_id', 'session_n']);
        });

        Schema::create('scenes', function (Blueprint $table): void {
            // The scene up to operation n: a cache that can be thrown away.
            $table->foreignUlid('canvas_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->longText('body');
        });

        // What the grid asks of every canvas each time: was much rubbed out, and which answer stands.
        DB::statement(
            'create index operations_rubbed_out on operations (canvas_id, stored_at_ms)'.
            " where kind in ('cut', 'remove', 'clear', 'withdraw')",
        );
        DB::statement(
            'create index operations_answered on operations (canvas_id, n)'.
            " where kind in ('answer', 'fresh', 'give_back')",
        );
    }

    public function down(): void
    {
        Schema::dropIfExists('scenes');
        Schema::dropIfExists('operations');
        Schema::dropIfExists('canvases');
    }
};
