<?php

declare(strict_types=1);

namespace App\Plans;

use Crag\Plan\PlanPrompt;
use Crag\Plan\PromptPages;

/** A prompt that is not in a plan yet: all that it says, and all that is drawn for it. */
final readonly class PreparedPrompt
{
    public function __construct(public PlanPrompt $prompt, public PromptPages $pages)
    {
    }

    public static function saying(string $words, ?PromptPages $pages = null): self
    {
        return new self(PlanPrompt::saying($words), $pages ?? PromptPages::blank());
    }
}
