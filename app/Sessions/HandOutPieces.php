<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Canvas\TakeCanvas;
use App\Models\Prompt;
use Crag\Canvas\Fields;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\Placing;
use Crag\Canvas\UnreadableOperation;
use Illuminate\Support\Facades\DB;

/** Puts pieces on every canvas of a prompt, and on those of students who come later. No ink is touched. */
final readonly class HandOutPieces
{
    public function __construct(private TakeCanvas $takeCanvas)
    {
    }

    /**
     * @param  array<array-key, mixed>  $objects  pieces in the form that an operation adds them
     * @return int how many canvases they went to
     *
     * @throws UnreadableOperation
     */
    public function __invoke(Prompt $prompt, array $objects): int
    {
        $add = Add::read(new Fields(['objects' => $objects]));
        $pieces = array_filter($add->placings, static fn (Placing $placing): bool => $placing->object instanceof Piece);
        if (count($pieces) !== count($add->placings)) {
            throw UnreadableOperation::badValue('objects', 'holds something that is not a piece');
        }

        return DB::transaction(function () use ($prompt, $add): int {
            $prompt->update(['pieces' => [...$prompt->pieces, $add->toArray()]]);
            $canvases = $prompt->canvases()->get();
            foreach ($canvases as $canvas) {
                $this->takeCanvas->putPieces($canvas, $add->toArray());
            }

            return $canvases->count();
        });
    }
}
