<?php

declare(strict_types=1);

namespace App\Records;

use Crag\Render\Sheet;

/** What stands on the sheets of a PDF. */
final readonly class SheetChoice
{
    public function __construct(
        public bool $withChecks = true,
        public bool $withNotes = true,
        public bool $bySeat = false,
        public bool $withWords = true,
        public int $perSheet = 1,
        public bool $withPoints = true,
        public bool $withAsks = false,
    ) {
    }

    /** @param  array<string, mixed>  $options  as they were chosen on the record's page */
    public static function read(array $options): self
    {
        $per = (int) ($options['per'] ?? 1);

        return new self(
            (bool) ($options['checks'] ?? true),
            (bool) ($options['notes'] ?? true),
            ($options['names'] ?? 'names') === 'seats',
            (bool) ($options['words'] ?? true),
            in_array($per, Sheet::COUNTS, true) ? $per : 1,
            (bool) ($options['checks'] ?? true),
            (bool) ($options['asks'] ?? true) && ($options['seats'] ?? []) === [],
        );
    }
}
