<?php

declare(strict_types=1);

namespace App\Sessions\Asks;

use App\Models\Asset;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Plans\PreparedPrompt;
use App\Sessions\Life\StartSession;
use App\Sessions\Room\ChangePrompts;
use Crag\Asks\Card;
use Crag\Plan\Practice;
use Crag\Session\Room\PromptState;
use Illuminate\Support\Facades\DB;

/** A run's questions for everyone's own time: an open prompt after the others. */
final readonly class GivePractice
{
    public function __construct(private ChangePrompts $prompts)
    {
    }

    /** @param  list<Card>  $cards */
    public function __invoke(LiveSession $session, array $cards): ?Prompt
    {
        $pictures = Asset::query()
            ->where('live_session_id', $session->id)
            ->whereIn('id', array_map(static fn (Card $card): string => $card->picture, $cards))
            ->get()
            ->mapWithKeys(static fn (Asset $asset): array => [$asset->id => $asset->backdrop()])
            ->all();
        $practice = Practice::of(__('Practice: take your time.'), $cards, $pictures);
        if ($practice->isEmpty()) {
            return null;
        }

        return DB::transaction(function () use ($session, $practice): Prompt {
            $prompt = StartSession::put(
                $session,
                new PreparedPrompt($practice->prompt, $practice->pages),
                (int) $session->prompts()->max('n') + 1,
                null,
            );
            $this->prompts->set($session, $prompt, PromptState::Open);

            return $prompt;
        });
    }
}
