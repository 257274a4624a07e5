<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A quick ask that is answered by drawing has canvases of its own: those of a prompt that belongs to the ask. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('prompts', function (Blueprint $table): void {
            $table->string('ask_id', 26)->nullable()->index();
            // No more work is taken from then on.
            $table->unsignedBigInteger('closes_at_ms')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('prompts', function (Blueprint $table): void {
            $table->dropIndex(['ask_id']);
            $table->dropColumn(['ask_id', 'closes_at_ms']);
        });
    }
};
