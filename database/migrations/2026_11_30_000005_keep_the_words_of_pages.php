<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A PDF's page becomes a picture: the words that stood on it are kept beside, each with its place. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('assets', function (Blueprint $table): void {
            // [[word, left, top, width, height], …] in ten-thousandths of the picture; null for other pictures.
            $table->text('page_words')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('assets', fn (Blueprint $table) => $table->dropColumn('page_words'));
    }
};
