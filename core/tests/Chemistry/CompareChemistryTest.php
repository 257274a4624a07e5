<?php

declare(strict_types=1);

namespace Crag\Tests\Chemistry;

use Crag\Chemistry\CompareChemistry;
use Crag\Chemistry\UnreadableChemistry;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Formulas and equations as students type them. */
final class CompareChemistryTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string}> right, given, outcome, and what is said */
    public static function answers(): iterable
    {
        $cases = <<<'CASES'
            small digits|H2SO4|H₂SO₄|right|
            spaces|H2SO4|H2 SO4|right|
            as it is typed in formulas|H2O|\ce{H_2O}|right|
            upright in a formula|H2O|\mathrm{H}_{2}\mathrm{O}|right|
            digits of another script|H2O|H٢O|right|
            small letters throughout|H2SO4|h2so4|wrong|Look again at capital and small letters.
            cobalt is no carbon monoxide|CO|Co|wrong|Look again at capital and small letters.
            a zero for an O|CO2|C02|unreadable|Is that a zero, or the letter O?
            another number of atoms|CO2|CO|wrong|
            brackets|Ca(OH)2|Ca(OH)₂|right|
            other brackets|[Cu(NH3)4]^2+|(Cu(NH3)4)^2+|right|
            brackets multiplied out|Ca(OH)2|CaO2H2|other-form|The atoms are right, but write the formula the usual way.
            the kind of molecule counts|C2H5OH|C2H6O|other-form|The atoms are right, but write the formula the usual way.
            symbols in another order|NaCl|ClNa|other-form|The atoms are right, but write the formula the usual way.
            water of crystals, with a full stop|CuSO4·5H2O|CuSO4.5H2O|right|
            water of crystals, with a star|CuSO4·5H2O|CuSO4*5H2O|right|
            too little water|CuSO4·5H2O|CuSO4·H2O|wrong|
            a charge raised|SO4^2-|SO₄²⁻|right|
            a charge after a space|SO4^2-|SO4 2-|right|
            a charge right behind the atoms|SO4^2-|SO42-|right|
            a charge in braces|Fe^3+|Fe^{3+}|right|
            one symbol and its charge|Fe^3+|Fe3+|right|
            signs instead of a number|Fe^3+|Fe+++|right|
            a digit that is the atom's|NO3^-|NO3-|right|
            another charge|Fe^3+|Fe^2+|wrong|Look again at the charge.
            no charge|Fe^3+|Fe|wrong|Look again at the charge.
            a charge where none is|Fe|Fe^2+|wrong|Look again at the charge.
            plus and minus|Fe^3+|Fe+-|unreadable|The sign “^” can’t be used here.
            no such element|H2O|X2O|unreadable|“X” isn’t the symbol of an element.
            words|H2O|water|unreadable|“w” isn’t the symbol of an element.
            an open bracket|Ca(OH)2|Ca(OH2|unreadable|A bracket is not closed.
            nothing|H2O||unreadable|There’s nothing to read.
            more atoms than anybody means|H2O|H999999O|unreadable|A number in it is too large.
            two molecules|2H2O|H2O|wrong|
            an equation|2H2 + O2 -> 2H2O|2H2 + O2 → 2H2O|right|
            without spaces and with a sign of equality|2H2 + O2 -> 2H2O|2H2+O2=2H2O|right|
            in another order|2H2 + O2 -> 2H2O|O2 + 2 H2 ⟶ 2 H2O|right|
            not balanced|2H2 + O2 -> 2H2O|H2 + O2 -> H2O|wrong|O isn’t balanced: 2 on the left, 1 on the right.
            twice as much|2H2 + O2 -> 2H2O|4H2 + 2O2 -> 4H2O|other-form|Use the smallest whole numbers.
            halves|2H2 + O2 -> 2H2O|H2 + 1/2 O2 -> H2O|other-form|Use the smallest whole numbers.
            halves as a decimal|2H2 + O2 -> 2H2O|H2 + 0.5O2 -> H2O|other-form|Use the smallest whole numbers.
            the same twice|2H2 + O2 -> 2H2O|H2 + H2 + O2 -> 2H2O|right|
            the other way|2H2 + O2 -> 2H2O|2H2O -> 2H2 + O2|wrong|The arrow points the other way.
            both ways|N2 + 3H2 ⇌ 2NH3|2NH3 <=> N2 + 3H2|right|
            ozone|2H2 + O2 -> 2H2O|2H2 + O3 -> 2H2O|wrong|Look again at what reacts.
            peroxide|2H2 + O2 -> 2H2O|H2 + O2 -> H2O2|wrong|Look again at what is formed.
            balanced, and still other than asked|2H2 + O2 -> 2H2O|2H2 + O2 -> 2H2O + H2|wrong|Look again at what is formed.
            a formula where an equation is asked for|2H2 + O2 -> 2H2O|H2O|wrong|Give an equation with an arrow.
            an equation where a formula is asked for|H2O|2H2 + O2 -> 2H2O|wrong|Give a formula, not an equation.
            two arrows|2H2 + O2 -> 2H2O|H2 -> O2 -> H2O|unreadable|There’s more than one arrow.
            ions|Na+ + Cl- -> NaCl|Na⁺ + Cl⁻ → NaCl|right|
            ions without spaces|Zn + Cu^2+ -> Zn^2+ + Cu|Zn+Cu^{2+}->Zn^{2+}+Cu|right|
            electrons|Cu^2+ + 2e^- -> Cu|Cu2+ + 2e- -> Cu|right|
            charges that do not balance|Cu^2+ + 2e^- -> Cu|Cu2+ + e- -> Cu|wrong|The charges aren’t balanced.
            states|CaCO3(s) -> CaO(s) + CO2(g)|CaCO3 (s) → CaO (s) + CO2 (g)|right|
            states of ions|Zn(s) + Cu2+(aq) -> Zn2+(aq) + Cu(s)|Zn(s)+Cu^{2+}(aq) → Cu(s)+Zn^{2+}(aq)|right|
            states left out|CaCO3(s) -> CaO(s) + CO2(g)|CaCO3 -> CaO + CO2|other-form|The state symbols are missing.
            another state|CaCO3(s) -> CaO(s) + CO2(g)|CaCO3(s) -> CaO(s) + CO2(aq)|wrong|Look again at the state symbols.
            states that are not asked for|CaCO3 -> CaO + CO2|CaCO3(s) -> CaO(s) + CO2(g)|right|
            CASES;
        foreach (explode("\n", $cases) as $line) {
            [$why, $right, $given, $outcome, $said] = explode('|', $line);
            yield $why => [$right, $given, $outcome, $said];
        }
    }

    #[DataProvider('answers')]
    public function test_an_answer_is_read_and_compared(
        string $right,
        string $given,
        string $outcome,
        string $said,
    ): void {
        $verdict = CompareChemistry::verdict($right, $given);
        self::assertSame([$outcome, $said], [$verdict->outcome->value, $verdict->why]);
    }

    public function test_a_key_that_is_no_formula_is_said(): void
    {
        $this->expectException(UnreadableChemistry::class);
        CompareChemistry::verdict('Xy2', 'H2O');
    }

    public function test_equal_answers_are_grouped_however_they_are_typed(): void
    {
        self::assertTrue(CompareChemistry::areSame('SO4^2-', 'SO₄²⁻'));
        self::assertTrue(CompareChemistry::areSame('not a formula', 'not a formula'));
        self::assertFalse(CompareChemistry::areSame('CO', 'Co'));
        self::assertFalse(CompareChemistry::areSame('not a formula', 'H2O'));
    }
}
