<?php

declare(strict_types=1);

namespace App\Sessions\Work;

use App\Canvas\TakeCanvas;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Prompt;
use App\Sessions\Room\RoomState;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Operation\Placing;
use Crag\Canvas\Scene;
use Crag\Plan\Handout;
use Crag\Plan\HandoutMode;
use Crag\Plan\PromptPage;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Session\Screen\LeadSharing;
use Illuminate\Support\Facades\DB;

/** What students see of the teacher's own canvas: a page to look at beside theirs, and its ink under their own. */
final readonly class LeadCanvas
{
    public function __construct(
        private TakeCanvas $takeCanvas,
        private RoomState $room,
        private HandOutWork $handOut,
    ) {
    }

    /** @param  ?string  $page  the id of a page of the prompt's lead canvas; null for none to look at */
    public function show(LiveSession $session, Prompt $prompt, ?string $page): void
    {
        $canvas = $this->takeCanvas->lead($prompt);
        $seen =
            $page === null ? $session->lead->showing(null) : $session->lead->showing($canvas->id, $page);
        $this->change($session, $seen);
    }

    /** From now on what is drawn there appears under every student's own ink. */
    public function inkOn(LiveSession $session, Prompt $prompt): void
    {
        $canvas = $this->takeCanvas->lead($prompt)->refresh();
        $this->change($session, $session->lead->withInk($canvas->id, $canvas->operation_count));
    }

    /** @param  bool  $stays  as a backdrop on every canvas of the prompt; else it goes again */
    public function inkOff(LiveSession $session, bool $stays): void
    {
        DB::transaction(function () use ($session, $stays): void {
            $seen = $session->lead;
            $canvas = Canvas::query()->find($seen->inkCanvas);
            if ($stays && $canvas !== null) {
                $pages = self::pagesOf(self::ink($canvas, $seen->inkFrom));
                $drawn = array_filter($pages, static fn (PromptPage $page): bool => $page->placings !== []);
                if ($drawn !== []) {
                    $this->handOut->give(
                        $session,
                        $canvas->prompt,
                        Handout::of(HandoutMode::Backdrop, $drawn),
                        __('Lead ink'),
                        null,
                    );
                }
            }
            $this->change($session, $seen->withoutInk());
        });
    }

    /** The lead canvas with nothing on it but what was drawn after an operation. */
    public static function ink(Canvas $canvas, int $from): Scene
    {
        $since = LoggedOperation::query()
            ->where('canvas_id', $canvas->id)
            ->where('n', '>', $from)
            ->pluck('op_id')
            ->flip();
        $scene = $canvas->scene();
        $blank = array_map(static fn (Backdrop $under): Backdrop => Backdrop::blank($under->paper), $scene->pages);

        return new Scene(
            $blank,
            array_filter(
                $scene->placed,
                static fn (string|int $id): bool => $since->has(ObjectId::operation((string) $id)),
                ARRAY_FILTER_USE_KEY,
            ),
        );
    }

    /** One page alone. */
    public static function page(Canvas $canvas, string $page): Scene
    {
        $scene = $canvas->scene();

        return new Scene([$page => $scene->backdrop($page)], $scene->onPage($page));
    }

    /** @return array<int, PromptPage> by their numbers, from 0 */
    public static function pagesOf(Scene $scene): array
    {
        $pages = [];
        foreach (array_keys($scene->pages) as $n => $id) {
            $pages[$n] = new PromptPage(
                $scene->backdrop((string) $id),
                array_values(
                    array_map(
                        static fn (PlacedObject $placed): Placing => new Placing(
                            $placed->object,
                            $placed->place,
                            $placed->group,
                        ),
                        $scene->onPage((string) $id),
                    ),
                ),
            );
        }

        return $pages;
    }

    private function change(LiveSession $session, LeadSharing $seen): void
    {
        DB::transaction(function () use ($session, $seen): void {
            $session->update(['lead' => $seen]);
            $this->room->tell($session);
        });
    }
}
