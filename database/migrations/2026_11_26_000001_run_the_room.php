<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/** The door, the seats, pace, pens, timer, cover, hands, messages, and what was handed out to whom. */
return new class extends Migration
{
    public function up(): void
    {
        $this->sessions();
        $this->seats();
        $this->prompts();
        Schema::table('desk_rights', function (Blueprint $table): void {
            $table->string('role', 10)->default('colleague');
        });
        Schema::table('showcases', function (Blueprint $table): void {
            $table->dropColumn('named');
        });
        Schema::create('messages', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('seat_id')->constrained()->cascadeOnDelete();
            // Null where the student of the seat wrote it.
            $table->foreignUlid('teacher_id')->nullable()->constrained()->nullOnDelete();
            $table->string('sender', 200);
            $table->text('words');
            $table->unsignedBigInteger('made_at_ms');
            $table->boolean('is_removed')->default(false);
        });
        $this->handouts();
    }

    public function down(): void
    {
        foreach (['handout_canvases', 'handouts', 'messages'] as $table) {
            Schema::dropIfExists($table);
        }
    }

    private function sessions(): void
    {
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->string('door', 10)->default('open');
            $table->string('pace', 10)->default('together');
            $table->text('pens')->nullable();
            $table->text('timer')->nullable();
            $table->text('settings')->default('{}');
            // Which page of which lead canvas students may look at, and from which operation on its ink is under
            // theirs.
            $table->text('lead')->nullable();
            $table->string('helper_key', 40)->default('');
            // The sign of life after which the end was last announced.
            $table->unsignedBigInteger('warned_at_ms')->default(0);
        });
        foreach (DB::table('live_sessions')->get(['id', 'names_shown']) as $session) {
            DB::table('live_sessions')
                ->where('id', $session->id)
                ->update([
                    'helper_key' => Str::random(40),
                    'settings' => json_encode(['desk_names' => $session->names_shown ? 'real' : 'none']),
                ]);
        }
        Schema::table('live_sessions', function (Blueprint $table): void {
            $table->dropColumn('names_shown');
        });
    }

    private function seats(): void
    {
        Schema::table('seats', function (Blueprint $table): void {
            $table->string('state', 12)->default('seated');
            $table->unsignedBigInteger('state_at_ms')->default(0);
            // The seat that a knocking student says is theirs.
            $table->ulid('claims_id')->nullable();
            $table->text('reason')->default('');
            $table->string('device', 10)->default('laptop');
            $table->unsignedBigInteger('seen_at_ms')->default(0);
            $table->text('pens')->nullable();
            // At the own pace: where the student is, if it is not where the class is.
            $table->ulid('prompt_id')->nullable();
            $table->unsignedBigInteger('hand_at_ms')->nullable();
            $table->boolean('light')->default(false);
            $table->string('code', 6)->nullable();
            $table->unsignedBigInteger('code_at_ms')->nullable();
            // Each sending out and each change of device begins another channel, which nobody else listens to.
            $table->unsignedInteger('turn')->default(0);
            // The device before this one may still deliver what was drawn on it.
            $table->string('old_token_hash', 64)->nullable();
        });
    }

    private function prompts(): void
    {
        Schema::table('prompts', function (Blueprint $table): void {
            $table->string('state', 10)->default('unseen');
            $table->unsignedBigInteger('state_at_ms')->default(0);
            $table->unsignedBigInteger('revealed_at_ms')->nullable();
        });
        DB::table('prompts')
            ->whereIn('id', DB::table('canvases')->whereNotNull('seat_id')->select('prompt_id'))
            ->update(['state' => 'open']);
        DB::table('prompts')
            ->whereIn('id', DB::table('live_sessions')->select('prompt_id'))
            ->update(['state' => 'open']);
        Schema::table('canvases', function (Blueprint $table): void {
            $table->unsignedBigInteger('sent_at_ms')->nullable();
        });
    }

    private function handouts(): void
    {
        Schema::create('handouts', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('live_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('prompt_id')->constrained()->cascadeOnDelete();
            $table->string('label', 200);
            $table->string('mode', 10);
            // Whether those who come later get it too.
            $table->boolean('for_all');
            $table->longText('body');
            $table->unsignedBigInteger('made_at_ms');
            $table->unsignedBigInteger('undone_at_ms')->nullable();
        });
        Schema::create('handout_canvases', function (Blueprint $table): void {
            $table->foreignUlid('handout_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('canvas_id')->constrained()->cascadeOnDelete();
            $table->text('operations');
            // When the student's page had it.
            $table->unsignedBigInteger('got_at_ms')->nullable();
            $table->primary(['handout_id', 'canvas_id']);
        });
        foreach (
            DB::table('prompts')
                ->whereNotNull('live_session_id')
                ->where('pieces', '!=', '[]')
                ->get(['id', 'live_session_id', 'pieces']) as $prompt
        ) {
            foreach (json_decode($prompt->pieces, true) as $body) {
                DB::table('handouts')->insert([
                    'id' => (string) Str::ulid(),
                    'live_session_id' => $prompt->live_session_id,
                    'prompt_id' => $prompt->id,
                    'label' => 'Pieces',
                    'mode' => 'pieces',
                    'for_all' => true,
                    'made_at_ms' => 0,
                    'body' => json_encode([
                        'mode' => 'pieces',
                        'pages' => [
                            ['page' => 0, 'backdrop' => ['kind' => 'blank'], 'objects' => $body['objects'] ?? []],
                        ],
                    ]),
                ]);
            }
        }
        Schema::table('prompts', function (Blueprint $table): void {
            $table->dropColumn('pieces');
        });
    }
};
