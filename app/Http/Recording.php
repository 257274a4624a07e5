<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\TalkThrough;
use App\Models\Teachers\Teacher;
use App\Sessions\Work\TalkOver;
use Crag\Formats\UnreadableSound;
use Crag\Session\Room\TalkLimits;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What somebody said, as a page sends it: the sound as the body, what belongs to it in the address. */
final readonly class Recording
{
    private function __construct(private string $bytes, private int $beganAtMs, private string $words)
    {
    }

    public static function of(Request $request, LiveSession $session): self
    {
        $request->validate([
            'began' => ['required', 'integer', 'min:0'],
            'words' => ['nullable', 'string', 'max:'.TalkLimits::LONGEST_WORDS],
        ]);
        $most = $session->mayFilm() ? TalkLimits::MOST_FILMED_BYTES : TalkLimits::MOST_BYTES;
        $bytes = $request->getContent();
        abort_if(strlen($bytes) > $most, 422, __('That recording is too large.'));

        return new self($bytes, $request->integer('began'), $request->string('words')->trim()->toString());
    }

    public function take(TalkOver $talk, LiveSession $session, Seat|Teacher $by, Canvas $canvas): TalkThrough
    {
        $own = TalkThrough::query()
            ->where('canvas_id', $canvas->id)
            ->where($by instanceof Seat ? 'seat_id' : 'teacher_id', $by->id);
        abort_if(
            $own->count() >= TalkLimits::MOST_ON_A_CANVAS,
            409,
            $by instanceof Seat
                ? __('You’ve sent enough talk-throughs for this canvas.')
                : __('There are enough spoken notes on this canvas. Remove one first.'),
        );
        try {
            return $talk($session, $by, $canvas, $this->bytes, $this->beganAtMs, $this->words);
        } catch (UnreadableSound $problem) {
            abort(422, __($problem->getMessage()));
        }
    }

    public static function played(TalkThrough $talk): BinaryFileResponse
    {
        return response()->file($talk->path(), [
            'Content-Type' => $talk->mime(),
            'Cache-Control' => 'private, max-age=3600',
        ]);
    }
}
