<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Records: a PDF or a zip, of all canvases or of chosen ones. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('records', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 8)->default('pdf');
            $table->text('options')->nullable();
            $table->string('state', 10)->default('waiting');
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('records');
    }
};
