<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/** Plans with their prompts, class lists, and accounts that follow a teacher to other devices. */
return new class extends Migration
{
    public function up(): void
    {
        $this->accounts();
        Schema::create('plans', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            // Whose it is; those who may edit it too stand in plan_rights.
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
        $this->classes();
        $this->sessions();
        $this->canvases();
        // What was changed in a plan, by whom, and what it was before: so that it can be taken back.
        Schema::create('plan_edits', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('plan_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('n');
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('field', 20);
            $table->longText('before')->nullable();
            $table->longText('after')->nullable();
            $table->boolean('undone')->default(false);
            $table->timestamps();
            $table->unique(['plan_id', 'n']);
        });
        // A file that is being brought into a plan, and how far that is.
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
        foreach (
            [
                'intakes',
                'plan_edits',
                'plan_rights',
                'roster_entries',
                'rosters',
                'plans',
                'devices',
                'password_reset_tokens',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }

    /** A teacher may have several devices, and an account. */
    private function accounts(): void
    {
        Schema::create('devices', function (Blueprint $table): void {
            $table->string('token_hash', 64)->primary();
            $table->foreignUlid('teacher_id')->constrained()->cascadeOnDelete();
            $table->timestamps();
        });
        DB::statement(
            'insert into devices (token_hash, teacher_id, created_at, updated_at) select token_hash, id, created_at, updated_at from teachers',
        );
        Schema::table('teachers', function (Blueprint $table): void {
            $table->dropUnique(['token_hash']);
            $table->dropColumn('token_hash');
            $table->string('email', 200)->nullable()->unique();
            $table->string('password', 100)->nullable();
            $table->string('return_key', 40)->default('');
        });
        foreach (DB::table('teachers')->pluck('id') as $id) {
            DB::table('teachers')
                ->where('id', $id)
                ->update(['return_key' => Str::random(40)]);
        }
        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
    }

    private function classes(): void
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

    private function sessions(): void
    {
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->foreignUlid('plan_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignUlid('roster_id')->nullable()->constrained()->nullOnDelete();
            // Tried by the teacher alone: it stands in no list and is forgotten soon.
            $table->boolean('is_trial')->default(false);
        });
        Schema::table('seats', function (Blueprint $table): void {
            $table->foreignUlid('roster_entry_id')->nullable()->constrained()->nullOnDelete();
            $table->unique(['live_session_id', 'roster_entry_id']);
        });
    }

    /** Prompts, canvases, operations and pictures belong to a session or to a plan. */
    private function canvases(): void
    {
        Schema::table('prompts', function (Blueprint $table): void {
            $table->foreignUlid('live_session_id')->nullable()->change();
        });
        Schema::table('prompts', function (Blueprint $table): void {
            $table->foreignUlid('plan_id')->nullable()->constrained()->cascadeOnDelete();
            // In a session: which of the plan's prompts it came from.
            $table->ulid('source_id')->nullable();
            // In a session: all that is drawn on its canvases from the beginning.
            $table->longText('pages')->nullable();
            $table->longText('details')->default('{}');
            // In a plan: the edit that changed it last.
            $table->unsignedInteger('changed_n')->default(0);
        });
        DB::statement('drop index canvases_lead');
        Schema::table('canvases', function (Blueprint $table): void {
            $table->foreignUlid('live_session_id')->nullable()->change();
        });
        DB::statement('create unique index canvases_lead on canvases (prompt_id) where seat_id is null');
        Schema::table('operations', function (Blueprint $table): void {
            $table->foreignUlid('live_session_id')->nullable()->change();
            $table->unsignedInteger('session_n')->nullable()->change();
        });
        Schema::table('assets', function (Blueprint $table): void {
            $table->foreignUlid('live_session_id')->nullable()->change();
        });
        Schema::table('assets', function (Blueprint $table): void {
            $table->foreignUlid('plan_id')->nullable()->constrained()->cascadeOnDelete();
        });
    }
};
