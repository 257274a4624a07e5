<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A check may have a mark for each aspect, points and a note; teachers keep phrases for notes. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('checks', function (Blueprint $table): void {
            // By place of the aspect; null where Strata alone was checked.
            $table->text('marks')->nullable();
            $table->boolean('is_no_attempt')->default(false);
            $table->float('points')->nullable();
            $table->text('note')->default('');
        });
        Schema::table('teachers', function (Blueprint $table): void {
            $table->text('phrases')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('checks', function (Blueprint $table): void {
            $table->dropColumn(['marks', 'is_no_attempt', 'points', 'note']);
        });
        Schema::table('teachers', function (Blueprint $table): void {
            $table->dropColumn('phrases');
        });
    }
};
