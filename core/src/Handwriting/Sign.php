<?php

declare(strict_types=1);

namespace Crag\Handwriting;

/** Some strokes, taken for one sign: what it may be, how likely each is, the likeliest first. */
final readonly class Sign
{
    private const MOST_GUESSES = 4;

    /**
     * @param  array<string, float>  $guesses  by sign
     * @param  list<int>  $strokes  which strokes of the line, by their numbers
     * @param  list<float>  $features
     */
    private function __construct(
        public Trace $trace,
        public array $guesses,
        public array $strokes,
        public array $features,
    ) {
    }

    /**
     * @param  array<string, float>  $likely  of {@see Network::tell}
     * @param  list<int>  $strokes
     * @param  list<float>  $features
     */
    public static function of(Trace $trace, array $likely, array $strokes, array $features): self
    {
        unset($likely[Network::NONE]);
        arsort($likely);

        return new self($trace, array_slice($likely, 0, self::MOST_GUESSES, true), $strokes, $features);
    }

    /** @param  array<string, float>  $likely */
    public function as(array $likely): self
    {
        return self::of($this->trace, $likely, $this->strokes, $this->features);
    }

    public function best(): string
    {
        return (string) array_key_first($this->guesses);
    }

    public function certainty(): float
    {
        return $this->guesses[array_key_first($this->guesses)] ?? 0.0;
    }
}
