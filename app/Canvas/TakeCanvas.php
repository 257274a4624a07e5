<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Clock;
use App\Models\Canvas;
use App\Models\Prompt;
use App\Models\Seat;
use Crag\Canvas\Author;
use Crag\Canvas\Kind;
use Crag\Canvas\Layer;
use Crag\Prompt\Backdrop;
use Crag\Prompt\BackdropKind;
use Illuminate\Support\Str;

/** A seat's canvas for a prompt, made when it is first needed with what the others were handed out. */
final readonly class TakeCanvas
{
    public function __construct(private AppendOperations $append)
    {
    }

    public function __invoke(Seat $seat, Prompt $prompt): Canvas
    {
        $canvas = Canvas::query()->createOrFirst(
            ['prompt_id' => $prompt->id, 'seat_id' => $seat->id],
            ['live_session_id' => $seat->live_session_id],
        );
        if ($canvas->wasRecentlyCreated && $prompt->backdropValue()->kind !== BackdropKind::Blank) {
            $this->putUnder($canvas, $prompt->backdropValue());
        }

        return $canvas;
    }

    public function putUnder(Canvas $canvas, Backdrop $backdrop): void
    {
        ($this->append)($canvas, Author::teacher(), [[
            'id' => (string) Str::ulid(),
            'kind' => Kind::Backdrop->value,
            'layer' => Layer::Lead->value,
            'at' => Clock::ms(),
            'body' => ['backdrop' => $backdrop->toArray()],
        ]]);
    }
}
