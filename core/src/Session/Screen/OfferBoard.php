<?php

declare(strict_types=1);

namespace Crag\Session\Screen;

/** The page of offers on the class screen: its columns, and whether offers appear there without being looked at. */
final readonly class OfferBoard
{
    public const MOST_COLUMNS = 4;

    public const LONGEST_HEADING = 60;

    /** So many offers of one student wait at most. */
    public const MOST_WAITING = 5;

    /** Of one student, those that were declined too. */
    public const MOST = 40;

    /** What a student says to an offer, in characters. */
    public const LONGEST_WORDS = 200;

    /** @param  non-empty-list<string>  $headings  of the columns, from left to right */
    private function __construct(public array $headings, public bool $isOpen)
    {
    }

    /** @param  array<array-key, mixed>  $json  as toArray gave it; nothing for one column without a heading */
    public static function read(array $json): self
    {
        $headings = array_values(array_filter((array) ($json['headings'] ?? []), is_string(...)));

        return new self($headings === [] ? [''] : $headings, ($json['open'] ?? false) === true);
    }

    /**
     * @param  ?list<string>  $headings  null leaves them as they are
     * @param  ?bool  $isOpen  null leaves it as it is
     */
    public function arranged(?array $headings, ?bool $isOpen): self
    {
        return self::read(['headings' => $headings ?? $this->headings, 'open' => $isOpen ?? $this->isOpen]);
    }

    /**
     * Columns in another order.
     *
     * @param  list<int>  $order  each column's place until now, from left to right
     * @return ?self  null where that is no order of these columns
     */
    public function inOrder(array $order): ?self
    {
        $sorted = $order;
        sort($sorted);

        return $sorted === array_keys($this->headings)
            ? self::read(['headings' => array_map(fn (int $i): string => $this->headings[$i], $order), 'open' => $this->isOpen])
            : null;
    }

    public function lastColumn(): int
    {
        return count($this->headings) - 1;
    }

    /** @return array{headings: non-empty-list<string>, open: bool} */
    public function toArray(): array
    {
        return ['headings' => $this->headings, 'open' => $this->isOpen];
    }
}
