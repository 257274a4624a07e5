<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Crag\Canvas\Operation\GiveBack;
use Crag\Canvas\Operation\Reinstate;
use Crag\Canvas\Operation\Withdraw;

/**
 * Which operations of a log are in force. Read from its end, so that what is put away by giving back an earlier state
 * has no say in anything: neither its strokes count nor its undoing.
 */
final readonly class InForce
{
    /**
     * @param  list<Operation>  $kept  in order, without those put away; those that were withdrawn among them
     * @param  array<string, true>  $withdrawn  by id
     */
    private function __construct(public array $kept, private array $withdrawn)
    {
    }

    /**
     * @param  iterable<Operation>  $log  in order; one that comes again, known by its id, changes nothing
     * @param  bool  $isWhole  whether it begins at the beginning
     * @return ?self null when it refers to something older than it: then only the whole log tells
     */
    public static function of(iterable $log, bool $isWhole = true): ?self
    {
        $operations = $places = [];
        foreach ($log as $operation) {
            if (! isset($places[$operation->id->value])) {
                $places[$operation->id->value] = count($operations);
                $operations[] = $operation;
            }
        }
        $kept = $isWithdrawn = [];
        for ($i = count($operations) - 1; $i >= 0; $i--) {
            $operation = $operations[$i];
            $effect = $operation->effect;
            $kept[] = $operation;
            if (! $effect instanceof Withdraw && ! $effect instanceof Reinstate && ! $effect instanceof GiveBack) {
                continue;
            }
            if (! isset($places[$effect->target]) && ! $isWhole) {
                return null;
            }
            if (! ($effect instanceof GiveBack)) {
                $isWithdrawn[$effect->target] ??= $effect instanceof Withdraw;
            } elseif (! ($isWithdrawn[$operation->id->value] ?? false)) {
                $i = min($i, ($places[$effect->target] ?? $i - 1) + 1);
            }
        }

        return new self(array_reverse($kept), array_fill_keys(array_keys(array_filter($isWithdrawn)), true));
    }

    /**
     * @return ?string the id of the operation before the last one that empties and holds; null where there is nothing
     *      before such a one
     */
    public function beforeEmptied(): ?string
    {
        for ($i = count($this->kept) - 1; $i > 0; $i--) {
            if ($this->kept[$i]->effect->kind()->empties() && ! $this->isWithdrawn($this->kept[$i])) {
                return $this->kept[$i - 1]->id->value;
            }
        }

        return null;
    }

    public function isWithdrawn(Operation $operation): bool
    {
        return isset($this->withdrawn[$operation->id->value]);
    }
}
