<?php

declare(strict_types=1);

namespace Crag\Handwriting;

/** What a line of handwriting was read as. */
final readonly class WrittenLine
{
    /**
     * @param  bool  $isSure  whether every sign was clear
     * @param  list<string>  $others  what it may be as well
     * @param  list<array{sign: string, strokes: list<int>}>  $named  which strokes were taken for which sign
     * @param  list<Sign>  $signs
     */
    public function __construct(
        public string $text,
        public bool $isSure,
        public array $others,
        public array $named,
        private array $signs,
    ) {
    }

    public static function nothing(): self
    {
        return new self('', false, [], [], []);
    }

    /** Whether it is what was read, however it is spaced. */
    public function says(string $text): bool
    {
        return self::plain($text) === self::plain($this->text);
    }

    /** What is learned of this hand when its writer says that it was read right. */
    public function learned(OwnForms $own): OwnForms
    {
        foreach ($this->signs as $i => $sign) {
            $own = $own->with($this->named[$i]['sign'], $sign->features);
        }

        return $own;
    }

    /**
     * What is learned when its writer corrects it by typing: where as many signs were typed as were read, each is the
     * one at its place.
     */
    public function corrected(OwnForms $own, string $typed): OwnForms
    {
        $signs = mb_str_split((string) preg_replace('/[()^]+/u', '', self::plain($typed)));
        if (count($signs) !== count($this->signs)) {
            return $own;
        }
        foreach ($this->signs as $i => $sign) {
            $own = $own->with($signs[$i], $sign->features);
        }

        return $own;
    }

    /** Signs as they are drawn, without spaces. */
    private static function plain(string $text): string
    {
        return (string) preg_replace('/\s+/u', '', strtr($text, ['−' => '-', '×' => 'x', '*' => 'x', ',' => '.']));
    }
}
