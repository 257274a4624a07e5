<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Teacher;
use Crag\Prompt\Backdrop;
use Crag\Session\JoinCode;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A new session with one empty prompt, so that a class can draw at once. */
final class StartSession
{
    public function __invoke(Teacher $teacher, string $title): LiveSession
    {
        return DB::transaction(static function () use ($teacher, $title): LiveSession {
            $session = LiveSession::query()->create([
                'title' => $title,
                'teacher_name' => $teacher->name,
                'join_code' => self::freeCode(),
                'return_key' => Str::random(40),
                'screen_key' => Str::random(40),
            ]);
            $session->teachers()->attach($teacher);
            $prompt = Prompt::query()->create([
                'live_session_id' => $session->id, 'n' => 1, 'words' => '', 'backdrop' => Backdrop::blank()->toArray(),
            ]);
            $session->update(['prompt_id' => $prompt->id]);

            return $session;
        });
    }

    private static function freeCode(): string
    {
        do {
            $code = JoinCode::draw(random_int(...))->value;
        } while (LiveSession::query()->where('join_code', $code)->exists());

        return $code;
    }
}
