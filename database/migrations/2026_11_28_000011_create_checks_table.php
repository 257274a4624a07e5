<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a teacher judged: the latest row of a canvas holds. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('checks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('teacher_id')->constrained();
            // Null takes the check away.
            $table->unsignedTinyInteger('level')->nullable();
            // By place of the aspect; null where only the level was checked.
            $table->text('marks')->nullable();
            $table->boolean('is_no_attempt')->default(false);
            $table->float('points')->nullable();
            $table->text('note')->default('');
            // The work judged is the log up to this operation.
            $table->unsignedInteger('at_operation');
            $table->unsignedBigInteger('made_at_ms');
            $table->index(['canvas_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('checks');
    }
};
