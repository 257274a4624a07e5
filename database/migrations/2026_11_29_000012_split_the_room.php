<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which of several teachers has taken a student on. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('seats', function (Blueprint $table): void {
            $table->foreignUlid('taken_by_id')->nullable()->index()->constrained('teachers')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('seats', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('taken_by_id');
        });
    }
};
