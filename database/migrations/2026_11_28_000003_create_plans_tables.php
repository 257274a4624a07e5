<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Plans, who may edit them, and files that are being brought in. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('plans', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            // Whose it is; others who may edit it are in plan_rights.
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->string('title', 200);
            $table->text('tags')->default('[]');
            // The ids of its prompts, in order.
            $table->text('sequence')->default('[]');
            // How many edits it has seen; each edit carries its place in that count.
            $table->unsignedInteger('edit_count')->default(0);
            $table->string('copy_key', 40);
            $table->string('edit_key', 40);
            $table->timestamp('used_at')->nullable();
            $table->timestamp('archived_at')->nullable();
            $table->timestamps();
        });

        Schema::create('plan_rights', function (Blueprint $table): void {
            $table->foreignUlid('plan_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->primary(['plan_id', 'teacher_id']);
        });

        Schema::create('intakes', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('plan_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->string('state', 10)->default('waiting');
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->text('settings')->default('{}');
            $table->text('problem')->default('');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('intakes');
        Schema::dropIfExists('plan_rights');
        Schema::dropIfExists('plans');
    }
};
