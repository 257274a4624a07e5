<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Students can sign in with their school's accounts, and class lists come from its records. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('rosters', function (Blueprint $table): void {
            // The class in the school's records; null for a list of the teacher's own.
            $table->string('source')->nullable();
        });
        Schema::table('roster_entries', function (Blueprint $table): void {
            $table->string('source')->nullable();
            // With which account the student signs in; empty for none.
            $table->string('account')->default('');
        });
        Schema::table('seats', function (Blueprint $table): void {
            // Whose account it is: a seal, from which nobody reads the account.
            $table->string('account_hash')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('seats', fn (Blueprint $table) => $table->dropColumn('account_hash'));
        Schema::table('roster_entries', fn (Blueprint $table) => $table->dropColumn(['source', 'account']));
        Schema::table('rosters', fn (Blueprint $table) => $table->dropColumn('source'));
    }
};
