<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Teachers, the devices by which they are known, and the way to an account. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('teachers', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 200);
            // Null without an account: the device and the return key are then the only ways back.
            $table->string('email', 200)->nullable()->unique();
            $table->string('password', 100)->nullable();
            $table->string('return_key', 40);
            // Sentences kept for notes on checks.
            $table->text('phrases')->nullable();
            $table->timestamps();
        });

        Schema::create('devices', function (Blueprint $table): void {
            // The cookie's token, kept as a hash.
            $table->string('token_hash', 64)->primary();
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->timestamps();
        });

        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });

        Schema::create('invitations', function (Blueprint $table): void {
            $table->string('token_hash', 64)->primary();
            $table->timestamp('expires_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('invitations');
        Schema::dropIfExists('password_reset_tokens');
        Schema::dropIfExists('devices');
        Schema::dropIfExists('teachers');
    }
};
