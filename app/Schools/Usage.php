<?php

declare(strict_types=1);

namespace App\Schools;

use App\Models\Teachers\School;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** How much schools use, in numbers: nobody is named. */
final readonly class Usage
{
    public const DAYS = 30;

    private function __construct(
        public int $teachers,
        public int $running,
        /** In the last {@see self::DAYS} days, trials left out. */
        public int $sessions,
        /** Seats in those. */
        public int $students,
        /** Of work that is kept. */
        public int $bytes,
    ) {
    }

    public static function of(School $school): self
    {
        return self::ofAll(new Collection([$school]))[$school->id];
    }

    /**
     * @param  Collection<int, School>  $schools
     * @return array<string, self> by school
     */
    public static function ofAll(Collection $schools): array
    {
        $ids = $schools->pluck('id')->all();
        $since = now()->subDays(self::DAYS);
        $count = static fn (string $table) => DB::table($table)->whereIn("{$table}.school_id", $ids)
            ->groupBy("{$table}.school_id");
        $recent = static fn () => $count('live_sessions')
            ->where('live_sessions.is_trial', false)
            ->where('live_sessions.created_at', '>=', $since);
        $numbers = [
            'teachers' => $count('teachers')->whereNull('stopped_at')->selectRaw('school_id, count(*) as n'),
            'running' => $count('live_sessions')->whereNull('ended_at')->selectRaw('school_id, count(*) as n'),
            'sessions' => $recent()->selectRaw('school_id, count(*) as n'),
            'students' => $recent()
                ->join('seats', 'seats.live_session_id', '=', 'live_sessions.id')
                ->whereNull('seats.stands_for')
                ->selectRaw('live_sessions.school_id, count(*) as n'),
            'bytes' => $count('live_sessions')->selectRaw('school_id, sum(byte_count) as n'),
        ];
        $found = array_map(static fn ($query): array => $query->pluck('n', 'school_id')->all(), $numbers);
        $usage = [];
        foreach ($ids as $id) {
            $usage[$id] = new self(...array_map(static fn (array $of): int => (int) ($of[$id] ?? 0), $found));
        }

        return $usage;
    }
}
