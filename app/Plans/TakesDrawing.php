<?php

declare(strict_types=1);

namespace App\Plans;

use App\Canvas\AppendForTeacher;
use App\Canvas\TakeCanvas;
use App\Models\Canvas;
use App\Models\Prompt;
use Crag\Plan\PromptPages;

/** What is drawn for a prompt of a plan: it stands on the prompt's lead canvas. */
final readonly class TakesDrawing
{
    public function __construct(private TakeCanvas $takeCanvas, private AppendForTeacher $putOn)
    {
    }

    public function begin(Prompt $prompt, PromptPages $pages): void
    {
        $this->putOn->pages($this->canvas($prompt), $pages, false);
    }

    public function canvas(Prompt $prompt): Canvas
    {
        return $this->takeCanvas->lead($prompt);
    }

    public function of(Prompt $prompt): PromptPages
    {
        $canvas = Canvas::query()
            ->where('prompt_id', $prompt->id)
            ->whereNull('seat_id')
            ->whereNull('notes_on_id')
            ->whereNull('over_item_id')
            ->first();

        return $canvas === null ? PromptPages::blank() : PromptPages::from($canvas->scene());
    }
}
