<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Accepted offers have numbers that stay, for votes; a quick ask can be such a vote. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('offers', function (Blueprint $table): void {
            $table->unsignedSmallInteger('number')->default(0);
        });
        $numbers = [];
        foreach (
            DB::table('offers')
                ->where('state', 'accepted')
                ->orderBy('column')
                ->orderBy('place')
                ->get(['id', 'live_session_id']) as $offer
        ) {
            $number = $numbers[$offer->live_session_id] = ($numbers[$offer->live_session_id] ?? 0) + 1;
            DB::table('offers')->where('id', $offer->id)->update(['number' => $number]);
        }
        Schema::table('asks', function (Blueprint $table): void {
            $table->boolean('is_vote')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('asks', function (Blueprint $table): void {
            $table->dropColumn('is_vote');
        });
        Schema::table('offers', function (Blueprint $table): void {
            $table->dropColumn('number');
        });
    }
};
