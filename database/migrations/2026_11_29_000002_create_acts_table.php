<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was done to the whole room, and how it was before. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('acts', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUlid('teacher_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignUlid('prompt_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignUlid('handout_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            // What the sentence about it needs.
            $table->text('said');
            $table->text('before');
            $table->unsignedBigInteger('made_at_ms');
            $table->unsignedBigInteger('undone_at_ms')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('acts');
    }
};
