<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\History;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Operation\Placing;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Plan\Handout;
use Crag\Plan\HandoutMode;
use Crag\Plan\InvalidPages;
use Crag\Plan\PromptPage;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Backdrop\BackdropKind;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\TestCase;

final class HandoutTest extends TestCase
{
    private int $made = 0;

    public function test_a_backdrop_lies_under_the_ink_that_is_there(): void
    {
        $log = [Logs::stroke('mine'), ...$this->put(Handout::of(HandoutMode::Backdrop, [$this->page(2)]), [''])];
        $scene = Scene::fold($log);
        self::assertSame(BackdropKind::Squared, $scene->backdrop()->kind);
        self::assertSame(
            [Layer::Lead, Layer::Lead, Layer::Student],
            array_values(array_map(static fn (PlacedObject $one): Layer => $one->layer, $scene->placed)),
        );
    }

    public function test_pages_that_are_not_there_are_added(): void
    {
        $log = [Logs::stroke('mine'), ...$this->put(Handout::of(HandoutMode::Backdrop, [2 => $this->page(1)]), [''])];
        $scene = Scene::fold($log);
        self::assertCount(3, $scene->pages);
        self::assertSame(BackdropKind::Squared, $scene->backdrop(array_keys($scene->pages)[2])->kind);
        self::assertSame(BackdropKind::Blank, $scene->backdrop()->kind);
        self::assertCount(1, $scene->onPage(''));
    }

    public function test_pieces_are_for_students_to_move_and_bring_no_backdrop(): void
    {
        $scene = Scene::fold($this->put(Handout::of(HandoutMode::Pieces, [$this->page(2)], 'A weight'), ['']));
        self::assertSame(BackdropKind::Blank, $scene->backdrop()->kind);
        $names = array_map(
            static fn (PlacedObject $one): string => $one->layer->value.
                ' '.
                ($one->object instanceof Piece ? $one->object->alt : '?'),
            array_values($scene->placed),
        );
        self::assertSame(['pieces A weight 1', 'pieces A weight 2'], $names);
    }

    public function test_a_fresh_start_puts_all_away_and_withdrawing_it_gives_all_back(): void
    {
        $before = [
            Logs::stroke('mine'),
            Logs::operation('answer', 'answer', ['question' => 'qqqqqqqqqqqq', 'value' => '240 N']),
        ];
        $fresh = $this->put(Handout::of(HandoutMode::Fresh, [3 => $this->page(1)]), ['']);
        $scene = Scene::fold([...$before, ...$fresh]);
        self::assertCount(1, $scene->pages);
        self::assertSame([], $scene->answers);
        self::assertSame(
            [Layer::Lead],
            array_values(array_map(static fn (PlacedObject $one): Layer => $one->layer, $scene->placed)),
        );
        self::assertNull(
            History::of([...$before, ...$fresh], Author::seat(Logs::SEAT), Layer::Student)->undo(),
            'undo does not reach behind it',
        );

        $undo = array_map(fn (Operation $one): Operation => $this->withdraw($one), array_reverse($fresh));
        $log = [...$before, ...$fresh, Logs::stroke('after'), ...$undo];
        self::assertSame(
            [Logs::id('mine'), Logs::id('after')],
            array_map(strval(...), array_keys(Scene::fold($log)->placed)),
        );
        self::assertSame(['qqqqqqqqqqqq' => '240 N'], Scene::fold($log)->answers);
        self::assertSame(Logs::id('after'), History::of($log, Author::seat(Logs::SEAT), Layer::Student)->undo());
    }

    public function test_undoing_a_backdrop_gives_the_one_before(): void
    {
        $first = $this->put(
            Handout::of(HandoutMode::Backdrop, [new PromptPage(Backdrop::read(new Fields(['kind' => 'lined'])))]),
            [''],
        );
        $second = $this->put(Handout::of(HandoutMode::Backdrop, [$this->page(0)]), ['']);
        self::assertSame(BackdropKind::Squared, Scene::fold([...$first, ...$second])->backdrop()->kind);
        self::assertSame(
            BackdropKind::Lined,
            Scene::fold([...$first, ...$second, ...array_map($this->withdraw(...), $second)])->backdrop()->kind,
        );
    }

    public function test_it_is_kept_and_read_again(): void
    {
        $handout = Handout::of(HandoutMode::Fresh, [$this->page(2), $this->page(1)]);
        self::assertSame($handout->toArray(), Handout::read($handout->toArray())->toArray());
    }

    public function test_nothing_cannot_be_handed_out(): void
    {
        $this->expectException(InvalidPages::class);
        Handout::of(HandoutMode::Pieces, [$this->page(0)], 'x');
    }

    private function page(int $objects): PromptPage
    {
        $examples = array_values(Examples::all());
        $placings = array_map(
            static fn (int $i): Placing => Placing::read(new Fields(['object' => $examples[$i]])),
            $objects === 0 ? [] : range(0, $objects - 1),
        );

        return new PromptPage(Backdrop::read(new Fields(['kind' => 'squared', 'size' => 'middle'])), $placings);
    }

    /**
     * @param  list<string>  $there
     * @return list<Operation>
     */
    private function put(Handout $handout, array $there): array
    {
        $operations = $handout->operations($there, fn (): string => sprintf('handout%08d', ++$this->made));

        return array_map(
            static fn (array $one): Operation => Operation::read($one + ['at' => 5], Author::teacher()),
            $operations,
        );
    }

    private function withdraw(Operation $one): Operation
    {
        return Operation::read(
            [
                'id' => sprintf('handout%08d', ++$this->made),
                'kind' => 'withdraw',
                'layer' => 'lead',
                'at' => 6,
                'body' => ['target' => $one->id->value],
            ],
            Author::teacher(),
        );
    }
}
