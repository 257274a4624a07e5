<?php

declare(strict_types=1);

namespace Crag\Canvas;

use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Operation\Reinstate;
use Crag\Canvas\Operation\Withdraw;
use Crag\Prompt\Backdrop;

/** A log folded: what is on the page now. Objects stand in the order in which they are drawn. */
final readonly class Scene
{
    /**
     * @param  array<string, CanvasObject>  $objects  by id
     * @param  array<string, Layer>  $layers  by the same ids
     */
    public function __construct(public Backdrop $backdrop, public array $objects, public array $layers)
    {
    }

    /**
     * Operations in the order of the log. One that comes again, known by its id, changes nothing.
     *
     * @param  iterable<Operation>  $log
     */
    public static function fold(iterable $log): self
    {
        $operations = $withdrawn = [];
        foreach ($log as $operation) {
            $id = $operation->id->value;
            if (isset($operations[$id])) {
                continue;
            }
            $operations[$id] = $operation;
            if ($operation->effect instanceof Withdraw) {
                $withdrawn[$operation->effect->target] = true;
            } elseif ($operation->effect instanceof Reinstate) {
                unset($withdrawn[$operation->effect->target]);
            }
        }

        $draft = new SceneDraft;
        foreach ($operations as $id => $operation) {
            if (! isset($withdrawn[$id])) {
                $operation->effect->apply($draft, $operation);
            }
        }

        return $draft->finish();
    }

    public function isEmpty(): bool
    {
        return $this->objects === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'backdrop' => $this->backdrop->toArray(),
            'objects' => array_map(
                fn (string $id): array => [
                    'id' => $id,
                    'layer' => $this->layers[$id]->value,
                    'object' => $this->objects[$id]->toArray(),
                ],
                array_map(strval(...), array_keys($this->objects)),
            ),
        ];
    }
}
