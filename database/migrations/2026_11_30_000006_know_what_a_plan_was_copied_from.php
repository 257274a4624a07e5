<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A copy of a plan knows its original, so that it can take over what is changed there later. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plans', function (Blueprint $table): void {
            $table->foreignUlid('copied_from_id')->nullable()->index()->constrained('plans')->nullOnDelete();
            // With which link: once that is ended, nothing more is taken over.
            $table->string('copied_key', 40)->nullable();
        });
        Schema::table('prompts', function (Blueprint $table): void {
            // The original's changed_n when it was copied or taken over last.
            $table->unsignedInteger('source_n')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('prompts', fn (Blueprint $table) => $table->dropColumn('source_n'));
        Schema::table('plans', function (Blueprint $table): void {
            $table->dropForeign(['copied_from_id']);
            $table->dropIndex(['copied_from_id']);
            $table->dropColumn('copied_from_id');
            $table->dropColumn('copied_key');
        });
    }
};
