<?php

declare(strict_types=1);

namespace App\Records;

use App\Live\SchoolTime;
use App\Models\LiveSession;
use App\Models\Show\Offer;
use App\Pictures\EmbeddedPictures;
use App\Sessions\Room\EachSeat;
use Crag\Canvas\Scene;
use Crag\Render\BoardCell;
use Crag\Render\BoardSheet;
use Crag\Session\Screen\OfferState;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/** The board of offered work on paper. Names stand there as the class sees them. */
final class PrintBoard
{
    /** @return string a file, the caller's to delete */
    public function __invoke(LiveSession $session): string
    {
        $folder = sys_get_temp_dir().'/crag-board-'.Str::random(12);
        File::makeDirectory($folder, 0o700);
        try {
            $files = [];
            foreach (
                BoardSheet::documents(
                    $session->title,
                    SchoolTime::of($session->created_at)->format('Y-m-d'),
                    self::columns($session),
                    new EmbeddedPictures($session),
                ) as $i => $svg
            ) {
                file_put_contents($files[] = sprintf('%s/%04d.svg', $folder, $i), $svg);
            }
            Rsvg::pdf($files, $to = "{$folder}.pdf");

            return $to;
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** @return non-empty-list<array{string, list<BoardCell>}> */
    private static function columns(LiveSession $session): array
    {
        $offers = $session
            ->offers()
            ->where('state', OfferState::Accepted)
            ->with('seat', 'canvas')
            ->get()
            ->sortBy('place')
            ->groupBy('column');

        return array_map(
            static fn (string $heading, int $column): array => [
                $heading,
                array_values(
                    ($offers[$column] ?? collect())
                        ->map(static fn (Offer $offer): BoardCell => EachSeat::read(
                            $offer->seat_id,
                            static fn (): BoardCell => self::cell($session, $offer, $offer->scene()),
                            static fn (): BoardCell => self::cell($session, $offer, Scene::fold([])),
                        ))
                        ->all(),
                ),
            ],
            $session->board->headings,
            array_keys($session->board->headings),
        );
    }

    private static function cell(LiveSession $session, Offer $offer, Scene $scene): BoardCell
    {
        $name = $session->settings->shownNames->show($offer->seat->name, $offer->seat->seatName());

        return new BoardCell(trim("{$offer->number} {$name}"), $offer->words, $scene, $offer->page, $offer->cut);
    }
}
