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
use Crag\Canvas\UnreadableOperation;
use Crag\Prompt\Backdrop;
use Crag\Prompt\PromptPages;
use Illuminate\Support\Facades\DB;
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
        if ($canvas->wasRecentlyCreated) {
            $this->lay($canvas, $prompt->pagesValue(), true);
            foreach ($prompt->pieces as $body) {
                $this->putPieces($canvas, $body);
            }
        }

        return $canvas;
    }

    /** The teacher's own canvas for a prompt. */
    public function lead(Prompt $prompt): Canvas
    {
        $lead = static fn (): ?Canvas => Canvas::query()->where('prompt_id', $prompt->id)->whereNull('seat_id')->first();

        return $lead() ?? DB::transaction(fn (): Canvas => $lead() ?? tap(
            Canvas::query()->create(['prompt_id' => $prompt->id, 'seat_id' => null, 'live_session_id' => $prompt->live_session_id]),
            fn (Canvas $canvas) => $this->lay($canvas, $prompt->pagesValue(), false),
        ));
    }

    /**
     * Puts what was prepared onto a canvas with nothing on it.
     *
     * @param  bool  $apart  whether pieces are for a student to move
     */
    public function lay(Canvas $canvas, PromptPages $pages, bool $apart): void
    {
        $at = Clock::ms();
        $operations = $pages->operations(static fn (): string => (string) Str::ulid(), $apart);
        $this->take($canvas, array_map(static fn (array $one): array => $one + ['at' => $at], $operations));
    }

    public function putUnder(Canvas $canvas, Backdrop $backdrop): void
    {
        $this->append($canvas, Kind::Backdrop, Layer::Lead, ['backdrop' => $backdrop->toArray()]);
    }

    /** @param  array<string, mixed>  $body  of an operation that adds pieces */
    public function putPieces(Canvas $canvas, array $body): void
    {
        $this->append($canvas, Kind::Add, Layer::Pieces, $body);
    }

    /** @param  array<string, mixed>  $body */
    private function append(Canvas $canvas, Kind $kind, Layer $layer, array $body): void
    {
        $this->take($canvas, [[
            'id' => (string) Str::ulid(),
            'kind' => $kind->value,
            'layer' => $layer->value,
            'at' => Clock::ms(),
            'body' => $body,
        ]]);
    }

    /** @param  list<array<string, mixed>>  $operations */
    private function take(Canvas $canvas, array $operations): void
    {
        $answer = $operations === [] ? ['refused' => []] : ($this->append)($canvas, Author::teacher(), $operations);
        if ($answer['refused'] !== []) {
            throw UnreadableOperation::badValue('body', 'was refused: '.$answer['refused'][0]['reason']);
        }
    }
}
