<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** One installation serves many schools, each looked after by somebody. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('schools', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name');
            // Who has an address that ends so is sent an invitation when they ask: Crag\School\MailDomains.
            $table->text('domains')->default('');
            // The longest that work is kept after a session; null as the installation has it.
            $table->unsignedInteger('keep_days')->nullable();
            // Crag\School\Quotas; null for as much as there is.
            $table->unsignedInteger('most_teachers')->nullable();
            $table->unsignedInteger('most_sessions')->nullable();
            $table->unsignedInteger('most_megabytes')->nullable();
            // Everything of the school in one file: App\Jobs\JobState, and how far it is.
            $table->string('export_state')->nullable();
            $table->unsignedInteger('export_done')->default(0);
            $table->unsignedInteger('export_total')->default(0);
            $table->dateTime('exported_at')->nullable();
            // From when on it is being deleted.
            $table->dateTime('going_at')->nullable();
            $table->timestamps();
        });
        Schema::table('teachers', function (Blueprint $table): void {
            $table->foreignUlid('school_id')->nullable()->constrained('schools')->nullOnDelete();
            $table->index('school_id');
            // App\Accounts\AccountRole.
            $table->string('role')->default('teacher');
            // From when on they may not teach.
            $table->dateTime('stopped_at')->nullable();
        });
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->foreignUlid('school_id')->nullable()->constrained('schools')->nullOnDelete();
            $table->index('school_id');
        });
        Schema::table('invitations', function (Blueprint $table): void {
            $table->string('school_id')->nullable();
            $table->string('role')->default('teacher');
        });
    }

    public function down(): void
    {
        Schema::table('invitations', fn (Blueprint $table) => $table->dropColumn(['school_id', 'role']));
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->dropIndex(['school_id']);
            $table->dropConstrainedForeignId('school_id');
        });
        Schema::table('teachers', function (Blueprint $table): void {
            $table->dropIndex(['school_id']);
            $table->dropConstrainedForeignId('school_id');
            $table->dropColumn(['role', 'stopped_at']);
        });
        Schema::dropIfExists('schools');
    }
};
