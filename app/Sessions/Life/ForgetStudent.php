<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Canvas\Together;
use App\Database\Wipe;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Publisher;
use App\Models\Asks\AskAnswer;
use App\Models\Asset;
use App\Models\Canvas;
use App\Models\Event;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Record;
use App\Models\Seat;
use App\Models\TalkThrough;
use App\Sessions\Show\ShowToClass;
use App\Sessions\Watch\DeskLooks;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/**
 * Removes everything of one student from a session: rows, pictures, what was said about the seat, and records that show
 * it.
 */
final readonly class ForgetStudent
{
    public function __construct(
        private Publisher $publisher,
        private Announce $announce,
        private ShowToClass $shown,
        private Together $together,
    ) {
    }

    /**
     * Those who came in a moment ago and have drawn nothing: a joke, or a script. Their places are free again.
     *
     * @return int how many went
     */
    public function fresh(LiveSession $session): int
    {
        $seats = $session->freshSeats()->get();
        $seats->each(fn (Seat $seat) => $this($session, $seat));

        return $seats->count();
    }

    public function __invoke(LiveSession $session, Seat $seat): void
    {
        $files = [];
        DB::transaction(function () use ($session, $seat, &$files): void {
            // What they said, and what was said about their work.
            $talks = TalkThrough::query()
                ->where('seat_id', $seat->id)
                ->orWhereIn('canvas_id', $seat->canvases()->select('id'));
            foreach ($talks->get() as $talk) {
                $files[] = $talk->path();
                $talk->delete();
            }
            foreach (Asset::query()->where('seat_id', $seat->id)->get() as $asset) {
                $files[] = $asset->path();
                $asset->delete();
            }
            // Exports show the whole class: they are made anew when somebody wants them.
            foreach (Record::query()->where('live_session_id', $session->id)->get() as $record) {
                $files[] = $record->path();
                $record->delete();
            }
            foreach ($session->asks()->get() as $ask) {
                AskAnswer::query()->where('ask_id', $ask->id)->where('voter', $ask->voter($seat))->delete();
                if ($ask->seats !== null) {
                    $ask->update(['seats' => array_values(array_diff($ask->seats, [$seat->id]))]);
                }
            }
            // Streams have no gaps: what was told of the seat keeps its number and loses its words.
            $events = Event::query()->where('live_session_id', $session->id);
            (clone $events)->where('audience', Audience::seat($seat)->name)->delete();
            $events->where('body', 'like', "%{$seat->id}%")->update(['type' => 'gone', 'body' => '{}']);
            $seat->canvases()->get()->each->delete();
            // What was drawn together is the others' work too: it stays, and nothing says who drew it.
            foreach ($seat->memberships()->get() as $in) {
                LoggedOperation::query()
                    ->whereIn('canvas_id', Canvas::query()->where('seat_id', $in->group_id)->select('id'))
                    ->where('seat_id', $seat->id)
                    ->update(['seat_id' => $in->group_id]);
            }
            $this->together->countOut($seat);
            DeskLooks::forgetOf($seat->live_session_id);
            // Whoever claimed to be this student claims it no more.
            Seat::query()
                ->where('claims_id', $seat->id)
                ->update(['claims_id' => null]);
            $seat->delete();
            if ($session->isRunning()) {
                ($this->announce)($session, Audience::desk($session), 'seats');
            }
            if ($session->isRunning()) {
                $this->shown->again($session->refresh());
            }
        });
        $this->publisher->close(Audience::seat($seat));
        File::delete($files);
        Wipe::afterForgetting();
    }
}
