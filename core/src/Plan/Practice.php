<?php

declare(strict_types=1);

namespace Crag\Plan;

use Crag\Asks\Card;
use Crag\Json\Fields;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Question\Question;

/**
 * A run's questions as one prompt, which everyone answers in their own time. A question with a picture stands on the
 * picture's page; one without stands under the words.
 */
final readonly class Practice
{
    private const MARGIN = 40;

    private const WIDTH = 400;

    private function __construct(public PlanPrompt $prompt, public PromptPages $pages)
    {
    }

    /**
     * @param  list<Card>  $cards
     * @param  array<string, Backdrop>  $pictures  by asset
     */
    public static function of(string $words, array $cards, array $pictures): self
    {
        $questions = $pages = [];
        foreach ($cards as $card) {
            if ($card->question === null || count($questions) === PlanPrompt::MOST_QUESTIONS) {
                continue;
            }
            $spot = null;
            if (isset($pictures[$card->picture])) {
                $spot = ['page' => count($pages), 'x' => self::MARGIN, 'y' => self::MARGIN, 'w' => self::WIDTH];
                $pages[] = new PromptPage($pictures[$card->picture]);
            }
            $questions[] = Question::read(new Fields(
                ['id' => 'q'.(count($questions) + 1), 'spot' => $spot] + $card->question->toArray(),
            ))->toArray();
        }

        return new self(
            PlanPrompt::read(new Fields(['words' => $words, 'questions' => $questions])),
            $pages === [] ? PromptPages::blank() : PromptPages::of($pages),
        );
    }

    public function isEmpty(): bool
    {
        return $this->prompt->questions === [];
    }
}
