<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Backdrop\Backdrop;

/** Puts a backdrop under all ink; no ink is touched. */
final readonly class SetBackdrop implements Effect
{
    private function __construct(public Backdrop $backdrop, public string $page)
    {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        return new self(Backdrop::read($body->object('backdrop')), Add::page($body));
    }

    public function kind(): OperationKind
    {
        return OperationKind::Backdrop;
    }

    public function toArray(): array
    {
        return ['backdrop' => $this->backdrop->toArray()] + ($this->page === '' ? [] : ['page' => $this->page]);
    }

    public function targets(): array
    {
        return $this->page === '' ? [] : [$this->page];
    }

    public function madeWith(): array
    {
        return [];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        $draft->putUnder($this->page, $this->backdrop);
    }
}
