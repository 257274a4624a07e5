<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Students in a session, what they write to the teacher, and who was picked. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('seats', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->foreignUlid('roster_entry_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 200);
            // The group in which a student works in this session, where it is not that of the class list.
            $table->string('group', 60)->nullable();
            $table->string('token_hash', 64);
            // The device before this one may still deliver what was drawn on it.
            $table->string('old_token_hash', 64)->nullable();
            $table->string('ink_key', 32);
            $table->string('home_key', 40)->nullable();

            $table->string('state', 12)->default('seated');
            $table->unsignedBigInteger('state_at_ms')->default(0);
            // The seat that a knocking student says is theirs.
            $table->ulid('claims_id')->nullable();
            $table->text('reason')->default('');
            // Each sending out and each change of device begins another channel, which nobody else listens to.
            $table->unsignedInteger('turn')->default(0);
            $table->string('code', 6)->nullable();
            $table->unsignedBigInteger('code_at_ms')->nullable();

            $table->string('device', 10)->default('laptop');
            $table->boolean('light')->default(false);
            $table->unsignedBigInteger('seen_at_ms')->default(0);
            // When a page without a socket last asked; a page with one is seen by its socket.
            $table->unsignedBigInteger('polled_at_ms')->default(0);
            $table->text('pens')->nullable();
            // At their own pace: where the student is, if it is not where the class is.
            $table->ulid('prompt_id')->nullable();
            $table->unsignedBigInteger('hand_at_ms')->nullable();
            // "Please don't show mine."
            $table->boolean('keeps_back')->default(false);
            $table->timestamps();
            $table->unique(['live_session_id', 'n']);
            $table->unique(['live_session_id', 'roster_entry_id']);
        });

        Schema::create('messages', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('seat_id')->constrained()->cascadeOnDelete();
            // Null where the student of the seat wrote it.
            $table->foreignUlid('teacher_id')->nullable()->constrained()->nullOnDelete();
            $table->string('sender', 200);
            $table->text('words');
            $table->unsignedBigInteger('made_at_ms');
            $table->boolean('is_removed')->default(false);
        });

        Schema::create('picks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('seat_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('made_at_ms');
            // Among how many it was drawn.
            $table->unsignedInteger('among');
            $table->boolean('is_undone')->default(false);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('picks');
        Schema::dropIfExists('messages');
        Schema::dropIfExists('seats');
    }
};
