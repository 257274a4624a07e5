<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Models\Handout;
use App\Models\LiveSession;
use App\Models\ShowcaseItem;
use App\Pictures\OwnCopies;
use Crag\Canvas\Fields;
use Crag\Canvas\Operation\Placing;
use Crag\Canvas\Placed;
use Crag\Prompt\Handout as HandoutValue;
use Crag\Prompt\HandoutMode;
use Crag\Prompt\PictureIds;
use Crag\Prompt\PromptPage;
use Illuminate\Support\Facades\DB;

/** Work that is shown, with what was drawn over it, as a backdrop for everybody. Whose it was is not said. */
final readonly class BuildOn
{
    public function __construct(private GiveWork $give)
    {
    }

    public function __invoke(LiveSession $session, ShowcaseItem $item): Handout
    {
        return DB::transaction(function () use ($session, $item): Handout {
            $scene = $item->scene();
            $drawn = [...$scene->onPage($item->page), ...($item->over?->scene()->onPage('') ?? [])];
            $objects = array_values(array_map(static fn (Placed $placed): array => (new Placing($placed->object, $placed->place, $placed->group))->toArray(), $drawn));
            $objects = PictureIds::renamed($objects, OwnCopies::of($item->canvas, $objects));
            $page = PromptPage::read(new Fields(['backdrop' => $scene->backdrop($item->page)->toArray(), 'objects' => $objects], true));

            return $this->give->give($session, $session->prompt()->firstOrFail(), HandoutValue::of(HandoutMode::Backdrop, [$page]), __('Work to build on'), null);
        });
    }
}
