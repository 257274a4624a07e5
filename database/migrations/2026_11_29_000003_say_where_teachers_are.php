<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** At whose canvas each teacher of a session is, and when their desk was last heard. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('desk_rights', function (Blueprint $table): void {
            $table->string('at_seat', 26)->nullable();
            $table->unsignedBigInteger('heard_at_ms')->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('desk_rights', function (Blueprint $table): void {
            $table->dropColumn(['at_seat', 'heard_at_ms']);
        });
    }
};
