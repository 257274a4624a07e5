<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Since when a teacher is on the way to a hand, and up to when a student has been seen to. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('seats', function (Blueprint $table): void {
            $table->unsignedBigInteger('coming_at_ms')->nullable();
            $table->unsignedBigInteger('seen_to_at_ms')->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('seats', function (Blueprint $table): void {
            $table->dropColumn(['coming_at_ms', 'seen_to_at_ms']);
        });
    }
};
