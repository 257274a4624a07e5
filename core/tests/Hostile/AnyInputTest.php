<?php

declare(strict_types=1);

namespace Crag\Tests\Hostile;

use Crag\Asks\AskLine;
use Crag\Asks\Tally;
use Crag\Checks\Feedback;
use Crag\Classes\ClassList;
use Crag\Formats\CsvReader;
use Crag\Formats\InkMl;
use Crag\Formats\QtiItem;
use Crag\Formats\SvgDrawing;
use Crag\Formats\UnreadableFile;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Comparing\Compare;
use Crag\Maths\Comparing\Form;
use Crag\Maths\Comparing\FormKind;
use Crag\Maths\Comparing\Tolerance;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Plan\InvalidPages;
use Crag\Plan\PageChoice;
use Crag\Plan\Plan;
use Crag\Prompt\InvalidPrompt;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Values\InvalidValues;
use Crag\Prompt\Values\Values;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\PersonName;
use Crag\Session\Life\SessionSettings;
use Crag\Watch\AnswerGroups;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Whatever is typed, pasted or brought in: nothing but the declared exceptions comes of it. The seeds are fixed, so a
 * failure comes again.
 */
final class AnyInputTest extends TestCase
{
    private const SEEDS = 12;

    private const EACH = 150;

    /**
     * What has broken readers before: digits of other scripts, marks that combine, surrogates' neighbours,
     * right-to-left marks, halves of UTF-8.
     */
    private const PARTS = [
        '0',
        '1',
        '2',
        '9',
        '12',
        '80',
        '3.5',
        '1,200',
        '0,392',
        '٨٠',
        '１２',
        '४२',
        '𝟗',
        '৩',
        '۴۵',
        '½',
        '⅓',
        '²',
        '⁻¹',
        '⁹⁹⁹',
        '10^9',
        '^',
        '^-',
        '^400',
        '^(1/2)',
        '√',
        '∛',
        '\sqrt[3]{',
        '\frac{',
        '\text{',
        '}',
        '{',
        '(',
        ')',
        '[',
        ']',
        '+',
        '-',
        '−',
        '*',
        '×',
        '/',
        '÷',
        '%',
        '=',
        '==',
        '<',
        '≤',
        '≠',
        ':',
        ';',
        '..',
        '…',
        ',',
        '.',
        '|',
        ' ',
        "\u{A0}",
        "\u{202F}",
        "\t",
        "\n",
        "\r\n",
        'x',
        'y',
        'e',
        'E',
        'e5',
        'pi',
        'π',
        'N',
        'kN',
        'N m',
        'm/s²',
        '°',
        '°C',
        '£',
        '$',
        '€',
        'mod',
        'sin',
        'sqrt',
        'ß',
        'İ',
        'ı',
        'ﷺ',
        'e̶',
        'ی',
        "\u{200F}",
        "\u{200D}",
        "\u{FEFF}",
        "\u{0}",
        '👩‍🏫',
        '𓀀',
        "\u{E000}",
        "\u{10FFFF}",
        "\xC3",
        "\xFF\xFE",
        'step',
        'text:',
        'maths:',
        '*up',
        'up;down',
        '20 s',
        '{a: 2..9}',
        '{b = a*b}',
        '{a}',
        '{a; a ≠ b}',
        'inf',
        'NAN',
        '1e999',
        '-0',
        '99999999999999999999999',
        '0.0000000000000000001',
        '"',
        "'",
        '=cmd()',
        '@',
        '#',
        '\\',
        '\\%',
        '<trace>',
        '<svg/>',
        '&amp;',
        '--',
    ];

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[Test]
    #[DataProvider('seeds')]
    public function typed_answers_are_compared_or_said_to_be_unreadable(int $seed): void
    {
        $random = self::random($seed);
        $compared = 0;
        for ($i = 0; $i < self::EACH; $i++) {
            [$right, $given] = [self::text($random), self::text($random)];
            $form = Form::of(
                FormKind::cases()[$random->getInt(0, count(FormKind::cases()) - 1)],
                $random->getInt(0, 12),
            );
            foreach ([$right, '80 N', '2x + 1', '1/3'] as $key) {
                self::allowed(
                    static fn () => Compare::numbers(
                        $key,
                        $given,
                        $random->getInt(0, 1) === 1 ? Tolerance::of('percent', '5') : Tolerance::none(),
                        $form,
                        $random->getInt(0, 1) === 1,
                    ),
                    [UnreadableMaths::class],
                    [$key, $given],
                );
                self::allowed(
                    static fn () => Compare::expressions($key, $given, $form),
                    [UnreadableMaths::class],
                    [$key, $given],
                );
                $compared++;
            }
            self::allowed(static fn () => Compare::areSameNumbers($right, $given), [], [$right, $given]);
            self::allowed(static fn () => Compare::areSameExpressions($right, $given), [], [$right, $given]);
            self::allowed(static fn () => Tolerance::of('within', $given), [UnreadableMaths::class], [$given]);
        }
        self::assertSame(self::EACH * 4, $compared);
    }

    #[Test]
    #[DataProvider('seeds')]
    public function questions_and_their_answers_are_taken_or_refused(int $seed): void
    {
        $random = self::random($seed);
        $asked = 0;
        for ($i = 0; $i < self::EACH; $i++) {
            $question = self::allowed(
                static fn () => Question::read(new Fields(self::question($random))),
                [UnreadableFields::class],
                [],
            );
            if (! ($question instanceof Question)) {
                continue;
            }
            $asked++;
            $given = [];
            for ($n = 0; $n < 6; $n++) {
                $raw = $n % 2 === 0 ? self::text($random) : self::json($random, 2);
                $read = static fn () => $question->asked->read($raw);
                $answer = self::allowed($read, [UnreadableFields::class], [$raw]);
                self::allowed(static fn () => [$question->compare($raw), $question->asked->written($raw)], [], [$raw]);
                if ($answer !== null) {
                    $given[] = ["seat{$n}", $question, $answer];
                }
            }
            self::allowed(
                static fn () => [AnswerGroups::among($given), Tally::of($question, array_column($given, 2, 0))],
                [],
                $given,
            );
        }
        self::assertGreaterThan(10, $asked);
    }

    #[Test]
    #[DataProvider('seeds')]
    public function lines_lists_and_names_are_read_or_refused(int $seed): void
    {
        $random = self::random($seed);
        for ($i = 0; $i < self::EACH; $i++) {
            $text = self::text($random);
            self::allowed(static fn () => AskLine::read($text), [UnreadableFields::class], [$text]);
            self::allowed(static fn () => ClassList::read($text), [UnreadableFile::class], [$text]);
            self::allowed(static fn () => CsvReader::rows($text), [UnreadableFile::class], [$text]);
            self::allowed(static fn () => PageChoice::read($text, 60, 20), [InvalidPages::class], [$text]);
            self::allowed(static fn () => PersonName::read($text), [InvalidName::class], [$text]);
            self::allowed(
                static fn () => Values::in([mb_scrub($text), '{a: '.mb_scrub(self::text($random)).'}'])->draw(
                    'seed',
                    $i,
                ),
                [InvalidValues::class],
                [$text],
            );
        }
        self::assertSame(self::EACH, $i);
    }

    #[Test]
    #[DataProvider('seeds')]
    public function settings_are_as_usual_where_they_make_no_sense(int $seed): void
    {
        $random = self::random($seed);
        for ($i = 0; $i < self::EACH; $i++) {
            $json = [];
            foreach ([...array_keys(SessionSettings::usual()->toArray()), 'surprise'] as $key) {
                if ($random->getInt(0, 1) === 1) {
                    $json[$key] = self::json($random, 3);
                }
            }
            $settings = self::allowed(static fn () => SessionSettings::read($json), [], $json);
            self::assertInstanceOf(SessionSettings::class, $settings);
            self::assertEquals(
                $settings,
                SessionSettings::read($settings->toArray()),
                'what was read is read the same again',
            );
            self::allowed(static fn () => Feedback::read(self::array($random)), [], $json);
        }
    }

    #[Test]
    #[DataProvider('seeds')]
    public function files_are_read_or_refused(int $seed): void
    {
        $random = self::random($seed);
        $files = [
            '<ink xmlns="http://www.w3.org/2003/InkML"><trace>10 10, 20 20, 30 15</trace></ink>',
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 160 100"><path d="M1 2 L3 4 C1 2 3 4 5 6 Z" fill="#fff"/><text x="3" y="4">80 N</text></svg>',
            '<assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="a" title="A"><itemBody><p>How far?</p></itemBody></assessmentItem>',
        ];
        for ($i = 0; $i < self::EACH; $i++) {
            foreach ($files as $file) {
                $broken = self::broken($random, $file);
                foreach ([InkMl::class, SvgDrawing::class, QtiItem::class] as $reader) {
                    self::allowed(
                        static fn () => $reader::read($broken),
                        [UnreadableFile::class, UnreadableFields::class, InvalidPrompt::class],
                        [$broken],
                    );
                }
            }
            self::allowed(
                static fn () => Plan::read(self::array($random)),
                [UnreadableFields::class, InvalidPrompt::class],
                [],
            );
        }
        self::assertSame(self::EACH, $i);
    }

    private static function random(int $seed): Randomizer
    {
        return new Randomizer(new Xoshiro256StarStar($seed));
    }

    private static function text(Randomizer $random): string
    {
        $text = '';
        for ($n = $random->getInt(0, 7); $n > 0; $n--) {
            $text .= self::PARTS[$random->getInt(0, count(self::PARTS) - 1)];
        }

        return $text;
    }

    private static function json(Randomizer $random, int $deep): mixed
    {
        return match ($random->getInt(0, $deep > 0 ? 8 : 6)) {
            0 => null,
            1 => $random->getInt(0, 1) === 1,
            2 => $random->getInt(-3, 400),
            3 => [0.5, -0.0, 1e300, NAN, INF][$random->getInt(0, 4)],
            4, 5, 6 => self::text($random),
            7 => array_map(static fn (): mixed => self::json($random, $deep - 1), range(0, $random->getInt(0, 4))),
            default => self::array($random, $deep - 1),
        };
    }

    /** @return array<array-key, mixed> */
    private static function array(Randomizer $random, int $deep = 3): array
    {
        $json = [];
        foreach (
            [
                'crag',
                'title',
                'tags',
                'prompts',
                'words',
                'id',
                'kind',
                'what',
                'when',
                'off',
                'still_minutes',
                'right',
                'questions',
            ] as $key
        ) {
            if ($random->getInt(0, 2) > 0) {
                $json[$key] = self::json($random, $deep);
            }
        }

        return $json;
    }

    /** @return array<string, mixed> */
    private static function question(Randomizer $random): array
    {
        $kind = ['choice', 'choices', 'number', 'number', 'maths', 'text', 'scale'][$random->getInt(0, 6)];
        $question =
            ['id' => 'q1', 'kind' => $kind, 'words' => mb_scrub(self::text($random)), 'spot' => null] +
            match ($kind) {
                'choice', 'choices' => [
                    'options' => [
                        ['id' => 'o1', 'words' => mb_scrub(self::text($random))],
                        ['id' => 'o2', 'words' => 'two'],
                    ],
                    'right' => ['o2'],
                    'shuffle' => true,
                ],
                'number', 'maths' => ['right' => mb_scrub(self::text($random))],
                'text' => ['right' => [mb_scrub(self::text($random))]],
                default => ['from' => 1, 'to' => 5],
            };
        if ($random->getInt(0, 3) === 0) {
            $question[array_keys($question)[$random->getInt(0, count($question) - 1)]] = self::json($random, 2);
        }

        return $question;
    }

    private static function broken(Randomizer $random, string $file): string
    {
        for ($n = $random->getInt(1, 3); $n > 0; $n--) {
            $at = $random->getInt(0, strlen($file));
            $file = substr($file, 0, $at).self::text($random).substr($file, $at + $random->getInt(0, 6));
        }

        return $file;
    }

    /**
     * @param  callable(): mixed  $do
     * @param  list<class-string<\Throwable>>  $declared
     * @param  array<array-key, mixed>  $input
     */
    private static function allowed(callable $do, array $declared, array $input): mixed
    {
        try {
            return $do();
        } catch (\Throwable $problem) {
            foreach ($declared as $class) {
                if ($problem instanceof $class) {
                    return null;
                }
            }
            self::fail(
                sprintf(
                    "%s: %s\nin %s:%d\nfor %s",
                    $problem::class,
                    $problem->getMessage(),
                    $problem->getFile(),
                    $problem->getLine(),
                    json_encode(
                        $input,
                        JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
                    ),
                ),
            );
        }
    }
}
