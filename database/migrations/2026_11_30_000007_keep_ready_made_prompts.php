<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Prompts that a teacher keeps to use again stand in a plan of their own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('teachers', function (Blueprint $table): void {
            $table->foreignUlid('ready_plan_id')->nullable()->index()->constrained('plans')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('teachers', function (Blueprint $table): void {
            $table->dropForeign(['ready_plan_id']);
            $table->dropIndex(['ready_plan_id']);
            $table->dropColumn('ready_plan_id');
        });
    }
};
