<?php

declare(strict_types=1);

namespace Crag\Canvas;

/** What is known of an operation that another one refers to. */
final readonly class Known
{
    /** @param  ?string  $objectType the type that an add put on the page; null for other kinds */
    public function __construct(
        public Kind $kind,
        public Layer $layer,
        public Author $author,
        public ?string $objectType = null,
    ) {
    }

    public static function of(Operation $operation): self
    {
        $effect = $operation->effect;
        $type = $effect instanceof Operation\Add ? $effect->object->toArray()['type'] : null;

        return new self($effect->kind(), $operation->layer, $operation->author, is_string($type) ? $type : null);
    }
}
