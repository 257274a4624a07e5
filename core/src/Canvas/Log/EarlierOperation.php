<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\Cut;
use Crag\Canvas\Operation\Straighten;

/** What is known of an operation that another one refers to. */
final readonly class EarlierOperation
{
    /**
     * @param  array<string, string>  $types  the types of what it put on the page, by what follows its own id in
     *      theirs:
     *                                        "" for a single object, ".0", ".1" … for several
     */
    public function __construct(
        public OperationKind $kind,
        public Layer $layer,
        public Author $author,
        public array $types = [],
    ) {
    }

    public static function of(Operation $operation): self
    {
        $effect = $operation->effect;
        $types = match (true) {
            $effect instanceof Add => $effect->types(),
            $effect instanceof Cut => $effect->types(),
            $effect instanceof Straighten => $effect->types(),
            default => [],
        };

        return new self($effect->kind(), $operation->layer, $operation->author, $types);
    }

    /** The type of the object called by this id, or null when the operation put no such thing on the page. */
    public function typeOf(string $objectId): ?string
    {
        return $this->types[(string) strstr($objectId, '.')] ?? null;
    }
}
