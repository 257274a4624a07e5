<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Database\Engine;
use App\Live\Clock;
use App\Live\Health;
use App\Live\StoringTimes;
use Crag\Session\Room\SeatState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/** How this installation is, for whatever watches over it. */
final readonly class HealthController
{
    public function __construct(private Health $health)
    {
    }

    /** Whether work is stored: 200, or 503 and why not. */
    public function up(): Response
    {
        $trouble = Health::trouble();

        return response($trouble ?? 'up', $trouble === null ? 200 : 503)->header(
            'Content-Type',
            'text/plain; charset=utf-8',
        );
    }

    /** Each part, with what is wrong with it. */
    public function health(): JsonResponse
    {
        $parts = $this->health->parts();

        return response()->json(
            ['ok' => array_unique(array_values($parts)) === ['ok']] + $parts,
            array_unique(array_values($parts)) === ['ok'] ? 200 : 503,
            options: JSON_UNESCAPED_UNICODE,
        );
    }

    /** In the text format that Prometheus reads (version 0.0.4). */
    public function metrics(): Response
    {
        $running = DB::table('live_sessions')->whereNull('ended_at');
        $times = StoringTimes::ofLastMinutes(5, Clock::ms());
        $data = config()->string('crag.data');
        $rows = [
            ['crag_sessions_running', 'gauge', 'Sessions that have not ended.', [['', (clone $running)->count()]]],
            [
                'crag_seats',
                'gauge',
                'Students in running sessions.',
                [
                    [
                        '',
                        DB::table('seats')
                            ->whereIn('live_session_id', (clone $running)->select('id'))
                            ->where('state', SeatState::Seated->value)
                            ->count(),
                    ],
                ],
            ],
            [
                'crag_operations',
                'gauge',
                'Operations of all sessions that are kept: strokes, changes, answers.',
                [['', (int) DB::table('live_sessions')->sum('operation_count')]],
            ],
            [
                'crag_work_bytes',
                'gauge',
                'Bytes of stored work.',
                [['', (int) DB::table('live_sessions')->sum('byte_count')]],
            ],
            [
                'crag_stored_requests',
                'gauge',
                'Batches of strokes that were stored in the last five minutes.',
                [['', $times->count]],
            ],
            [
                'crag_store_seconds',
                'gauge',
                'How long storing a batch took in the last five minutes, as nginx measured it.',
                [['{quantile="0.5"}', $times->quantile(0.5)], ['{quantile="0.95"}', $times->quantile(0.95)]],
            ],
            [
                'crag_queue_jobs',
                'gauge',
                'Records and files that wait or are being made.',
                [['', Queue::size()]],
            ],
            ['crag_queue_failed', 'gauge', 'Those that failed.', [['', DB::table('failed_jobs')->count()]]],
            [
                'crag_database_bytes',
                'gauge',
                'The database and its write-ahead log.',
                [['', Engine::here()->bytes()]],
            ],
            ['crag_disk_free_bytes', 'gauge', 'Room on the disk with the data.', [['', (int) @disk_free_space($data)]]],
            [
                'crag_part_up',
                'gauge',
                '1 for each part that works.',
                array_map(
                    static fn (string $part, string $said): array => ["{part=\"{$part}\"}", (int) ($said === 'ok')],
                    array_keys($this->health->parts()),
                    $this->health->parts(),
                ),
            ],
        ];
        $text = '';
        foreach ($rows as [$name, $type, $help, $values]) {
            $text .= "# HELP {$name} {$help}\n# TYPE {$name} {$type}\n";
            foreach ($values as [$label, $value]) {
                $text .= "{$name}{$label} {$value}\n";
            }
        }

        return response($text)->header('Content-Type', 'text/plain; version=0.0.4; charset=utf-8');
    }
}
