<?php

declare(strict_types=1);

namespace App\Records;

use App\Live\SchoolTime;
use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\LiveSession;
use Carbon\CarbonImmutable;
use Crag\Asks\Bar;
use Crag\Asks\Moves;
use Crag\Render\AskBlock;
use Crag\Render\PlainMaths;

/** The quick asks of a session for its printed record, and how its runs ended. */
final class AskBlocks
{
    /** @return list<AskBlock> in the order of time */
    public static function of(LiveSession $session): array
    {
        $blocks = [];
        $asks = Ask::query()
            ->where('live_session_id', $session->id)
            ->with('againOf', 'drawings')
            ->orderBy('n')
            ->get();
        $runs = Run::query()->where('live_session_id', $session->id)->orderBy('id')->get()->keyBy('id');
        foreach ($asks as $i => $ask) {
            $blocks[] = self::ask($ask);
            $isLast = $ask->run_id !== null && ($asks[$i + 1]->run_id ?? null) !== $ask->run_id;
            $run = $isLast ? $runs->get($ask->run_id) : null;
            if ($run !== null) {
                $blocks[] = self::run($run);
            }
        }

        return $blocks;
    }

    private static function ask(Ask $ask): AskBlock
    {
        $tally = $ask->tally();
        $lines = [];
        if ($ask->question->asked->hasKey()) {
            $lines[] = __('Right: :key', ['key' => PlainMaths::words($ask->question->asked->key())]);
        }
        if ($ask->drawings !== null) {
            $lines[] = __('Answered by drawing: the drawings stand with the canvases.');
        }
        $moves = $ask->moves();

        return new AskBlock(
            implode(' · ', [
                __('Quick ask :n', ['n' => $ask->n]),
                SchoolTime::of(CarbonImmutable::createFromTimestampMs($ask->made_at_ms))->format('H:i'),
                trans_choice('{0} no answer|{1} :count answer|[2,*] :count answers', $ask->answered()),
            ]),
            PlainMaths::words($ask->question->words),
            array_map(
                static fn (Bar $bar): array => [
                    PlainMaths::words($bar->label),
                    (float) $bar->count(),
                    $bar->count().($bar->outcome === null ? '' : ' '.__($bar->outcome->word())),
                ],
                $ask->drawings === null ? $tally->bars : [],
            ),
            [...$lines, ...$moves === null ? [] : self::moves($moves)],
        );
    }

    /** @return list<string> */
    private static function moves(Moves $moves): array
    {
        $said = [];
        foreach ($moves->cells as $from => $columns) {
            foreach ($columns as $to => $voters) {
                if ($from !== $to && $voters !== []) {
                    $said[] = __(':n changed from :from to :to', [
                        'n' => count($voters),
                        'from' => $moves->labels[$from],
                        'to' => $moves->labels[$to],
                    ]);
                }
            }
        }

        return $said;
    }

    private static function run(Run $run): AskBlock
    {
        $result = $run->result();
        $bars = [];
        foreach ($result->teams as $team => $mean) {
            $bars[] = [(string) $team, $mean, number_format($mean, 1)];
        }
        if ($bars === [] && $result->of > 0) {
            foreach (array_reverse($result->spread(), true) as $right => $n) {
                $bars[] = [__(':n of :of right', ['n' => $right, 'of' => $result->of]), (float) $n, (string) $n];
            }
        }

        return new AskBlock(__('How everyone did'), '', $bars);
    }
}
