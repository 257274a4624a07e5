<?php

declare(strict_types=1);

namespace Crag\Plan;

use Crag\Canvas\Log\MayAppend;
use Crag\Canvas\Object\Handled;
use Crag\Canvas\Operation\Placing;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Backdrop\Backdrop;

/** One page of what is drawn for a prompt: its backdrop, and in drawing order the diagram and the pieces. */
final readonly class PromptPage
{
    /** @param  list<Placing>  $placings */
    public function __construct(public Backdrop $backdrop, public array $placings = [])
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $placings = [];
        foreach ($fields->list('objects', 0, MayAppend::MOST_OBJECTS) as $one) {
            $placings[] = Placing::read(
                new Fields(is_array($one) ? $one : throw UnreadableFields::missing('objects'), $fields->kept),
            );
        }

        return new self(Backdrop::read($fields->object('backdrop')), $placings);
    }

    /** @return array{backdrop: array<string, mixed>, objects: list<array<string, mixed>>} */
    public function toArray(): array
    {
        return [
            'backdrop' => $this->backdrop->toArray(),
            'objects' => array_map(static fn (Placing $placing): array => $placing->toArray(), $this->placings),
        ];
    }

    /** @return list<Placing> pieces and constructions alone, or all but these */
    public function placings(bool $pieces): array
    {
        return array_values(
            array_filter(
                $this->placings,
                static fn (Placing $placing): bool => $placing->object instanceof Handled === $pieces,
            ),
        );
    }
}
