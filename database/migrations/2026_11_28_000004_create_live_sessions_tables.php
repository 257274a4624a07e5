<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Sessions and who may open their desk. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('live_sessions', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('title', 200);
            $table->string('teacher_name', 200);
            $table->foreignUlid('plan_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignUlid('roster_id')->nullable()->constrained()->nullOnDelete();
            // The earlier session that it goes on from.
            $table->foreignUlid('carries_on_id')->nullable();
            // Tried by the teacher alone: it is in no list and is forgotten soon.
            $table->boolean('is_trial')->default(false);
            $table->string('join_code', 6)->unique();
            $table->string('return_key', 40);
            $table->string('screen_key', 40);
            $table->string('helper_key', 40)->default('');

            $table->string('door', 10)->default('open');
            $table->string('pace', 10)->default('together');
            $table->text('pens')->nullable();
            $table->text('timer')->nullable();
            $table->text('settings')->default('{}');
            $table->text('tray')->nullable();

            $table->ulid('prompt_id')->nullable();
            $table->ulid('showcase_id')->nullable();
            $table->ulid('ask_id')->nullable();
            $table->ulid('run_id')->nullable();
            $table->string('screen_view', 20)->default('join');
            $table->string('shown_on', 8)->default('screen');
            // Which page of which lead canvas students may look at, and from which operation its ink is under theirs.
            $table->text('lead')->nullable();
            // Headings of the page of offers; whether offers appear there without being looked at first.
            $table->text('board')->nullable();

            // How many operations its canvases have taken together; each carries its place in that count.
            $table->unsignedInteger('operation_count')->default(0);
            $table->unsignedBigInteger('byte_count')->default(0);
            // The sign of life after which the end was last announced.
            $table->unsignedBigInteger('warned_at_ms')->default(0);
            $table->unsignedBigInteger('open_until_ms')->nullable();
            // Days after its end; null as the installation has it.
            $table->unsignedInteger('keep_days')->nullable();
            $table->timestamp('ended_at')->nullable();
            $table->timestamps();
        });

        Schema::create('desk_rights', function (Blueprint $table): void {
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->string('role', 10)->default('colleague');
            $table->primary(['live_session_id', 'teacher_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('desk_rights');
        Schema::dropIfExists('live_sessions');
    }
};
