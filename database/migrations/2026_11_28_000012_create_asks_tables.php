<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Quick asks, runs of them, and what students answered. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('runs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            // Crag\Asks\AskLine, one for each ask.
            $table->text('lines');
            $table->unsignedInteger('seconds');
            $table->boolean('is_auto')->default(true);
            $table->boolean('by_teams')->default(false);
            // Which of them the class has now, from 1.
            $table->unsignedInteger('at')->default(0);
            $table->unsignedBigInteger('ended_at_ms')->nullable();
            $table->boolean('is_shown')->default(false);
        });

        Schema::create('asks', function (Blueprint $table): void {
            // Before what refers to it: PostgreSQL takes them as they stand.
            $table->ulid('id');
            $table->primary('id');
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('run_id')->nullable()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            // The question in its JSON form.
            $table->text('question');
            // Ids of the seats that are asked; null for everyone.
            $table->text('seats')->nullable();
            $table->boolean('is_anonymous')->default(false);
            $table->unsignedBigInteger('made_at_ms');
            $table->unsignedBigInteger('ends_at_ms')->nullable();
            $table->unsignedBigInteger('closed_at_ms')->nullable();
            // What everyone may see: the tally, and which answer is right.
            $table->boolean('is_tally_shown')->default(false);
            $table->boolean('is_right_shown')->default(false);
            // The ask that it asks again.
            $table->foreignUlid('again_of_id')->nullable()->constrained('asks')->nullOnDelete();
            $table->unique(['live_session_id', 'n']);
        });

        Schema::create('ask_answers', function (Blueprint $table): void {
            // One row for each time that somebody answers: the latest counts.
            $table->id();
            $table->foreignUlid('ask_id')->constrained()->cascadeOnDelete();
            // The seat; where it is anonymous, a mark that tells two students apart and names neither.
            $table->string('voter', 64);
            $table->text('value');
            $table->unsignedBigInteger('made_at_ms');
            $table->index(['ask_id', 'voter', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('ask_answers');
        Schema::dropIfExists('asks');
        Schema::dropIfExists('runs');
    }
};
