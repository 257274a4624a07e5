<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Seats that hold what a group draws together, and who is in which group since when. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('seats', function (Blueprint $table): void {
            // Nobody sits there: it holds the canvases of the group that is called so, "" for everyone.
            // Null for a student's seat.
            $table->string('stands_for', 60)->nullable();
            $table->unique(['live_session_id', 'stands_for']);
        });

        Schema::create('members', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('group_id')->constrained('seats')->cascadeOnDelete();
            $table->foreignUlid('seat_id')->constrained('seats')->cascadeOnDelete();
            $table->unsignedBigInteger('since_ms');
            // Null while the student is in the group: what was drawn before may still arrive.
            $table->unsignedBigInteger('until_ms')->nullable();
            $table->unique(['group_id', 'seat_id']);
            $table->index('seat_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('members');
        Schema::table('seats', function (Blueprint $table): void {
            $table->dropUnique(['live_session_id', 'stands_for']);
            $table->dropColumn('stands_for');
        });
    }
};
