<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How a student writes signs, as far as they confirmed it: until the session ends. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('own_forms', function (Blueprint $table): void {
            $table->foreignUlid('seat_id')->primary()->constrained('seats')->cascadeOnDelete();
            $table->json('forms');
        });
    }

    public function down(): void
    {
        Schema::drop('own_forms');
    }
};
