<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Crag\Canvas\Object\ObjectId;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\AddPage;
use Crag\Canvas\Operation\Answer;
use Crag\Canvas\Operation\Arrange;
use Crag\Canvas\Operation\ArrangePage;
use Crag\Canvas\Operation\Change;
use Crag\Canvas\Operation\Clear;
use Crag\Canvas\Operation\Cut;
use Crag\Canvas\Operation\Effect;
use Crag\Canvas\Operation\GiveBack;
use Crag\Canvas\Operation\Reinstate;
use Crag\Canvas\Operation\Remove;
use Crag\Canvas\Operation\SetBackdrop;
use Crag\Canvas\Operation\StartFresh;
use Crag\Canvas\Operation\Straighten;
use Crag\Canvas\Operation\Withdraw;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\ToolTray;

/**
 * One entry of a canvas's log: who did what, on which layer, when.
 *
 * JSON form: {"id": text, "kind": text, "layer": text, "at": milliseconds since 1970, "body": {…}}.
 */
final readonly class Operation
{
    private const LATEST_MS = 32_503_680_000_000;

    public function __construct(
        public OperationId $id,
        public Layer $layer,
        public Author $author,
        public int $madeAtMs,
        public Effect $effect,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $json  the decoded JSON form
     * @param  bool  $kept  whether it comes from a log, which holds only what was checked
     *
     * @throws UnreadableFields
     */
    public static function read(array $json, Author $author, bool $kept = false): self
    {
        $fields = new Fields($json, $kept);
        $layer = Layer::tryFrom($fields->text('layer')) ?? throw UnreadableFields::missing('layer');

        return new self(
            $kept ? OperationId::kept($fields->text('id')) : OperationId::from($json['id'] ?? null),
            $layer,
            $author,
            $fields->whole('at', 0, self::LATEST_MS),
            self::effect($fields->text('kind'), $fields->object('body')),
        );
    }

    /**
     * @return ?string the id of the page that it names, "" for the first; null where it names objects or no page at all
     */
    public function page(): ?string
    {
        $effect = $this->effect;

        return $effect instanceof Add || $effect instanceof Clear || $effect instanceof SetBackdrop
            ? $effect->page
            : null;
    }

    /** Whether its author could make it with these tools. A teacher has every tool. */
    public function fits(ToolTray $tray): bool
    {
        if ($this->author->is(Author::teacher())) {
            return true;
        }
        foreach ($this->effect->madeWith() as $any) {
            if (array_filter($any, $tray->has(...)) === []) {
                return false;
            }
        }

        return true;
    }

    /** @return array{id: string, kind: string, layer: string, at: int, body: array<string, mixed>|object} */
    public function toArray(): array
    {
        return [
            'id' => $this->id->value,
            'kind' => $this->effect->kind()->value,
            'layer' => $this->layer->value,
            'at' => $this->madeAtMs,
            'body' => $this->effect->toArray() ?: (object) [],
        ];
    }

    private static function effect(string $kind, Fields $body): Effect
    {
        return match (OperationKind::tryFrom($kind) ?? throw UnreadableOperation::unknownKind($kind)) {
            OperationKind::Add => Add::read($body),
            OperationKind::Change => Change::read($body),
            OperationKind::Remove => new Remove(ObjectId::allIn($body, 'targets')),
            OperationKind::Cut => Cut::read($body),
            OperationKind::Straighten => Straighten::read($body),
            OperationKind::Arrange => Arrange::read($body),
            OperationKind::Clear => Clear::read($body),
            OperationKind::Page => new AddPage(),
            OperationKind::ArrangePage => ArrangePage::read($body),
            OperationKind::Backdrop => SetBackdrop::read($body),
            OperationKind::Fresh => new StartFresh(),
            OperationKind::GiveBack => new GiveBack(self::target($body)),
            OperationKind::Answer => Answer::read($body),
            OperationKind::Withdraw => new Withdraw(self::target($body)),
            OperationKind::Reinstate => new Reinstate(self::target($body)),
        };
    }

    /** What undo, redo and giving back name: a whole operation, never one object of it. */
    private static function target(Fields $body): string
    {
        return $body->kept ? $body->text('target') : OperationId::from($body->text('target'))->value;
    }
}
