<?php

declare(strict_types=1);

namespace Crag\Prompt;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/** What a teacher wants to see in the work on a prompt. */
final readonly class LookFor
{
    private const MOST = 12;

    private const LONGEST = 200;

    /**
     * @param  list<string>  $steps  that are expected
     * @param  list<string>  $words  that should occur
     * @param  list<string>  $slips  that are common
     */
    private function __construct(public array $steps, public array $words, public array $slips)
    {
    }

    public static function nothing(): self
    {
        return new self([], [], []);
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        return new self(self::lines($fields, 'steps'), self::lines($fields, 'words'), self::lines($fields, 'slips'));
    }

    public function isEmpty(): bool
    {
        return $this->steps === [] && $this->words === [] && $this->slips === [];
    }

    /** @return array{steps: list<string>, words: list<string>, slips: list<string>} */
    public function toArray(): array
    {
        return ['steps' => $this->steps, 'words' => $this->words, 'slips' => $this->slips];
    }

    /**
     * @return list<string>
     *
     * @throws UnreadableFields
     */
    public static function lines(Fields $fields, string $name): array
    {
        $lines = [];
        foreach ($fields->has($name) ? $fields->list($name, 0, self::MOST) : [] as $line) {
            if (! is_string($line) || ! mb_check_encoding($line, 'UTF-8') || mb_strlen($line) > self::LONGEST) {
                throw UnreadableFields::badValue(
                    $name,
                    'holds a line that is longer than '.self::LONGEST.' characters',
                );
            }
            if (trim($line) !== '') {
                $lines[] = trim($line);
            }
        }

        return $lines;
    }
}
