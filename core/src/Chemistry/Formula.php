<?php

declare(strict_types=1);

namespace Crag\Chemistry;

/** The formula of one substance or ion: H2O, Ca(OH)2, CuSO4·5H2O, SO4^2-, e^-. */
final readonly class Formula
{
    private const MOST_ATOMS = 100_000;

    private const STATES = ['s', 'l', 'g', 'aq'];

    /**
     * @param  string  $written  as one writes it, without its state
     * @param  array<string, int>  $atoms  by symbol, in the order of the alphabet
     */
    private function __construct(
        public string $written,
        public array $atoms,
        public int $charge,
        public string $state,
    ) {
    }

    /**
     * @param  string  $text  in {@see Notation::plain}, without a number before it
     *
     * @throws UnreadableChemistry
     */
    public static function read(string $text): self
    {
        $text = trim($text);
        $state = '';
        if (preg_match('/^(.+?)\s*\(\s*('.implode('|', self::STATES).')\s*\)$/u', $text, $found) === 1) {
            [, $text, $state] = $found;
        }
        if (preg_match('/^e\s*(?:\^\s*\{?\s*)?-\s*\}?$/u', $text) === 1) {
            return new self('e^-', [], -1, $state);
        }
        [$body, $charge] = self::charge($text);
        if ($body === '') {
            throw UnreadableChemistry::nothing();
        }
        $atoms = [];
        foreach (preg_split('/\s*[·.]\s*/u', $body) ?: [] as $part) {
            preg_match('/^(\d{0,4})\s*(.*)$/us', $part, $found);
            $times = ($found[1] ?? '') === '' ? 1 : (int) $found[1];
            foreach (self::atoms($found[2] ?? '') as $symbol => $n) {
                $atoms[$symbol] = ($atoms[$symbol] ?? 0) + $times * $n;
            }
        }
        ksort($atoms);
        $written = (string) preg_replace(['/\s+/u', '/[.]/u'], ['', '·'], $body);

        return new self($charge === 0 ? $written : $written.self::sign($charge), $atoms, $charge, $state);
    }

    /** Whether it is written alike, but for its state. */
    public function isWrittenAs(self $other): bool
    {
        return strtr($this->written, '[]{}', '()()') === strtr($other->written, '[]{}', '()()');
    }

    /** Whether it has the same atoms and the same charge. */
    public function isMadeAs(self $other): bool
    {
        return $this->atoms === $other->atoms && $this->charge === $other->charge;
    }

    /**
     * The charge behind it: ^2-, ^{3+}, a lone sign, or "SO4 2-" with a space. Without either, a digit before the sign is
     * the charge's where one symbol stands alone (Fe3+) or two digits stand together (SO42-), and an atom's otherwise
     * (NO3-).
     *
     * @return array{string, int}
     */
    private static function charge(string $text): array
    {
        $text = (string) preg_replace(
            ['/^(\p{Lu}\p{Ll}?|.*\])(\d)([+-])$/u', '/(\d)(\d)([+-])$/u'],
            ['$1^$2$3', '$1^$2$3'],
            $text,
        );
        if (preg_match('/^(.*?)\s*(?:\^\s*\{?\s*(\d*)\s*([+-]*)\s*\}?|(?:\s(\d))?([+-]+))$/us', $text, $found) !== 1) {
            return [$text, 0];
        }
        $signs = ($found[3] ?? '').($found[5] ?? '');
        $digits = ($found[2] ?? '').($found[4] ?? '');
        if ($signs === '' || (str_contains($signs, '+') && str_contains($signs, '-'))) {
            throw UnreadableChemistry::sign('^');
        }
        $size = $digits === '' ? strlen($signs) : (int) $digits;
        if (($digits !== '' && strlen($signs) > 1) || $size > 20) {
            throw UnreadableChemistry::sign($signs);
        }

        return [$found[1], $signs[0] === '+' ? $size : -$size];
    }

    private static function sign(int $charge): string
    {
        return '^'.(abs($charge) === 1 ? '' : abs($charge)).($charge > 0 ? '+' : '-');
    }

    /**
     * @return array<string, int>
     *
     * @throws UnreadableChemistry
     */
    private static function atoms(string $body): array
    {
        /** @var list<array<string, int>> $open */
        $open = [[]];
        $pattern = '/\G\s*(?:(?<open>[(\[{])|(?<close>[)\]}])|(?<symbol>\p{Lu}\p{Ll}*)|(?<other>.))(?<n>\d*)/us';
        for ($at = 0; $at < strlen($body); $at += strlen($found[0])) {
            if (preg_match($pattern, $body, $found, PREG_UNMATCHED_AS_NULL, $at) !== 1) {
                break;
            }
            $n = (string) $found['n'];
            if (str_starts_with($n, '0')) {
                throw UnreadableChemistry::zero();
            }
            $times = $n === '' ? 1 : (strlen($n) > 5 ? throw UnreadableChemistry::large() : (int) $n);
            if ($found['open'] !== null) {
                $open[] = [];
                $more = [];
            } elseif ($found['close'] !== null) {
                $more = count($open) > 1 ? array_pop($open) : throw UnreadableChemistry::sign($found['close']);
            } elseif ($found['symbol'] !== null) {
                $more = Element::isSymbol($found['symbol'])
                    ? [$found['symbol'] => 1]
                    : throw UnreadableChemistry::element($found['symbol']);
            } else {
                $sign = (string) $found['other'];
                throw preg_match('/\p{L}/u', $sign) === 1
                    ? UnreadableChemistry::element($sign)
                    : UnreadableChemistry::sign($sign);
            }
            $within = array_pop($open) ?? [];
            foreach ($more as $symbol => $count) {
                $within[$symbol] = ($within[$symbol] ?? 0) + $count * $times;
            }
            $open[] = $within;
        }
        if (count($open) > 1) {
            throw UnreadableChemistry::open();
        }
        if (array_sum($open[0]) > self::MOST_ATOMS) {
            throw UnreadableChemistry::large();
        }

        return $open[0];
    }
}
