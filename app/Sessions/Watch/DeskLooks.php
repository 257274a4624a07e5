<?php

declare(strict_types=1);

namespace App\Sessions\Watch;

use App\Models\LiveSession;
use App\Models\Prompt;
use Illuminate\Support\Facades\DB;
use PDOException;
use stdClass;

/** Which prompts' canvases desks have before them now, as they say each time they ask for the states. */
final class DeskLooks
{
    /** A desk that hears the states by itself asks every 15 s. */
    private const FORGOTTEN_MS = 45_000;

    /** @param  list<string>  $silent  seats of which the desk hears nothing */
    public static function note(LiveSession $session, Prompt $prompt, array $silent, int $nowMs): void
    {
        try {
            DB::table('desk_looks')->upsert(
                [
                    'live_session_id' => $session->id,
                    'prompt_id' => $prompt->id,
                    'silent' => implode(',', $silent),
                    'at_ms' => $nowMs,
                ],
                ['live_session_id', 'prompt_id'],
                ['silent', 'at_ms'],
            );
        } catch (PDOException) {
            // A disk that is full must not take the view of the class away: the desk asks by itself.
        }
    }

    /**
     * Each with a word that becomes another when anything has happened in its session.
     *
     * @return list<array{session: string, prompt: string, silent: list<string>, version: string}>
     */
    public static function recent(int $nowMs): array
    {
        $last = static fn (string $audience): string => '(select max(n) from events where '.
            "events.live_session_id = desk_looks.live_session_id and audience = '{$audience}')";

        return DB::table('desk_looks')
            ->join('live_sessions', 'live_sessions.id', '=', 'desk_looks.live_session_id')
            ->where('at_ms', '>', $nowMs - self::FORGOTTEN_MS)
            ->get([
                'desk_looks.*',
                'live_sessions.operation_count',
                DB::raw("{$last('room')} as room"),
                DB::raw("{$last('desk')} as desk"),
            ])
            ->map(static fn (stdClass $row): array => [
                'session' => $row->live_session_id,
                'prompt' => $row->prompt_id,
                'silent' => array_values(array_filter(explode(',', $row->silent))),
                'version' => "{$row->operation_count} {$row->room} {$row->desk} {$row->silent}",
            ])
            ->values()
            ->all();
    }

    /** What a desk said of a session's seats, one of which is forgotten. */
    public static function forgetOf(string $session): void
    {
        DB::table('desk_looks')->where('live_session_id', $session)->delete();
    }

    /** Those that no desk has had before it for long. */
    public static function forgetOld(int $nowMs): void
    {
        DB::table('desk_looks')->where('at_ms', '<=', $nowMs - self::FORGOTTEN_MS)->delete();
    }
}
