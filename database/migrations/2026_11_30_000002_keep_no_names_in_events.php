<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Events kept whole states, with names and messages in them; from now on they keep that something changed:
 * App\Live\Told.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("update events set body = '{\"own\":null}' where type = 'own'");
        DB::statement("update events set body = '{\"room\":null}' where type = 'room'");
        DB::statement(
            "update events set body = json_set(body, '$.room', null) where type = 'prompt' and json_type(body, '$.room') is not null",
        );
        DB::statement(
            "update events set body = json_object('seat', json_extract(body, '$.seat.id')) where type = 'seat' and json_type(body, '$.seat') = 'object'",
        );
        DB::statement("update events set body = json_remove(body, '$.name') where type = 'deed'");
    }

    public function down(): void
    {
        // What is gone does not come back; a page that catches up reads the state anew.
    }
};
