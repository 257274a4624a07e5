<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A reader of work may answer at once, prompt by prompt; and a session may go on from an earlier one. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('prompts', function (Blueprint $table): void {
            $table->boolean('reads_at_once')->default(false);
            // The prompt of an earlier session whose canvases go on here.
            $table->foreignUlid('carries_prompt_id')->nullable();
        });
        Schema::table('live_sessions', function (Blueprint $table): void {
            // The earlier session that it goes on from.
            $table->foreignUlid('carries_on_id')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('prompts', function (Blueprint $table): void {
            $table->dropColumn(['reads_at_once', 'carries_prompt_id']);
        });
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->dropColumn('carries_on_id');
        });
    }
};
