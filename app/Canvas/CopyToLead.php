<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Canvas;
use App\Pictures\OwnCopies;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Operation\Placing;
use Crag\Plan\PictureIds;
use Illuminate\Support\Facades\DB;

/** A page of a student's canvas, with its backdrop and without coach ink, as a new page of the prompt's lead canvas. */
final readonly class CopyToLead
{
    public function __construct(private TakeCanvas $takeCanvas, private AppendForTeacher $putOn)
    {
    }

    /** @return int the number of the new page, from 1 */
    public function __invoke(Canvas $canvas, string $page): int
    {
        $scene = $canvas->scene();
        $page = isset($scene->pages[$page]) ? $page : '';
        $objects = array_values(
            array_map(
                static fn (PlacedObject $placed): array => (new Placing(
                    $placed->object,
                    $placed->place,
                    $placed->group,
                ))->toArray(),
                array_filter(
                    $scene->onPage($page),
                    static fn (PlacedObject $placed): bool => $placed->layer !== Layer::Coach,
                ),
            ),
        );

        return DB::transaction(function () use ($canvas, $scene, $page, $objects): int {
            $lead = $this->takeCanvas->lead($canvas->prompt)->refresh();
            $this->putOn->newPage(
                $lead,
                $scene->backdrop($page),
                PictureIds::renamed($objects, OwnCopies::of($canvas, $objects)),
            );

            return count($lead->refresh()->scene()->pages);
        });
    }
}
