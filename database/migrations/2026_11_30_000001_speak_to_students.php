<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Teachers speak about a canvas as students do, and what was said can be shown to the class. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('talk_throughs', function (Blueprint $table): void {
            // Null where a teacher speaks.
            $table->foreignUlid('seat_id')->nullable()->change();
            $table->foreignUlid('teacher_id')->nullable()->index()->constrained()->nullOnDelete();
            // The name under which a teacher spoke.
            $table->string('speaker')->default('');
            $table->boolean('is_filmed')->default(false);
        });
        Schema::table('showcase_items', function (Blueprint $table): void {
            $table->foreignUlid('talk_id')->nullable()->index()->constrained('talk_throughs')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('showcase_items', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('talk_id');
        });
        Schema::table('talk_throughs', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('teacher_id');
            $table->dropColumn(['speaker', 'is_filmed']);
        });
    }
};
