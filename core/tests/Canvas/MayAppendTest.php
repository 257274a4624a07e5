<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\EarlierOperation;
use Crag\Canvas\Log\MayAppend;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\RefusedOperation;
use Crag\Canvas\Log\TrayInForce;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DoesNotPerformAssertions;
use PHPUnit\Framework\TestCase;

final class MayAppendTest extends TestCase
{
    #[DataProvider('refused')]
    public function test_it_refuses_with_the_reason(Operation $operation, string $reason): void
    {
        $this->expectException(RefusedOperation::class);
        $this->expectExceptionMessage($reason);
        self::rule()->check($operation);
    }

    /** @return iterable<string, array{Operation, string}> */
    public static function refused(): iterable
    {
        $lead = Logs::stroke('n', 0, null);
        yield 'a student on the lead layer' => [
            Operation::read($lead->toArray(), Author::seat(Logs::SEAT)),
            'You can’t write there.',
        ];
        yield 'a teacher on the student layer' => [
            Operation::read(Logs::stroke('n')->toArray(), Author::teacher()),
            'You can’t write there.',
        ];
        yield 'a student handing out' => [
            Logs::operation('n', 'backdrop', ['backdrop' => ['kind' => 'lined']]),
            'Only the teacher',
        ];
        yield 'a student starting fresh' => [Logs::operation('n', 'fresh'), 'Only the teacher'];
        yield 'a teacher answering' => [
            Logs::operation('n', 'answer', ['question' => 'q1', 'value' => 3], null),
            'Only students',
        ];
        yield 'an answer to nothing' => [
            Logs::operation('n', 'answer', ['question' => 'q2', 'value' => 3]),
            'no longer asked',
        ];
        yield 'an answer that is none' => [
            Logs::operation('n', 'answer', ['question' => 'q1', 'value' => 9]),
            'isn’t an answer to this',
        ];
        yield 'undoing an answer' => [Logs::undo('n', 'answer'), 'That can’t be done to this.'];
        yield 'erasing what is not there' => [Logs::remove('n', 'ghost'), 'isn’t on this canvas any more'];
        yield 'erasing what another wrote' => [Logs::remove('n', 'theirs'), 'Someone else made that'];
        yield 'erasing half of it from another' => [Logs::remove('n', 'stroke', 'theirs'), 'Someone else made that'];
        yield 'erasing the teacher\'s' => [Logs::remove('n', 'lead'), 'Someone else made that'];
        yield 'erasing an eraser' => [Logs::remove('n', 'rub'), 'That can’t be done to this.'];
        yield 'retyping a stroke' => [Logs::retype('n', 'stroke', 'x'), 'That can’t be done to this.'];
        yield 'undoing an undo' => [Logs::undo('n', 'undo'), 'That can’t be done to this.'];
        yield 'moving another\'s' => [
            Logs::operation('n', 'arrange', ['targets' => [Logs::id('theirs')], 'order' => 'front']),
            'Someone else made that',
        ];
        yield 'losing a piece' => [Logs::remove('n', 'piece'), 'Someone else made that'];
        yield 'repainting a piece' => [
            Logs::operation('n', 'change', ['target' => Logs::id('piece'), 'set' => ['alt' => 'x']]),
            'Someone else made that',
        ];
        yield 'locking' => [
            Logs::operation('n', 'arrange', ['targets' => [Logs::id('stroke')], 'lock' => true]),
            'Only the teacher',
        ];
        yield 'cutting words' => [
            Logs::operation('n', 'cut', ['cuts' => [['target' => Logs::id('words'), 'keep' => []]]]),
            'That can’t be done to this.',
        ];
        yield 'taking out what is no page' => [
            Logs::arrangePage('n', 'stroke', ['gone' => true]),
            'That can’t be done to this.',
        ];
        yield 'taking out a page that was handed out' => [
            Logs::arrangePage('n', 'given', ['gone' => true]),
            'Someone else made that',
        ];
        yield 'straightening words' => [
            Logs::straighten('n', 'words', Examples::all()['line']),
            'That can’t be done to this.',
        ];
        yield 'the third of two' => [Logs::remove('n', Logs::id('pasted').'.2'), 'That can’t be done to this.'];
        yield 'one of a single one' => [Logs::remove('n', Logs::id('stroke').'.0'), 'That can’t be done to this.'];
        yield 'a page that is none' => [Logs::onPage('ghost', Logs::stroke('n')), 'isn’t on this canvas any more'];
        yield 'a stroke as a page' => [Logs::onPage('stroke', Logs::stroke('n')), 'That can’t be done to this.'];
        yield 'removing a page' => [Logs::remove('n', 'page'), 'That can’t be done to this.'];
        yield 'a student giving back' => [
            Logs::operation('n', 'give_back', ['target' => Logs::id('stroke')]),
            'Only the teacher',
        ];
        yield 'giving back what never was' => [Logs::giveBack('n', 'ghost'), 'isn’t on this canvas any more'];
        yield 'a student as coach' => [
            Operation::read(Logs::coach('n')->toArray(), Author::seat(Logs::SEAT)),
            'You can’t write there.',
        ];
        yield 'coach ink rubbing out a student\'s' => [
            Logs::coach('n', 'remove', ['targets' => [Logs::id('stroke')]]),
            'Someone else made that',
        ];
        yield 'coach ink moving a piece' => [
            Logs::coach('n', 'arrange', ['targets' => [Logs::id('piece')], 'order' => 'front']),
            'Someone else made that',
        ];
        yield 'coach ink undoing what was handed out' => [
            Logs::coach('n', 'withdraw', ['target' => Logs::id('lead')]),
            'Someone else made that',
        ];
        yield 'coach ink handing out' => [
            Logs::coach('n', 'backdrop', ['backdrop' => ['kind' => 'lined']]),
            'You can’t write there.',
        ];
        yield 'coach ink adding a page' => [Logs::coach('n', 'page', []), 'You can’t write there.'];
        yield 'coach ink giving back' => [
            Logs::coach('n', 'give_back', ['target' => Logs::id('stroke')]),
            'You can’t write there.',
        ];
        yield 'private ink on a student\'s log' => [Logs::coach('n', layer: 'private'), 'You can’t write there.'];
        yield 'undoing another\'s' => [Logs::undo('n', 'theirs'), 'Someone else made that'];
    }

    #[DataProvider('accepted'), DoesNotPerformAssertions]
    public function test_it_lets_a_student_do_what_is_theirs(Operation $operation): void
    {
        self::rule()->check($operation);
    }

    /** @return iterable<string, array{Operation}> */
    public static function accepted(): iterable
    {
        yield 'draw' => [Logs::stroke('n')];
        yield 'erase' => [Logs::remove('n', 'stroke', 'words')];
        yield 'retype' => [Logs::retype('n', 'words', 'x')];
        yield 'undo a rub' => [Logs::undo('n', 'rub')];
        yield 'redo' => [Logs::redo('n', 'stroke')];
        yield 'move a piece' => [
            Logs::operation('n', 'arrange', ['targets' => [Logs::id('piece')], 'places' => [[1, 2, 3, 10000]]]),
        ];
        yield 'cut a stroke that was pasted' => [
            Logs::operation('n', 'cut', ['cuts' => [['target' => Logs::id('pasted').'.1', 'keep' => [[0, 8]]]]]),
        ];
        yield 'straighten a stroke' => [Logs::straighten('n', 'stroke', Examples::all()['line'])];
        yield 'recolour' => [
            Logs::operation('n', 'change', ['target' => Logs::id('stroke'), 'set' => ['colour' => '#000000']]),
        ];
        yield 'draw on a page more' => [Logs::onPage('page', Logs::stroke('n'))];
        yield 'take a page out' => [Logs::arrangePage('n', 'page', ['gone' => true])];
        yield 'undo a page' => [Logs::undo('n', 'page')];
        yield 'copy a piece' => [Logs::object('n', Examples::piece())];
        yield 'answer' => [Logs::operation('n', 'answer', ['question' => 'q1', 'value' => 3])];
        yield 'take an answer back' => [Logs::operation('n', 'answer', ['question' => 'q1', 'value' => null])];
        yield 'empty' => [Logs::operation('n', 'clear')];
        yield 'coach' => [Logs::coach('n')];
        yield 'give back, as the teacher' => [Logs::giveBack('n', 'stroke')];
        yield 'hand out, as the teacher' => [
            Logs::operation('n', 'backdrop', ['backdrop' => ['kind' => 'lined']], null),
        ];
    }

    public function test_a_full_canvas_takes_no_more(): void
    {
        $this->expectException(RefusedOperation::class);
        self::rule(length: MayAppend::MOST_OPERATIONS)->check(Logs::stroke('n'));
    }

    public function test_a_tool_that_is_not_in_the_tray_makes_nothing(): void
    {
        $rule = self::rule(TrayKind::Starter);
        $rule->check(Logs::stroke('n'));
        $rule->check(Logs::operation('n', 'arrange', ['targets' => [Logs::id('stroke')], 'order' => 'front']));
        $this->expectException(RefusedOperation::class);
        $this->expectExceptionMessage('Your tray doesn’t have');
        $rule->check(Logs::object('n', Examples::stamp()));
    }

    public function test_undo_needs_no_tool(): void
    {
        self::rule(TrayKind::Custom)->check(Logs::undo('n', 'rub'));
        $this->expectException(RefusedOperation::class);
        self::rule(TrayKind::Custom)->check(Logs::remove('n', 'words'));
    }

    public function test_a_picture_of_somebody_elses_cannot_be_shown(): void
    {
        self::rule(pictures: true)->check(Logs::object('n', Examples::picture()));
        $this->expectException(RefusedOperation::class);
        $this->expectExceptionMessage('use that picture');
        self::rule()->check(Logs::object('n', Examples::picture()));
    }

    public function test_a_page_takes_so_many_objects_and_what_was_rubbed_out_makes_room(): void
    {
        $full = Scene::fold([
            Logs::operation('p', 'add', ['objects' => array_fill(0, 400, ['object' => Examples::stamp()])]),
        ]);
        self::rule(everAdded: MayAppend::MOST_OBJECTS, scene: $full)->check(Logs::stroke('n'));
        $placed = [];
        foreach (range(1, MayAppend::MOST_OBJECTS) as $i) {
            $placed["id{$i}"] = $full->placed[Logs::id('p').'.0'];
        }
        $this->expectException(RefusedOperation::class);
        $this->expectExceptionMessage('page is full');
        self::rule(everAdded: MayAppend::MOST_OBJECTS, scene: new Scene($full->pages, $placed))->check(
            Logs::stroke('n'),
        );
    }

    private static function rule(
        TrayKind $tray = TrayKind::Maths,
        int $length = 0,
        bool $pictures = false,
        int $everAdded = 0,
        ?Scene $scene = null,
    ): MayAppend {
        $log = [
            Logs::stroke('stroke'),
            Logs::text('words', 'x'),
            Logs::stroke('theirs', 0, 'seat-two'),
            Logs::stroke('lead', 0, null),
            Logs::remove('rub', 'stroke'),
            Logs::undo('undo', 'rub'),
            Logs::piece('piece'),
            Logs::operation('page', 'page'),
            Logs::operation('given', 'page', [], null),
            Logs::operation('answer', 'answer', ['question' => 'q1', 'value' => 2]),
            Logs::operation('pasted', 'add', [
                'objects' => [['object' => Examples::note()], ['object' => Examples::stroke()]],
            ]),
        ];
        $known = [];
        foreach ($log as $operation) {
            $known[$operation->id->value] = EarlierOperation::of($operation);
        }

        return new MayAppend(
            max($length, count($log)),
            $known,
            TrayInForce::always(ToolTray::of($tray)),
            2_000,
            static fn (): bool => $pictures,
            $everAdded,
            static fn (): Scene => $scene ?? Scene::fold($log),
            static fn (string $id): ?Question => $id === 'q1'
                ? Question::read(new Fields(['id' => 'q1', 'kind' => 'scale', 'words' => '']))
                : null,
        );
    }
}
