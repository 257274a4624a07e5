<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was said of shown work before the class. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('showcase_items', function (Blueprint $table): void {
            $table->string('praise', 60)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('showcase_items', function (Blueprint $table): void {
            $table->dropColumn('praise');
        });
    }
};
