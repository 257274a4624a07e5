<?php

declare(strict_types=1);

namespace Crag\Plan;

use Closure;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\MayAppend;
use Crag\Canvas\Log\OperationKind;
use Crag\Canvas\Object\Handled;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Operation\Add;
use Crag\Canvas\Operation\Placing;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Backdrop\Backdrop;

/** All that is drawn for a prompt, page by page, free of any canvas's ids: it can be put onto any empty canvas. */
final readonly class PromptPages
{
    /** @param  non-empty-list<PromptPage>  $pages */
    private function __construct(public array $pages)
    {
    }

    public static function blank(): self
    {
        return new self([new PromptPage(Backdrop::blank())]);
    }

    /** @param  non-empty-list<PromptPage>  $pages */
    public static function of(array $pages): self
    {
        return new self(array_slice($pages, 0, MayAppend::MOST_PAGES));
    }

    /** What is on a canvas. Groups are named anew, so that equal drawings have equal forms. */
    public static function from(Scene $scene): self
    {
        $pages = [];
        foreach ($scene->pages as $id => $backdrop) {
            $groups = [];
            $placings = [];
            foreach ($scene->onPage((string) $id) as $placed) {
                $group = $placed->group === '' ? '' : ($groups[$placed->group] ??= 'g'.(count($groups) + 1));
                $placings[] = new Placing($placed->object, $placed->place, $group);
            }
            $pages[] = new PromptPage($backdrop, $placings);
        }

        return $pages === [] ? self::blank() : new self($pages);
    }

    /**
     * @param  array<array-key, mixed>  $json  a list of pages
     *
     * @throws UnreadableFields
     */
    public static function read(array $json, bool $kept = false): self
    {
        $pages = array_map(
            PromptPage::read(...),
            (new Fields(['pages' => $json], $kept))->objects('pages', MayAppend::MOST_PAGES),
        );

        return $pages === [] ? throw UnreadableFields::missing('pages') : new self($pages);
    }

    /** @return non-empty-list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(static fn (PromptPage $page): array => $page->toArray(), $this->pages);
    }

    /** As what students may see is made of it. */
    public function withoutKey(): self
    {
        return new self(
            array_map(
                static fn (PromptPage $page): PromptPage => new PromptPage(
                    $page->backdrop,
                    array_map(static fn (Placing $placing): Placing => $placing->withoutKey(), $page->placings),
                ),
                $this->pages,
            ),
        );
    }

    /** As a scene of its own, to be drawn. */
    public function scene(): Scene
    {
        $pages = $placed = [];
        foreach ($this->pages as $n => $page) {
            $id = $n === 0 ? '' : "page{$n}";
            $pages[$id] = $page->backdrop;
            foreach ($page->placings as $i => $placing) {
                $layer = $placing->object instanceof Handled ? Layer::Pieces : Layer::Lead;
                $placed["object{$n}.{$i}"] = new PlacedObject(
                    $layer,
                    $id,
                    $placing->object,
                    $placing->place,
                    $placing->group,
                );
            }
        }

        return new Scene($pages, $placed);
    }

    public function isBlank(): bool
    {
        return count($this->pages) === 1 &&
            $this->first()->isPlain() &&
            $this->pages[0]->placings === [];
    }

    public function first(): Backdrop
    {
        return $this->pages[0]->backdrop;
    }

    /**
     * The operations that put it onto an empty canvas.
     *
     * @param  Closure(): string  $newId  makes operations' ids
     * @param  bool  $apart  whether pieces go onto their own layer, for students, or stay with what is drawn around
     *      them
     * @return list<array{id: string, kind: string, layer: string, body: array<string, mixed>}> without their times
     */
    public function operations(Closure $newId, bool $apart): array
    {
        $operations = [];
        foreach ($this->pages as $n => $page) {
            $on = [];
            if ($n > 0) {
                $operations[] = $added = self::operation($newId(), OperationKind::Page, Layer::Lead, []);
                $on = ['page' => $added['id']];
            }
            if ($n > 0 || ! $page->backdrop->isPlain()) {
                $operations[] = self::operation(
                    $newId(),
                    OperationKind::Backdrop,
                    Layer::Lead,
                    ['backdrop' => $page->backdrop->toArray()] + $on,
                );
            }
            $layers = $apart
                ? [[Layer::Lead, $page->placings(false)], [Layer::Pieces, $page->placings(true)]]
                : [[Layer::Lead, $page->placings]];
            foreach ($layers as [$layer, $placings]) {
                foreach (array_chunk($placings, Add::MOST_OBJECTS) as $some) {
                    $objects = array_map(
                        static fn (Placing $one): array => ($apart ? $one->withoutKey() : $one)->toArray(),
                        $some,
                    );
                    $operations[] = self::operation(
                        $newId(),
                        OperationKind::Add,
                        $layer,
                        ['objects' => $objects] + $on,
                    );
                }
            }
        }

        return $operations;
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
