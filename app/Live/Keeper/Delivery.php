<?php

declare(strict_types=1);

namespace App\Live\Keeper;

use App\Canvas\Batch;

/** A batch as a page sends it over its socket. Who sends it is the page's own word until its key was looked at. */
final readonly class Delivery
{
    private const LONGEST_ID = 40;

    /** @param  list<mixed>  $operations  in their JSON form, decoded */
    private function __construct(
        public string $seat,
        public string $key,
        public string $canvas,
        public string $reply,
        public array $operations,
    ) {
    }

    /** @return ?self null where it is not one: nobody is answered then */
    public static function read(string $text): ?self
    {
        $json = json_decode($text, true, 64);
        if (! is_array($json)) {
            return null;
        }
        $words = [];
        foreach (['s', 'k', 'c', 'b'] as $name) {
            $word = $json[$name] ?? null;
            if (! is_string($word) || $word === '' || strlen($word) > self::LONGEST_ID) {
                return null;
            }
            $words[] = $word;
        }
        $operations = $json['o'] ?? null;

        return is_array($operations) && array_is_list($operations) && count($operations) <= Batch::MOST
            ? new self(...$words, operations: $operations)
            : null;
    }
}
