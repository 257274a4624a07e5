<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * How long each session is kept, until when it stays open without its teacher, and a student's private way to the own
 * work.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('live_sessions', function (Blueprint $table): void {
            // Days after its end; null as the installation has it.
            $table->unsignedInteger('keep_days')->nullable();
            $table->unsignedBigInteger('open_until_ms')->nullable();
        });
        Schema::table('seats', function (Blueprint $table): void {
            $table->string('home_key', 40)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->dropColumn(['keep_days', 'open_until_ms']);
        });
        Schema::table('seats', function (Blueprint $table): void {
            $table->dropColumn('home_key');
        });
    }
};
