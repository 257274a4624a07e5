<?php

declare(strict_types=1);

namespace App\Http;

use Crag\Asks\Card;
use Crag\Json\UnreadableFields;

/** Cards of a run as a page sends them: what cannot be used is said with the card's number. */
final class ReadsCards
{
    /**
     * @param  array<array-key, mixed>  $cards
     * @return non-empty-list<Card>
     */
    public static function from(array $cards): array
    {
        abort_if(
            $cards === [] || count($cards) > Card::MOST,
            422,
            __('Write 1 to :n questions.', ['n' => Card::MOST]),
        );
        $read = [];
        foreach (array_values($cards) as $i => $card) {
            try {
                $read[] = Card::one($card);
            } catch (UnreadableFields $problem) {
                abort(422, __('Card :n: :problem', ['n' => $i + 1, 'problem' => __($problem->getMessage())]));
            }
        }

        return $read;
    }

    /** @return non-empty-list<Card> one for each line that says something */
    public static function fromLines(string $lines): array
    {
        return self::from(
            array_values(array_filter(array_map(trim(...), preg_split('/\R/u', $lines) ?: []))),
        );
    }
}
