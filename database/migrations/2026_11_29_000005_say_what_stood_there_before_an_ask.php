<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the class screen showed before an ask came onto it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('asks', function (Blueprint $table): void {
            $table->string('screen_before', 10)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('asks', function (Blueprint $table): void {
            $table->dropColumn('screen_before');
        });
    }
};
