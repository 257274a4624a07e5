<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Prompts of plans and of sessions, and what was changed in a plan. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('prompts', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            // One of the two: a prompt is a plan's or a session's.
            $table->foreignUlid('plan_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignUlid('live_session_id')->nullable()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->text('words');
            $table->text('backdrop');
            // Null where the session's tray holds.
            $table->text('tray')->nullable();
            $table->longText('details')->default('{}');
            // In a plan: the edit that changed it last.
            $table->unsignedInteger('changed_n')->default(0);

            // In a session: which of the plan's prompts it came from, and all that is drawn on its canvases at first.
            $table->ulid('source_id')->nullable();
            $table->longText('pages')->nullable();
            // The prompt of an earlier session whose canvases go on here.
            $table->ulid('carries_prompt_id')->nullable();
            $table->string('state', 10)->default('unseen');
            $table->unsignedBigInteger('state_at_ms')->default(0);
            $table->unsignedBigInteger('revealed_at_ms')->nullable();
            $table->boolean('reads_at_once')->default(false);
            $table->timestamps();
            $table->unique(['live_session_id', 'n']);
        });

        Schema::create('plan_edits', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('plan_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('field', 20);
            // What it was and what it became, so that it can be undone.
            $table->longText('before')->nullable();
            $table->longText('after')->nullable();
            $table->boolean('undone')->default(false);
            $table->timestamps();
            $table->unique(['plan_id', 'n']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('plan_edits');
        Schema::dropIfExists('prompts');
    }
};
