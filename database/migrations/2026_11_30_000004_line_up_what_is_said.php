<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Work in the line-up can be shown with what was said about it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('lineup_entries', function (Blueprint $table): void {
            $table->foreignUlid('talk_id')->nullable()->index()->constrained('talk_throughs')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('lineup_entries', fn (Blueprint $table) => $table->dropConstrainedForeignId('talk_id'));
    }
};
