<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Crag\Canvas\Operation\Reinstate;
use Crag\Canvas\Operation\Withdraw;

/**
 * What one author can undo and redo on one layer. Undo takes the author's latest operation that still counts;
 * redo the one undone last; doing something new forgets what could be redone.
 */
final readonly class History
{
    /**
     * @param  list<string>  $undoable  ids, the next to undo last
     * @param  list<string>  $redoable  ids, the next to redo last
     */
    private function __construct(private array $undoable, private array $redoable)
    {
    }

    /** @param  iterable<Operation>  $log in the order of the log */
    public static function of(iterable $log, Author $author, Layer $layer): self
    {
        $inForce = InForce::of($log) ?? throw new \LogicException('A whole log always tells.');
        $undoable = $redoable = [];
        foreach ($inForce->kept as $operation) {
            // What a fresh start put away is the teacher's to give back.
            if ($operation->effect->kind() === OperationKind::Fresh && ! $inForce->isWithdrawn($operation)) {
                $undoable = $redoable = [];
            }
            if ($operation->layer !== $layer || ! $operation->author->is($author)) {
                continue;
            }
            $effect = $operation->effect;
            // A page of private notes only stands beside a page of the canvas.
            if ($layer === Layer::Private && $effect->kind() === OperationKind::Page) {
                continue;
            }
            if ($effect->kind()->isUndoable()) {
                $undoable[] = $operation->id->value;
                $redoable = [];
            } elseif ($effect instanceof Withdraw) {
                $undoable = self::without($undoable, $effect->target);
                $redoable[] = $effect->target;
            } elseif ($effect instanceof Reinstate) {
                $redoable = self::without($redoable, $effect->target);
                $undoable[] = $effect->target;
            }
        }

        return new self($undoable, $redoable);
    }

    /** The id to withdraw next, or null when there is nothing left to undo. */
    public function undo(): ?string
    {
        return $this->undoable === [] ? null : $this->undoable[count($this->undoable) - 1];
    }

    /** The id to reinstate next, or null when there is nothing to redo. */
    public function redo(): ?string
    {
        return $this->redoable === [] ? null : $this->redoable[count($this->redoable) - 1];
    }

    /**
     * @param  list<string>  $ids
     * @return list<string>
     */
    private static function without(array $ids, string $id): array
    {
        return array_values(array_filter($ids, static fn (string $one): bool => $one !== $id));
    }
}
