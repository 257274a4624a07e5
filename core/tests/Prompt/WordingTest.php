<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Prompt\Question\TextAsked;
use Crag\Prompt\Question\Wording;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Words that are compared as strictly as the teacher wishes. */
final class WordingTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, string, bool}> what is forgiven, right, given, and met */
    public static function words(): iterable
    {
        yield 'as it stands' => ['', ['the pivot'], 'the pivot', true];
        yield 'capitals, spaces and a full stop' => ['', ['the pivot'], ' The  PIVOT. ', true];
        yield 'no space at all' => ['', ['free body'], 'freebody', true];
        yield 'any of several' => ['', ['pivot', 'fulcrum'], 'Fulcrum', true];
        yield 'a slip is wrong where it is not forgiven' => ['', ['fulcrum'], 'fulcrm', false];
        yield 'an article counts where it is not ignored' => ['', ['the pivot'], 'pivot', false];
        yield 'the order counts' => ['', ['normal force'], 'force normal', false];
        yield 'a star at the end' => ['', ['pivot*'], 'pivot of the beam', true];
        yield 'a star at the end stands for nothing too' => ['', ['pivot*'], 'pivot', true];
        yield 'stars on both sides' => ['', ['*pivot*'], 'it turns about the pivot there', true];
        yield 'stars around another word' => ['', ['*pivot*'], 'it turns about the support', false];
        yield 'a star within' => ['', ['from * to right'], 'from left to right', true];
        yield 'spaces count beside a star' => ['', ['the *'], 'then', false];
        yield 'a star is no sign of a pattern' => ['', ['a.c*'], 'abc', false];
        yield 'a letter left out' => ['spelling', ['fulcrum'], 'fulcrm', true];
        yield 'a letter put in' => ['spelling', ['pivot'], 'pivoot', true];
        yield 'two letters swapped' => ['spelling', ['pivot'], 'pviot', true];
        yield 'another letter' => ['spelling', ['lever'], 'lefer', true];
        yield 'two slips in a short word' => ['spelling', ['lever'], 'lefar', false];
        yield 'two slips in a long one' => ['spelling', ['equilibrium'], 'equilibriam', true];
        yield 'two slips in a long one, both forgiven' => ['spelling', ['equilibrium'], 'equilibrum', true];
        yield 'three slips are too many' => ['spelling', ['equilibrium'], 'eqilibram', false];
        yield 'a word of three letters has none' => ['spelling', ['arm'], 'arn', false];
        yield 'a number has none' => ['spelling', ['1200 newtons'], '1300 newtons', false];
        yield 'a word too many is no slip' => ['spelling', ['pivot'], 'the pivot', false];
        yield 'articles apart' => ['articles', ['the normal force'], 'normal force', true];
        yield 'articles on the other side' => ['articles', ['normal force'], 'A normal force', true];
        yield 'articles and a star' => ['articles', ['the load*'], 'a load of bricks', true];
        yield 'an article alone is nothing' => ['articles', ['the pivot'], 'the', false];
        yield 'any order' => ['order', ['force, normal'], 'normal force,', true];
        yield 'the same words as often' => ['order', ['left left right'], 'left right right', false];
        yield 'all at once, but another word' => ['spelling articles order', ['the normal force'], 'force a tension', false];
        yield 'all at once, and met' => ['spelling articles order', ['the normal force'], 'force a normel', true];
        yield 'letters of another script' => ['spelling', ['الرافعة'], 'الرافعه', true];
        yield 'nothing' => ['spelling articles order', ['pivot'], '', false];
    }

    /** @param  list<string>  $right */
    #[DataProvider('words')]
    public function test_words_are_compared_as_strictly_as_is_wished(
        string $forgiven,
        array $right,
        string $given,
        bool $isRight,
    ): void {
        $loose = array_fill_keys(explode(' ', $forgiven), true);
        $verdict = Wording::read(new Fields($loose))->compare($right, $given);
        self::assertSame($isRight ? 'right' : 'wrong', $verdict->outcome->value);
    }

    public function test_it_says_which_slips_it_forgave(): void
    {
        $wording = Wording::read(new Fields(['spelling' => true]));
        self::assertSame('Spelling: normel → normal.', $wording->compare(['normal force'], 'normel force')->why);
        self::assertSame('', $wording->compare(['normal force'], 'normal force')->why);
    }

    public function test_the_words_may_be_a_formula_or_notes(): void
    {
        $asked = TextAsked::of(new Fields(['right' => ['H2SO4', 'SO4^2-'], 'reads' => 'chemistry']));
        self::assertSame('chemistry', $asked->toArray()['reads'] ?? null);
        self::assertSame('right', $asked->compare('SO₄²⁻')->outcome->value, 'any of several');
        self::assertSame('other-form', $asked->compare('O4SH2')->outcome->value, 'the best of what they say');
        self::assertSame('wrong', $asked->compare('h2so4')->outcome->value);
        self::assertTrue($asked->isSame('H2SO4', 'H₂SO₄'));

        $notes = TextAsked::of(new Fields(['right' => ['F#'], 'reads' => 'notes']));
        self::assertSame('right', $notes->compare('f sharp')->outcome->value);
        self::assertTrue($notes->isSame('F♯', 'F#'));
        self::assertArrayNotHasKey('reads', TextAsked::of(new Fields(['right' => ['pivot'], 'reads' => 'words']))->toArray());
    }

    public function test_a_key_that_cannot_be_read_is_the_teachers_to_mend(): void
    {
        foreach (['chemistry' => 'Xy2', 'notes' => 'middle see'] as $reads => $right) {
            try {
                TextAsked::of(new Fields(['right' => [$right], 'reads' => $reads]))->compare('H2O');
                self::fail($reads);
            } catch (UnreadableMaths $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
        $this->expectException(UnreadableFields::class);
        TextAsked::of(new Fields(['right' => [], 'reads' => 'runes']));
    }
}
