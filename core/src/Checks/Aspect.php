<?php

declare(strict_types=1);

namespace Crag\Checks;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/** One of the things that are checked on a canvas, such as method, answer or presentation, with its scale. */
final readonly class Aspect
{
    public const MOST = 5;

    private const LONGEST_NAME = 40;

    /** @param  string  $name  empty where there is only one */
    private function __construct(public string $name, public Scale $scale)
    {
    }

    public static function whole(): self
    {
        return new self('', Scale::strata());
    }

    /**
     * JSON form: {"name", "levels": [words, lowest first; none for Strata]}.
     *
     * @throws UnreadableFields
     */
    public static function read(Fields $fields): self
    {
        $levels = $fields->has('levels') ? $fields->list('levels', 0, Scale::MOST + 1) : [];
        foreach ($levels as $level) {
            if (! is_string($level)) {
                throw UnreadableFields::badValue('levels', 'are not words');
            }
        }

        return new self(
            trim($fields->text('name', self::LONGEST_NAME)),
            Scale::of(array_values(array_filter($levels, is_string(...)))),
        );
    }

    /** @return array{name: string, levels: list<string>} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'levels' => $this->scale->isStrata ? [] : $this->scale->words];
    }
}
