<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Drawings explained aloud: a recording, bound to the log by the moment at which it began. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('talk_throughs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUlid('seat_id')->index()->constrained()->cascadeOnDelete();
            // Milliseconds since 1970, by the page's clock, set after the server's: as operations have theirs.
            $table->unsignedBigInteger('began_at_ms');
            $table->unsignedInteger('lasts_ms');
            $table->unsignedInteger('bytes');
            // What is said in it, typed by who said it, for those who cannot listen.
            $table->text('words')->default('');
            $table->unsignedBigInteger('sent_at_ms');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('talk_throughs');
    }
};
