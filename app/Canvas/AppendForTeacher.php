<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Clock;
use App\Models\Canvas;
use App\Models\LoggedOperation;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\InForce;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\Manipulative;
use Crag\Canvas\Operation\Add;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Plan\Handout;
use Crag\Plan\PromptPages;
use Crag\Prompt\Backdrop\Backdrop;
use Illuminate\Support\Str;

/**
 * What teachers put onto canvases: prepared pages, backdrops, what is handed out. Each way gives the ids of its
 * operations.
 */
final readonly class AppendForTeacher
{
    public function __construct(private AppendOperations $append)
    {
    }

    /**
     * What was prepared, onto a canvas with nothing on it.
     *
     * @param  bool  $apart  whether pieces are for a student to move
     */
    public function pages(Canvas $canvas, PromptPages $pages, bool $apart): void
    {
        $this->take($canvas, self::withValues($canvas, $pages->operations($this->newId(...), $apart)));
    }

    /**
     * What was prepared and what the others were handed out, onto a canvas that has only just been made: together, as
     * far as nothing depends on what lies there by then.
     *
     * @param  ?PromptPages  $pages  null where they lie there already
     * @param  list<Handout>  $handouts
     * @return list<list<string>> of each handout
     */
    public function first(Canvas $canvas, ?PromptPages $pages, array $handouts): array
    {
        $waiting = $pages === null ? [] : self::withValues($canvas, $pages->operations($this->newId(...), true));
        $ids = [];
        foreach ($handouts as $handout) {
            if (! self::isOfOnePage($handout)) {
                $this->take($canvas, $waiting);
                $waiting = [];
            }
            $operations = $this->operations($canvas, $handout);
            $ids[] = array_column($operations, 'id');
            array_push($waiting, ...$operations);
        }
        $this->take($canvas, $waiting);

        return $ids;
    }

    /** @return list<string> */
    public function handout(Canvas $canvas, Handout $handout): array
    {
        return $this->take($canvas, $this->operations($canvas, $handout));
    }

    /** @return list<array{id: string, kind: string, layer: string, body: array<string, mixed>}> */
    private function operations(Canvas $canvas, Handout $handout): array
    {
        $pages = self::isOfOnePage($handout) ? [''] : array_map(strval(...), array_keys($canvas->scene()->pages));

        return self::withValues($canvas, $handout->operations($pages, $this->newId(...)));
    }

    private static function isOfOnePage(Handout $handout): bool
    {
        return array_key_last($handout->pages) === 0;
    }

    /**
     * Manipulatives with the values that the canvas's student has.
     *
     * @param  list<array{id: string, kind: string, layer: string, body: array<string, mixed>}>  $operations
     * @return list<array{id: string, kind: string, layer: string, body: array<string, mixed>}>
     */
    private static function withValues(Canvas $canvas, array $operations): array
    {
        $seat = $canvas->seat;
        if ($seat === null) {
            return $operations;
        }
        $draw = null;
        foreach ($operations as $i => $operation) {
            foreach (is_array($operation['body']['objects'] ?? null) ? $operation['body']['objects'] : [] as $n => $one) {
                if (is_array($one) && ($one['object']['type'] ?? '') === Manipulative::TYPE) {
                    $draw ??= $canvas->prompt->value()->drawFor($canvas->prompt->id, $seat->n);
                    $object = Manipulative::read(new Fields((array) $one['object'], true))->filled($draw);
                    $operations[$i]['body']['objects'][$n]['object'] = $object->toArray();
                }
            }
        }

        return $operations;
    }

    public function backdrop(Canvas $canvas, Backdrop $backdrop): string
    {
        return $this->take($canvas, [
            self::operation($this->newId(), OperationKind::Backdrop, ['backdrop' => $backdrop->toArray()]),
        ])[0];
    }

    /**
     * The canvas as it was just after an operation.
     *
     * @return string the id of what gave it back
     */
    public function earlier(Canvas $canvas, string $operation): string
    {
        return $this->take($canvas, [
            self::operation($this->newId(), OperationKind::GiveBack, ['target' => $operation]),
        ])[0];
    }

    /**
     * The canvas as it was before it was last emptied, by whomever.
     *
     * @return ?string the id of what gave it back; null where it was never emptied
     */
    public function beforeEmptied(Canvas $canvas): ?string
    {
        $to = InForce::of(LoggedOperation::read($canvas->operations()))?->beforeEmptied();

        return $to === null ? null : $this->earlier($canvas, $to);
    }

    /**
     * One page more, with what lies on it.
     *
     * @param  list<array<string, mixed>>  $objects  placings in their JSON form
     */
    public function newPage(Canvas $canvas, Backdrop $backdrop, array $objects): void
    {
        $page = $this->newId();
        $operations = [
            self::operation($page, OperationKind::Page, []),
            self::operation($this->newId(), OperationKind::Backdrop, [
                'page' => $page,
                'backdrop' => $backdrop->toArray(),
            ]),
        ];
        foreach (array_chunk($objects, Add::MOST_OBJECTS) as $some) {
            $operations[] = self::operation($this->newId(), OperationKind::Add, ['page' => $page, 'objects' => $some]);
        }
        $this->take($canvas, $operations);
    }

    /**
     * Takes back what was put there. A page stays where a student has worked on it since, or more was handed out on it.
     *
     * @param  array<array-key, mixed>  $ids  in the order in which they were put
     */
    public function withdraw(Canvas $canvas, array $ids): void
    {
        $ids = array_map(strval(...), array_filter($ids, is_string(...)));
        $pages = LoggedOperation::query()
            ->where('canvas_id', $canvas->id)
            ->whereIn('op_id', $ids)
            ->where('kind', OperationKind::Page->value)
            ->pluck('op_id')
            ->all();
        $scene = $pages === [] ? null : $canvas->scene();
        $isOthers = static fn (int|string $object): bool => ! in_array(strtok((string) $object, '.'), $ids, true);
        $used = array_filter(
            $pages,
            static fn (mixed $page): bool => $scene !== null &&
                array_filter(array_keys($scene->onPage((string) $page)), $isOthers) !== [],
        );
        $operations = [];
        foreach (array_reverse(array_diff($ids, $used)) as $id) {
            $operations[] = self::operation($this->newId(), OperationKind::Withdraw, ['target' => $id]);
        }
        $this->take($canvas, $operations);
    }

    private function newId(): string
    {
        return (string) Str::ulid();
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{id: string, kind: string, layer: string, body: array<string, mixed>}
     */
    private static function operation(string $id, OperationKind $kind, array $body): array
    {
        return ['id' => $id, 'kind' => $kind->value, 'layer' => Layer::Lead->value, 'body' => $body];
    }

    /**
     * @param  list<array{id: string, kind: string, layer: string, body: array<string, mixed>}>  $operations
     * @return list<string>
     */
    private function take(Canvas $canvas, array $operations): array
    {
        $at = Clock::ms();
        $answer =
            $operations === []
                ? ['refused' => []]
                : ($this->append)(
                    $canvas,
                    Author::teacher(),
                    array_map(static fn (array $one): array => $one + ['at' => $at], $operations),
                );
        if ($answer['refused'] !== []) {
            throw UnreadableFields::badValue('body', 'was refused: '.$answer['refused'][0]['reason']);
        }

        return array_column($operations, 'id');
    }
}
