<?php

declare(strict_types=1);

namespace Crag\Canvas\Operation;

use Crag\Canvas\Log\MayAppend;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\SceneDraft;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Tray\Tool;

/**
 * Moves a page that its author added to another place among the pages, rules it anew, or takes it out with what stands
 * on it. The first page stays the first: it belongs to the prompt.
 */
final readonly class ArrangePage implements Effect
{
    private function __construct(
        public string $page,
        private ?int $to,
        private ?Backdrop $ruling,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $body): self
    {
        $page = ObjectId::in($body, 'page');
        $ruling = $body->has('ruling') ? Backdrop::read($body->object('ruling')) : null;
        if ($ruling?->isRuling() === false) {
            throw UnreadableFields::badValue('ruling', 'is a picture');
        }
        $to = $body->has('to') ? $body->whole('to', 1, MayAppend::MOST_PAGES) : null;
        if (($to === null ? 0 : 1) + ($ruling === null ? 0 : 1) + ($body->flag('gone') ? 1 : 0) !== 1) {
            throw UnreadableFields::badValue('page', 'is not moved, ruled or taken out, one of the three');
        }

        return new self($page, $to, $ruling);
    }

    public function kind(): OperationKind
    {
        return OperationKind::ArrangePage;
    }

    public function toArray(): array
    {
        return ['page' => $this->page] +
            match (true) {
                $this->to !== null => ['to' => $this->to],
                $this->ruling !== null => ['ruling' => $this->ruling->toArray()],
                default => ['gone' => true],
            };
    }

    public function targets(): array
    {
        return [$this->page];
    }

    public function madeWith(): array
    {
        return [[Tool::Pages]];
    }

    public function apply(SceneDraft $draft, Operation $operation): void
    {
        if ($draft->layerOfPage($this->page) !== $operation->layer) {
            return;
        }
        if ($this->to !== null) {
            $draft->movePage($this->page, $this->to);
        } elseif ($this->ruling !== null) {
            $draft->rulePage($this->page, $this->ruling);
        } else {
            $draft->takePage($this->page);
        }
    }
}
