<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Bytes of stored work, so that a canvas, a seat and a session can be full. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['canvases', 'live_sessions'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->unsignedBigInteger('byte_count')->default(0);
            });
        }
        DB::statement(
            'update canvases set byte_count = coalesce((select sum(length(cast(body as blob))) from operations where operations.canvas_id = canvases.id), 0)',
        );
        DB::statement(
            'update live_sessions set byte_count = coalesce((select sum(byte_count) from canvases where canvases.live_session_id = live_sessions.id), 0)',
        );
    }

    public function down(): void
    {
        foreach (['canvases', 'live_sessions'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->dropColumn('byte_count');
            });
        }
    }
};
