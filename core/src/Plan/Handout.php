<?php

declare(strict_types=1);

namespace Crag\Plan;

use Closure;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\Handled;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\Order;
use Crag\Canvas\Operation\Placing;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/** Something that goes to canvases: pages, each for the page of its number, and how they lie there. */
final readonly class Handout
{
    /** @param  array<int, PromptPage>  $pages  by the number of the page that they go to, from 0 */
    private function __construct(public HandoutMode $mode, public array $pages)
    {
    }

    /**
     * @param  array<int, PromptPage>  $pages
     * @param  string  $alt  what pieces are called for those who do not see them
     *
     * @throws InvalidPages when there is nothing in it
     */
    public static function of(HandoutMode $mode, array $pages, string $alt = ''): self
    {
        if ($mode === HandoutMode::Fresh) {
            $pages = array_values($pages);
        } elseif ($mode === HandoutMode::Pieces) {
            $pages = array_filter(
                array_map(static fn (PromptPage $page): PromptPage => self::asPieces($page, $alt), $pages),
                static fn (PromptPage $page): bool => $page->placings !== [],
            );
        }

        return $pages === [] ? throw InvalidPages::empty() : new self($mode, $pages);
    }

    /**
     * @param  array<array-key, mixed>  $json
     *
     * @throws UnreadableFields
     */
    public static function read(array $json, bool $kept = false): self
    {
        $fields = new Fields($json, $kept);
        $pages = [];
        foreach ($fields->objects('pages', 100) as $page) {
            $pages[$page->whole('page', 0, 99)] = PromptPage::read($page);
        }

        return new self(HandoutMode::from($fields->text('mode')), $pages);
    }

    /** @return array{mode: string, pages: list<array<string, mixed>>} */
    public function toArray(): array
    {
        $pages = [];
        foreach ($this->pages as $n => $page) {
            $pages[] = ['page' => $n] + $page->toArray();
        }

        return ['mode' => $this->mode->value, 'pages' => $pages];
    }

    /**
     * The operations that put it onto a canvas. No ink is touched; a fresh start puts all of it away, to be given back
     * by withdrawing its first operation.
     *
     * @param  list<string>  $there  the ids of the canvas's pages
     * @param  Closure(): string  $newId  makes operations' ids
     * @return list<array{id: string, kind: string, layer: string, body: array<string, mixed>}> without their times
     */
    public function operations(array $there, Closure $newId): array
    {
        $operations = [];
        if ($this->mode === HandoutMode::Fresh) {
            $operations[] = self::operation($newId(), OperationKind::Fresh, Layer::Lead, []);
            $there = [''];
        }
        foreach ($this->pages as $n => $page) {
            while (count($there) <= $n) {
                $operations[] = $added = self::operation($newId(), OperationKind::Page, Layer::Lead, []);
                $there[] = $added['id'];
            }
            $on = $there[$n] === '' ? [] : ['page' => $there[$n]];
            if ($this->mode !== HandoutMode::Pieces && ! $page->backdrop->isPlain()) {
                $operations[] = self::operation(
                    $newId(),
                    OperationKind::Backdrop,
                    Layer::Lead,
                    ['backdrop' => $page->backdrop->toArray()] + $on,
                );
            }
            array_push(
                $operations,
                ...$this->under($page->placings(false), $on, $newId),
                ...self::put(Layer::Pieces, $page->placings(true), $on, $newId),
            );
        }

        return $operations;
    }

    /**
     * What is fixed goes behind all ink, the first of it farthest back.
     *
     * @param  list<Placing>  $placings
     * @param  array{page?: string}  $on
     * @param  Closure(): string  $newId
     * @return list<array{id: string, kind: string, layer: string, body: array<string, mixed>}>
     */
    private function under(array $placings, array $on, Closure $newId): array
    {
        $put = self::put(Layer::Lead, $placings, $on, $newId);
        $back = [];
        foreach ($this->mode === HandoutMode::Backdrop ? array_reverse($put) : [] as $add) {
            $count = is_array($add['body']['objects'] ?? null) ? count($add['body']['objects']) : 0;
            $targets = array_map(static fn (int $i): string => "{$add['id']}.{$i}", range(0, $count - 1));
            $back[] = self::operation($newId(), OperationKind::Arrange, Layer::Lead, [
                'targets' => $targets,
                'order' => Order::Back->value,
            ]);
        }

        return [...$put, ...$back];
    }

    /**
     * @param  list<Placing>  $placings
     * @param  array{page?: string}  $on
     * @param  Closure(): string  $newId
     * @return list<array{id: string, kind: string, layer: string, body: array<string, mixed>}>
     */
    private static function put(Layer $layer, array $placings, array $on, Closure $newId): array
    {
        $operations = [];
        foreach (array_chunk($placings, Add::MOST_OBJECTS) as $some) {
            $objects = array_map(static fn (Placing $placing): array => $placing->withoutKey()->toArray(), $some);
            $operations[] = self::operation($newId(), OperationKind::Add, $layer, ['objects' => $objects] + $on);
        }

        return $operations;
    }

    private static function asPieces(PromptPage $page, string $alt): PromptPage
    {
        $pieces = [];
        foreach ($page->placings as $i => $placing) {
            $name = count($page->placings) > 1 ? trim($alt).' '.($i + 1) : $alt;
            $piece =
                $placing->object instanceof Handled
                    ? $placing->object
                    : Piece::read(
                        new Fields([
                            'alt' => $name,
                            'locked' => false,
                            'stack' => false,
                            'of' => $placing->object->toArray(),
                        ]),
                    );
            $pieces[] = new Placing($piece, $placing->place, $placing->group);
        }

        return new PromptPage($page->backdrop, $pieces);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{id: string, kind: string, layer: string, body: array<string, mixed>}
     */
    private static function operation(string $id, OperationKind $kind, Layer $layer, array $body): array
    {
        return ['id' => $id, 'kind' => $kind->value, 'layer' => $layer->value, 'body' => $body];
    }
}
