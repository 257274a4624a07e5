<?php

declare(strict_types=1);

namespace App\Sessions\Show;

use App\Models\Handout;
use App\Models\LiveSession;
use App\Models\Show\ShowcaseItem;
use App\Pictures\OwnCopies;
use App\Sessions\Work\HandOutWork;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Operation\Placing;
use Crag\Json\Fields;
use Crag\Plan\Handout as HandoutValue;
use Crag\Plan\HandoutMode;
use Crag\Plan\PictureIds;
use Crag\Plan\PromptPage;
use Illuminate\Support\Facades\DB;

/** Work that is shown, with what was drawn over it, as a backdrop for everybody. Whose it was is not said. */
final readonly class BuildOn
{
    public function __construct(private HandOutWork $give)
    {
    }

    public function __invoke(LiveSession $session, ShowcaseItem $item): Handout
    {
        return DB::transaction(function () use ($session, $item): Handout {
            $scene = $item->scene();
            $drawn = [...$scene->onPage($item->page), ...$item->over?->scene()->onPage('') ?? []];
            $objects = array_values(
                array_map(
                    static fn (PlacedObject $placed): array => (new Placing(
                        $placed->object,
                        $placed->place,
                        $placed->group,
                    ))->toArray(),
                    $drawn,
                ),
            );
            $objects = PictureIds::renamed($objects, OwnCopies::of($item->canvas, $objects));
            $page = PromptPage::read(
                new Fields(['backdrop' => $scene->backdrop($item->page)->toArray(), 'objects' => $objects], true),
            );

            return $this->give->give(
                $session,
                $session->prompt()->firstOrFail(),
                HandoutValue::of(HandoutMode::Backdrop, [$page]),
                __('Work to build on'),
                null,
            );
        });
    }
}
