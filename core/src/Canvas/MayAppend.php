<?php

declare(strict_types=1);

namespace Crag\Canvas;

use Crag\Canvas\Object\Text;

/**
 * Whether an operation may be appended to a canvas's log. It needs only what the log says of the operations
 * that the new one refers to, so that the answer costs the same on a full canvas as on an empty one.
 */
final readonly class MayAppend
{
    public const MOST_OPERATIONS = 50_000;

    /**
     * @param  int  $length  how many operations the log holds
     * @param  array<string, Known>  $known  the operations referred to that the log holds, by id
     */
    public function __construct(private int $length, private array $known)
    {
    }

    /** @throws RefusedOperation */
    public function check(Operation $operation): void
    {
        $kind = $operation->effect->kind();
        if (! $operation->layer->mayBeWrittenBy($operation->author)) {
            throw RefusedOperation::layer($operation->layer);
        }
        if ($kind === Kind::Backdrop && $operation->author->seat !== null) {
            throw RefusedOperation::onlyTheTeacher($kind);
        }
        if ($this->length >= self::MOST_OPERATIONS) {
            throw RefusedOperation::full(self::MOST_OPERATIONS);
        }
        foreach ($operation->effect->targets() as $id) {
            $this->checkTarget($operation, $kind, $id);
        }
    }

    private function checkTarget(Operation $operation, Kind $kind, string $id): void
    {
        $target = $this->known[$id] ?? throw RefusedOperation::unknownTarget($id);
        if ($target->layer !== $operation->layer || ! $target->author->is($operation->author)) {
            throw RefusedOperation::notYours($id);
        }
        $fits = match ($kind) {
            Kind::Change => $target->objectType === Text::TYPE,
            Kind::Remove => $target->kind === Kind::Add,
            Kind::Withdraw, Kind::Reinstate => $target->kind->isUndoable(),
            default => true,
        };
        if (! $fits) {
            throw RefusedOperation::notThatKind($id, $kind);
        }
    }
}
