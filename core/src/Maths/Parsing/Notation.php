<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

use Brick\Math\BigDecimal;

/**
 * How a school writes numbers: with a decimal point or a decimal comma, and with which sign of money. What is typed so
 * is made into what the parser reads: decimal points, and "¤" for a sign of money that it does not know.
 */
final readonly class Notation
{
    private const KNOWN = ['£', '€', '$'];

    private const ANY = '¤';

    private function __construct(private bool $isComma, public string $money)
    {
    }

    public static function usual(): self
    {
        return new self(false, '£');
    }

    /**
     * @param  string  $decimal  "comma", or anything else for a point
     * @param  string  $money  a sign or a word: £, kr, CHF
     */
    public static function of(string $decimal, string $money): self
    {
        $money = trim($money);

        return new self($decimal === 'comma', $money === '' || mb_strlen($money) > 6 ? '£' : $money);
    }

    /** @param  bool  $isWorkedOut  by Crag, which writes decimal points */
    public function plain(string $typed, bool $isWorkedOut = false): string
    {
        $text = $this->isComma && ! $isWorkedOut ? self::withPoints(Digits::plain(mb_scrub($typed))) : $typed;
        if (! in_array($this->money, self::KNOWN, true)) {
            $sign = preg_quote($this->money, '/');
            $text = (string) preg_replace("/(?<!\\p{L}){$sign}\\.?(?!\\p{L})/iu", self::ANY, mb_scrub($text));
        }

        return $this->money === '£' ? $text : $this->withoutCents($text);
    }

    /** A sentence about what was typed, with the school's own sign in it. */
    public function said(string $sentence): string
    {
        return str_replace(self::ANY, $this->money, $sentence);
    }

    /** 1.234,5 is 1234.5; a point before other than three figures is a decimal point here too. */
    private static function withPoints(string $text): string
    {
        $text = (string) preg_replace_callback(
            '/(?<![\d.,])[1-9]\d{0,2}(?:\.\d{3})+(?![\d.])/u',
            static fn (array $found): string => str_replace('.', '', $found[0]),
            $text,
        );

        return (string) preg_replace('/(?<=\d),(?=[\d(])/u', '.', $text);
    }

    /** "50 cents" is half of the sign of money. */
    private function withoutCents(string $text): string
    {
        $sign = in_array($this->money, self::KNOWN, true) ? $this->money : self::ANY;

        return (string) preg_replace_callback(
            '/(?<![\d.,])(\d{1,9}(?:\.\d{1,6})?)\s*(?:cents?|¢|ct)(?!\p{L})/iu',
            static fn (array $found): string => BigDecimal::of($found[1])->exactlyDividedBy(100)." {$sign}",
            mb_scrub($text),
        );
    }
}
