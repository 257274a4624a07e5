<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A teacher without an account is a device: the cookie's token, kept as a hash.
        Schema::create('teachers', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 200);
            $table->string('token_hash', 64)->unique();
            $table->timestamps();
        });

        Schema::create('live_sessions', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('title', 200);
            $table->string('teacher_name', 200);
            $table->string('join_code', 6)->unique();
            $table->string('return_key', 40);
            $table->string('screen_key', 40);
            $table->ulid('prompt_id')->nullable();
            $table->ulid('showcase_id')->nullable();
            $table->string('screen_view', 20)->default('join');
            $table->boolean('names_shown')->default(true);
            // How many operations its canvases have taken together; each carries its place in that count.
            $table->unsignedInteger('operation_count')->default(0);
            $table->timestamp('ended_at')->nullable();
            $table->timestamps();
        });

        Schema::create('desk_rights', function (Blueprint $table): void {
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->primary(['live_session_id', 'teacher_id']);
        });

        Schema::create('prompts', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->text('words');
            $table->text('backdrop');
            $table->timestamps();
            $table->unique(['live_session_id', 'n']);
        });

        Schema::create('seats', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->string('name', 200);
            $table->string('token_hash', 64);
            $table->string('ink_key', 32);
            // When a page without a socket last asked; a page with one is seen by its socket.
            $table->unsignedBigInteger('polled_at_ms')->default(0);
            $table->timestamps();
            $table->unique(['live_session_id', 'n']);
        });

        Schema::create('canvases', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('seat_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('operation_count')->default(0);
            $table->unsignedBigInteger('last_stroke_ms')->nullable();
            $table->timestamps();
            $table->unique(['prompt_id', 'seat_id']);
        });

        Schema::create('operations', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->unsignedInteger('session_n');
            $table->string('op_id', 32);
            $table->ulid('seat_id')->nullable();
            $table->string('layer', 10);
            $table->string('kind', 10);
            $table->text('body');
            $table->unsignedBigInteger('made_at_ms');
            $table->unsignedBigInteger('stored_at_ms');
            $table->unique(['canvas_id', 'n']);
            $table->unique(['canvas_id', 'op_id']);
            $table->unique(['live_session_id', 'session_n']);
        });

        Schema::create('checks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('teacher_id')->constrained();
            // Null takes the check away. The latest row holds; the work judged is the log up to this operation.
            $table->unsignedTinyInteger('level')->nullable();
            $table->unsignedInteger('at_operation');
            $table->unsignedBigInteger('made_at_ms');
            $table->index(['canvas_id', 'id']);
        });

        Schema::create('showcases', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('at_operation');
            $table->boolean('named');
            $table->timestamps();
        });

        Schema::create('assets', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->string('mime', 40);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedInteger('bytes');
            $table->timestamps();
        });

        // Everything durable that a page must know. Each audience has a count of its own, so that a gap shows.
        Schema::create('events', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->string('audience', 40);
            $table->unsignedInteger('n');
            $table->string('type', 30);
            $table->text('body');
            $table->unsignedBigInteger('at_ms');
            $table->unique(['live_session_id', 'audience', 'n']);
        });

        Schema::create('records', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->string('state', 10)->default('waiting');
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->timestamps();
        });

        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });

        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }

    public function down(): void
    {
        $tables = [
            'failed_jobs',
            'jobs',
            'records',
            'events',
            'assets',
            'showcases',
            'checks',
            'operations',
            'canvases',
            'seats',
            'prompts',
            'desk_rights',
            'live_sessions',
            'teachers',
        ];
        foreach ($tables as $table) {
            Schema::dropIfExists($table);
        }
    }
};
