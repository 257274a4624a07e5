<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Everything durable that a page must know. Each audience has a count of its own, so that a gap shows. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('events', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->string('audience', 40);
            $table->unsignedInteger('n');
            $table->string('type', 30);
            $table->text('body');
            $table->unsignedBigInteger('at_ms');
            $table->unique(['live_session_id', 'audience', 'n']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('events');
    }
};
