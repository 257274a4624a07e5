<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Formats\QtiItem;
use Crag\Formats\QtiPackage;
use Crag\Formats\UnreadableFile;
use Crag\Json\Fields;
use Crag\Plan\PlanPrompt;
use Crag\Prompt\Question\Question;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class QtiTest extends TestCase
{
    private const ITEM = <<<'XML'
    <?xml version="1.0" encoding="UTF-8"?>
    <qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="lever" title="A lever" adaptive="false" time-dependent="false">
      <qti-response-declaration identifier="R1" cardinality="single" base-type="identifier"><qti-correct-response><qti-value>B</qti-value></qti-correct-response></qti-response-declaration>
      <qti-response-declaration identifier="R2" cardinality="single" base-type="string"><qti-correct-response><qti-value>pivot</qti-value></qti-correct-response>
        <qti-mapping default-value="0"><qti-map-entry map-key="fulcrum" mapped-value="1"/><qti-map-entry map-key="beam" mapped-value="0"/></qti-mapping></qti-response-declaration>
      <qti-response-declaration identifier="R3" cardinality="single" base-type="float"><qti-correct-response><qti-value>2.5</qti-value></qti-correct-response></qti-response-declaration>
      <qti-item-body>
        <p>A plank lies on a <b>support</b>.</p>
        <qti-choice-interaction response-identifier="R1" max-choices="1" shuffle="true"><qti-prompt>Which way does it tip?</qti-prompt>
          <qti-simple-choice identifier="A">left</qti-simple-choice><qti-simple-choice identifier="B">right</qti-simple-choice></qti-choice-interaction>
        <p>It turns about the <qti-text-entry-interaction response-identifier="R2"/>, at <qti-text-entry-interaction response-identifier="R3"/> m.</p>
      </qti-item-body>
    </qti-assessment-item>
    XML;

    public function test_an_item_becomes_a_prompt_with_its_questions(): void
    {
        $prompt = QtiItem::read(self::ITEM);
        self::assertSame("A plank lies on a support.\nIt turns about the ____ , at ____ m.", $prompt->words);
        [$tips, $pivot, $at] = $prompt->questions;
        self::assertSame('Which way does it tip?', $tips->words);
        self::assertTrue($tips->toArray()['shuffle']);
        self::assertSame('right', $tips->asked->key());
        self::assertSame('right', $pivot->compare('Fulcrum')?->outcome->value);
        self::assertSame('right', $pivot->compare('pivot')?->outcome->value);
        self::assertSame('wrong', $pivot->compare('beam')?->outcome->value);
        self::assertSame('right', $at->compare('5/2')?->outcome->value);
    }

    public function test_what_is_written_is_read_again(): void
    {
        $option = static fn (string $id, string $words): array => ['id' => $id, 'words' => $words];
        $prompt = PlanPrompt::read(
            new Fields([
                'words' => "Two lines & a sign <\nof it",
                'questions' => [
                    [
                        'id' => 'a',
                        'kind' => 'choices',
                        'words' => 'Which?',
                        'spot' => null,
                        'options' => [$option('c1', 'one'), $option('c2', 'two & a half'), $option('c3', 'three')],
                        'right' => ['c1', 'c3'],
                        'shuffle' => true,
                    ],
                    ['id' => 'b', 'kind' => 'text', 'words' => '', 'spot' => null, 'right' => ['pivot', 'fulcrum']],
                    ['id' => 'c', 'kind' => 'number', 'words' => '', 'spot' => null, 'right' => '2.5'],
                    ['id' => 'd', 'kind' => 'number', 'words' => '', 'spot' => null, 'right' => '240 N m'],
                    ['id' => 'e', 'kind' => 'scale', 'words' => 'How sure?', 'spot' => null, 'from' => 1, 'to' => 3],
                ],
            ]),
        );
        $files = QtiPackage::write('Levers', [PlanPrompt::saying('no question'), $prompt]);
        self::assertSame(['imsmanifest.xml', 'item-002.xml'], array_keys($files));
        self::assertSame(['item-002.xml'], QtiItem::named($files['imsmanifest.xml']));
        $read = QtiItem::read($files['item-002.xml']);
        self::assertStringStartsWith("Two lines & a sign <\nof it", $read->words);
        $keys = array_map(
            static fn (Question $one): string => "{$one->asked->kind()->value}: {$one->asked->key()}",
            $read->questions,
        );
        sort($keys);
        self::assertSame(
            ['choice: ', 'choices: one · three', 'number: 2.5', 'number: 240 N m', 'text: pivot / fulcrum'],
            $keys,
        );
    }

    public function test_tolerances_places_pictures_and_ticks_are_kept_and_what_is_left_out_is_said(): void
    {
        $spot = ['page' => 1, 'x' => 40, 'y' => 60, 'w' => 300, 'h' => 80];
        $number = static fn (string $id, string $right, string $kind, string $most): array => [
            'id' => $id, 'kind' => 'number', 'words' => '', 'spot' => $spot, 'right' => $right,
            'tolerance' => ['kind' => $kind, 'most' => $most],
        ];
        $prompt = PlanPrompt::read(new Fields(['words' => 'Answer.', 'questions' => [
            $number('a', '2.5', 'within', '0.1'),
            $number('b', '60', 'percent', '5'),
            $number('c', '240 N m', 'within', '10'),
            ['id' => 'd', 'kind' => 'tick', 'words' => 'Done?', 'spot' => null, 'right' => 'ticked'],
            ['id' => 'e', 'kind' => 'drawing', 'words' => '', 'spot' => $spot],
            ['id' => 'f', 'kind' => 'space', 'words' => '', 'spot' => $spot],
            ['id' => 'g', 'kind' => 'choice', 'words' => 'Which?', 'spot' => null, 'right' => [], 'shuffle' => false,
                'options' => [['id' => 'x', 'words' => '', 'picture' => 'PIC'], ['id' => 'y', 'words' => 'none']]],
            ['id' => 'h', 'kind' => 'maths', 'words' => '', 'spot' => null, 'right' => '2x+6'],
        ]]));
        $files = QtiPackage::write('Levers', [$prompt], ['PIC' => 'pictures/PIC.png']);
        self::assertSame(
            "Left out:\nPrompt 1, question 3: its tolerance\nPrompt 1, question 5: all of it (A drawing)\n",
            $files['left-out.txt'],
        );
        self::assertSame(['pictures/PIC.png'], QtiItem::pictures($files['item-001.xml']));
        $read = QtiItem::read($files['item-001.xml'], ['pictures/PIC.png' => 'NEW'])->questions;
        $found = [];
        foreach ($read as $question) {
            $found["= {$question->asked->key()}"] = $question;
        }
        self::assertSame('right', $found['= 2.5']->compare('2.6')?->outcome->value);
        self::assertSame('wrong', $found['= 2.5']->compare('2.7')?->outcome->value);
        self::assertSame('right', $found['= 60']->compare('63')?->outcome->value);
        self::assertSame('wrong', $found['= 60']->compare('64')?->outcome->value);
        self::assertSame($spot, $found['= 2.5']->spot?->toArray());
        self::assertSame('maths', $found['= 2x+6']->asked->kind()->value);
        self::assertSame('✓', $found['= ✓']->asked->key());
        self::assertSame(['NEW'], $found['= ']->asked->assets());
        // What is whole has nothing to say.
        self::assertArrayNotHasKey('left-out.txt', QtiPackage::write('Levers', [PlanPrompt::saying('F?')]));
    }

    /** @return iterable<string, array{string}> */
    public static function broken(): iterable
    {
        yield 'nothing' => [''];
        yield 'another root' => ['<assessmentItem/>'];
        yield 'no body' => ['<qti-assessment-item xmlns="'.QtiItem::NAMESPACE.'"/>'];
        yield 'entities' => ['<!DOCTYPE a [<!ENTITY x "y">]><qti-assessment-item/>'];
        yield 'a choice without choices' => [
            '<qti-assessment-item xmlns="'.
            QtiItem::NAMESPACE.
            '"><qti-item-body><qti-choice-interaction response-identifier="R"/></qti-item-body></qti-assessment-item>',
        ];
    }

    #[DataProvider('broken')]
    public function test_what_is_no_item_is_refused(string $xml): void
    {
        $this->expectException(UnreadableFile::class);
        QtiItem::read($xml);
    }
}
