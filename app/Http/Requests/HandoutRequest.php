<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Canvas\TakeCanvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Sessions\Work\LeadCanvas;
use Crag\Canvas\Object\Handled;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\Placing;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\Handout;
use Crag\Plan\HandoutMode;
use Crag\Plan\InvalidPages;
use Crag\Plan\PageChoice;
use Crag\Plan\PromptPage;
use Crag\Prompt\Backdrop\Backdrop;
use Illuminate\Http\Request;

/** Reads from a request what is to be handed out. */
final readonly class HandoutRequest
{
    public function __construct(private TakeCanvas $takeCanvas)
    {
    }

    /**
     * @return array{Handout, string} and what it is, in words
     *
     * @throws InvalidPages
     * @throws UnreadableFields
     */
    public function of(LiveSession $session, Prompt $prompt, Request $request): array
    {
        $mode = HandoutMode::from($request->string('mode')->toString());
        $alt = $request->string('alt')->trim()->toString();
        $what = $request->string('what')->toString();
        if ($what === 'pieces') {
            return [
                Handout::of(HandoutMode::Pieces, [
                    $request->integer('page') => new PromptPage(Backdrop::blank(), self::pieces($request)),
                ]),
                __('Pieces'),
            ];
        }
        if ($what === 'picture') {
            $asset = $session
                ->assets()
                ->whereNull('seat_id')
                ->findOrFail($request->string('asset')->toString());

            return [Handout::of($mode, [new PromptPage($asset->backdrop())]), __('A picture')];
        }
        $pages =
            $what === 'prompt'
                ? $prompt->pagesValue()->pages
                : $this->ofLead($prompt, $request->string('pages')->toString());

        return [
            Handout::of($mode, $pages, $alt),
            $what === 'prompt' ? __('The prompt as prepared') : __('Lead canvas'),
        ];
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
     * @throws UnreadableFields
     */
    private static function pieces(Request $request): array
    {
        $objects = $request->json('objects');
        $placings = Add::read(new Fields(['objects' => is_array($objects) ? $objects : []]))->placings;
        foreach ($placings as $placing) {
            if (! ($placing->object instanceof Handled)) {
                throw UnreadableFields::badValue('objects', 'holds something that is not a piece');
            }
        }

        return array_values($placings);
    }
}
