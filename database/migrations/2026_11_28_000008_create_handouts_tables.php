<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was handed out, and the canvases that it went to. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('handouts', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->constrained()->cascadeOnDelete();
            $table->string('label', 200);
            $table->string('mode', 10);
            // Whether those who come later get it too.
            $table->boolean('for_all');
            $table->longText('body');
            // The words and the backdrop that the prompt had, where they were changed.
            $table->text('before')->nullable();
            $table->unsignedBigInteger('made_at_ms');
            $table->unsignedBigInteger('undone_at_ms')->nullable();
        });

        Schema::create('handout_canvases', function (Blueprint $table): void {
            $table->foreignUlid('handout_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->text('operations');
            // When the student's page had it.
            $table->unsignedBigInteger('got_at_ms')->nullable();
            $table->primary(['handout_id', 'canvas_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('handout_canvases');
        Schema::dropIfExists('handouts');
    }
};
