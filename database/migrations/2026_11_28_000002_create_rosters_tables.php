<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Class lists and who is on them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rosters', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            // What a session with this class was last started with.
            $table->text('settings')->default('{}');
            $table->timestamps();
        });

        Schema::create('roster_entries', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('roster_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->string('name', 200);
            $table->string('group', 200)->default('');
            $table->string('pin', 8)->default('');
            $table->timestamps();
            $table->unique(['roster_id', 'n']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('roster_entries');
        Schema::dropIfExists('rosters');
    }
};
