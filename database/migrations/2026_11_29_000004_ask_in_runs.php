<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Several quick asks one after the other, each with its time. */
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
            // Which of them is before the class, from 1.
            $table->unsignedInteger('at')->default(0);
            $table->unsignedBigInteger('ended_at_ms')->nullable();
            $table->boolean('is_shown')->default(false);
        });
        Schema::table('asks', function (Blueprint $table): void {
            $table->foreignUlid('run_id')->nullable()->constrained()->cascadeOnDelete();
        });
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->foreignUlid('run_id')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('runs');
    }
};
