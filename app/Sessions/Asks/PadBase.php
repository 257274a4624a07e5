<?php

declare(strict_types=1);

namespace App\Sessions\Asks;

use App\Canvas\TakeCanvas;
use App\Models\Asset;
use App\Models\LiveSession;
use App\Pictures\EmbeddedPictures;
use App\Pictures\StorePicture;
use App\Records\Rsvg;
use App\Sessions\Work\LeadCanvas;
use Crag\Canvas\Drawing\CutOut;
use Crag\Plan\PromptPage;
use Crag\Plan\PromptPages;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Backdrop\UsualPaper;
use Crag\Render\SceneSvg;

/** What lies on everybody's pad at first, where a quick ask is answered by drawing. */
final readonly class PadBase
{
    /** How wide the picture of a part is, in pixels. */
    private const WIDTH = 1600;

    public function __construct(private TakeCanvas $takeCanvas, private StorePicture $store)
    {
    }

    public function paper(UsualPaper $paper): PromptPages
    {
        return PromptPages::of([new PromptPage($paper->backdrop())]);
    }

    public function picture(Asset $picture): PromptPages
    {
        return PromptPages::of([new PromptPage($picture->backdrop())]);
    }

    /** The prompt's first page, as it was prepared. */
    public function prompt(LiveSession $session): PromptPages
    {
        return PromptPages::of([$session->prompt()->firstOrFail()->pagesValue()->withoutKey()->pages[0]]);
    }

    /** A copy of the lead canvas's first page; of a part of one of its pages, a picture. */
    public function lead(LiveSession $session, string $page = '', ?CutOut $cut = null): PromptPages
    {
        $scene = $this->takeCanvas->lead($session->prompt()->firstOrFail())->scene();
        if ($cut === null) {
            return PromptPages::of(
                array_slice(LeadCanvas::pagesOf($scene), 0, 1) ?: [new PromptPage(Backdrop::blank())],
            );
        }
        $file = tempnam(sys_get_temp_dir(), 'crag-part-');
        try {
            $svg = SceneSvg::part($scene, new EmbeddedPictures($session), $page, $cut);
            file_put_contents((string) $file, Rsvg::png($svg, self::WIDTH));

            return $this->picture(($this->store)($session, (string) $file));
        } finally {
            @unlink((string) $file);
        }
    }
}
