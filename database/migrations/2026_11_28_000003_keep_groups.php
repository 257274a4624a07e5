<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The group in which a student works in this session, where it is not that of the class list. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('seats', function (Blueprint $table): void {
            $table->string('group', 60)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('seats', function (Blueprint $table): void {
            $table->dropColumn('group');
        });
    }
};
