<?php

declare(strict_types=1);

namespace Crag\Session\Screen;

use Crag\Canvas\Log\Operation;

/** What students have of the teacher's lead canvas: a page to look at, and its ink under their own. */
final readonly class LeadSharing
{
    /**
     * @param  ?string  $canvas  the canvas that they may look at; null for none
     * @param  string  $page  the id of its page
     * @param  ?string  $inkCanvas  the canvas whose ink lies under theirs; null while lead ink is off
     * @param  int  $inkFrom  the number of the operation after which its ink counts
     */
    private function __construct(
        public ?string $canvas,
        public string $page,
        public ?string $inkCanvas,
        public int $inkFrom,
    ) {
    }

    /** @param  array<array-key, mixed>  $json */
    public static function read(array $json): self
    {
        $id = static fn (string $name): ?string => is_string($json[$name] ?? null) ? $json[$name] : null;

        return new self(
            $id('canvas'),
            $id('page') ?? '',
            $id('ink'),
            is_int($json['from'] ?? null) ? $json['from'] : 0,
        );
    }

    public function showing(?string $canvas, string $page = ''): self
    {
        return new self($canvas, $page, $this->inkCanvas, $this->inkFrom);
    }

    public function withInk(string $canvas, int $from): self
    {
        return new self($this->canvas, $this->page, $canvas, $from);
    }

    public function withoutInk(): self
    {
        return new self($this->canvas, $this->page, null, 0);
    }

    /** Whether students hear of what was drawn on a lead canvas: their ink from it, or the page that they look at. */
    public function lets(string $canvas, Operation $drawn): bool
    {
        return $this->inkCanvas === $canvas ||
            ($this->canvas === $canvas && ($drawn->page() ?? $this->page) === $this->page);
    }

    public function isShown(): bool
    {
        return $this->canvas !== null;
    }

    public function hasInk(): bool
    {
        return $this->inkCanvas !== null;
    }

    /** @return array{canvas: ?string, page: string, ink: ?string, from: int} */
    public function toArray(): array
    {
        return ['canvas' => $this->canvas, 'page' => $this->page, 'ink' => $this->inkCanvas, 'from' => $this->inkFrom];
    }
}
