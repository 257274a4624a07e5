<?php

declare(strict_types=1);

namespace App\Sessions\Show;

use App\Models\Asks\Ask;
use App\Models\LiveSession;
use App\Models\Show\Offer;
use App\Sessions\Asks\Asking;
use Crag\Json\Fields;
use Crag\Prompt\Question\Choosing;
use Crag\Prompt\Question\Question;
use Crag\Session\Screen\OfferState;

/** A quick ask whose choices are the numbers of the work on the board. The board stays on the class screen. */
final readonly class VoteOnOffers
{
    /** Each student has so many votes at most. */
    public const MOST = 5;

    public function __construct(private Asking $asking)
    {
    }

    /** @return ?Ask null where there are not two to choose from */
    public function __invoke(LiveSession $session, int $votes): ?Ask
    {
        $offers = $session
            ->offers()
            ->where('state', OfferState::Accepted)
            ->reorder('number')
            ->limit(Choosing::MOST_OPTIONS)
            ->get();
        if ($offers->count() < 2) {
            return null;
        }

        return $this->asking->ask(
            $session,
            Question::read(new Fields([
                'id' => 'ask',
                'spot' => null,
                'kind' => 'choices',
                'words' => trans_choice(
                    '{1} Which work gets your vote?|[2,*] Which works get your :count votes?',
                    $votes,
                ),
                'options' => $offers
                    ->map(static fn (Offer $offer): array => [
                        'id' => "v{$offer->number}",
                        'words' => trim("{$offer->number} {$offer->words}"),
                    ])
                    ->values()
                    ->all(),
                'right' => [],
                'shuffle' => false,
                'most' => $votes,
            ])),
            null,
            null,
            false,
            isVote: true,
        );
    }

    /** @return array<int, int> votes by number, once everyone may see them */
    public static function shown(LiveSession $session): array
    {
        $ask = $session->ask;
        if ($ask === null || ! $ask->is_vote || ! $ask->is_tally_shown) {
            return [];
        }
        $votes = [];
        foreach ($ask->latest() as $chosen) {
            foreach ((array) $chosen as $id) {
                $number = is_string($id) ? (int) substr($id, 1) : 0;
                $votes[$number] = ($votes[$number] ?? 0) + 1;
            }
        }

        return $votes;
    }
}
