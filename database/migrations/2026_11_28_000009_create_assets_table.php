<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Pictures that a plan, a session or a student brought in; the files are in the data folder. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('assets', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignUlid('plan_id')->nullable()->constrained()->cascadeOnDelete();
            // Whose it is; null for the teacher's, which the whole class may see.
            $table->foreignUlid('seat_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('mime', 40);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedInteger('bytes');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('assets');
    }
};
