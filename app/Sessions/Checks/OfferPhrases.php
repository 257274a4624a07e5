<?php

declare(strict_types=1);

namespace App\Sessions\Checks;

use App\Models\Prompt;
use App\Models\Teachers\Teacher;
use Crag\Checks\Phrases;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

/**
 * The phrases for a note on one prompt, by how often the teacher used them there, in earlier sessions too. While
 * somebody checks, each keeps its place and its key.
 */
final readonly class OfferPhrases
{
    private const HELD_S = 300;

    public function __construct(private Repository $cache)
    {
    }

    /** @return list<string> */
    public function __invoke(Teacher $teacher, Prompt $prompt): array
    {
        $key = "phrases {$teacher->id} {$prompt->id}";
        $before = $this->cache->get($key);
        $phrases = Phrases::inOrder(
            $teacher->phrases ?? [],
            self::uses($teacher, $prompt),
            is_array($before) ? array_values(array_filter($before, is_string(...))) : [],
        );
        $this->cache->put($key, $phrases, self::HELD_S);

        return $phrases;
    }

    /** @return array<string, int> on how many canvases each note was given */
    private static function uses(Teacher $teacher, Prompt $prompt): array
    {
        $uses = DB::table('checks')
            ->join('canvases', 'canvases.id', '=', 'checks.canvas_id')
            ->where('checks.teacher_id', $teacher->id)
            ->where('checks.note', '!=', '')
            ->whereIn(
                'canvases.prompt_id',
                Prompt::query()
                    ->whereKey($prompt->id)
                    ->when(
                        $prompt->source_id,
                        static fn ($same, string $source) => $same->orWhere('source_id', $source),
                    )
                    ->select('id'),
            )
            ->groupBy('checks.note')
            ->selectRaw('checks.note as note, count(distinct checks.canvas_id) as n')
            ->pluck('n', 'note');

        return $uses->map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)->all();
    }
}
