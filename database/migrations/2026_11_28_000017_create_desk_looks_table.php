<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which prompts' canvases desks have before them: the keeper tells them the states when something changes there. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('desk_looks', function (Blueprint $table): void {
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->index()->constrained()->cascadeOnDelete();
            // Seats whose pages the desk hears nothing of.
            $table->text('silent');
            $table->unsignedBigInteger('at_ms')->index();
            $table->primary(['live_session_id', 'prompt_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('desk_looks');
    }
};
