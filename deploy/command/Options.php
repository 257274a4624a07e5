<?php

declare(strict_types=1);

namespace Deploy;

/** What was typed after the command: `--name=value`, `--name`, and words. */
final readonly class Options
{
    /**
     * @param  array<string, string>  $named
     * @param  list<string>  $words
     */
    private function __construct(private array $named, public array $words)
    {
    }

    /** @param  list<string>  $arguments */
    public static function read(array $arguments): self
    {
        $named = $words = [];
        foreach ($arguments as $argument) {
            if (str_starts_with($argument, '--')) {
                [$name, $value] = explode('=', substr($argument, 2), 2) + [1 => '1'];
                $named[$name] = $value;
            } else {
                $words[] = $argument;
            }
        }

        return new self($named, $words);
    }

    public function text(string $name, string $default): string
    {
        return $this->named[$name] ?? $default;
    }

    public function whole(string $name, int $default, int $least, int $most): int
    {
        $value = $this->named[$name] ?? (string) $default;
        if (! ctype_digit($value) || (int) $value < $least || (int) $value > $most) {
            throw new Problem("--{$name} is a whole number from {$least} to {$most}; this is \"{$value}\".");
        }

        return (int) $value;
    }

    public function has(string $name): bool
    {
        return isset($this->named[$name]);
    }
}
