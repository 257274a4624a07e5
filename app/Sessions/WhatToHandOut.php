<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Canvas\TakeCanvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use Crag\Canvas\Fields;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\Placing;
use Crag\Canvas\UnreadableOperation;
use Crag\Prompt\Backdrop;
use Crag\Prompt\Handout;
use Crag\Prompt\HandoutMode;
use Crag\Prompt\InvalidPages;
use Crag\Prompt\PageChoice;
use Crag\Prompt\PromptPage;
use Illuminate\Http\Request;

/** Reads from a request what is to be handed out. */
final readonly class WhatToHandOut
{
    public function __construct(private TakeCanvas $takeCanvas)
    {
    }

    /**
     * @return array{Handout, string} and what it is, in words
     *
     * @throws InvalidPages
     * @throws UnreadableOperation
     */
    public function of(LiveSession $session, Prompt $prompt, Request $request): array
    {
        $mode = HandoutMode::from($request->string('mode')->toString());
        $alt = $request->string('alt')->trim()->toString();
        $what = $request->string('what')->toString();
        if ($what === 'pieces') {
            return [Handout::of(HandoutMode::Pieces, [$request->integer('page') => new PromptPage(Backdrop::blank(), self::pieces($request))]), __('Pieces')];
        }
        if ($what === 'picture') {
            $asset = $session->assets()->whereNull('seat_id')->findOrFail($request->string('asset')->toString());

            return [Handout::of($mode, [new PromptPage(Backdrop::picture($asset->id))]), __('A picture')];
        }
        $pages = $what === 'prompt' ? $prompt->pagesValue()->pages : $this->ofLead($prompt, $request->string('pages')->toString());

        return [Handout::of($mode, $pages, $alt), $what === 'prompt' ? __('The prompt as prepared') : __('Lead canvas')];
    }

    /**
     * @return array<int, PromptPage>
     *
     * @throws InvalidPages
     */
    private function ofLead(Prompt $prompt, string $chosen): array
    {
        $all = LeadCanvas::pagesOf($this->takeCanvas->lead($prompt)->scene());
        $pages = [];
        foreach (PageChoice::read($chosen === '' ? 'all' : $chosen, count($all), count($all))->pages as $n) {
            $pages[$n - 1] = $all[$n - 1];
        }
        ksort($pages);

        return $pages;
    }

    /**
     * @return list<Placing>
     *
     * @throws UnreadableOperation
     */
    private static function pieces(Request $request): array
    {
        $objects = $request->json('objects');
        $placings = Add::read(new Fields(['objects' => is_array($objects) ? $objects : []]))->placings;
        foreach ($placings as $placing) {
            if (! $placing->object instanceof Piece) {
                throw UnreadableOperation::badValue('objects', 'holds something that is not a piece');
            }
        }

        return array_values($placings);
    }
}
