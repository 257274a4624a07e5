<?php

declare(strict_types=1);

namespace Crag\Tests\Prompt;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\TrayInForce;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ToolTrayTest extends TestCase
{
    public function test_the_starter_tray_draws_rubs_moves_and_writes(): void
    {
        self::assertSame([Tool::Pen, Tool::Eraser, Tool::Move, Tool::Text], ToolTray::of(TrayKind::Starter)->tools);
    }

    public function test_only_the_maths_tray_has_maths_constructions_and_pieces_and_the_standard_one_the_rest(): void
    {
        self::assertFalse(ToolTray::of(TrayKind::Standard)->has(Tool::Maths));
        self::assertSame(Tool::cases(), ToolTray::of(TrayKind::Maths)->tools);
        self::assertFalse(ToolTray::of(TrayKind::Standard)->has(Tool::Construct));
        self::assertFalse(ToolTray::of(TrayKind::Standard)->has(Tool::Pieces));
        self::assertCount(count(Tool::cases()) - 3, ToolTray::of(TrayKind::Standard)->tools);
    }

    public function test_pictures_can_be_taken_out_of_any_tray(): void
    {
        self::assertFalse(ToolTray::of(TrayKind::Standard, pictures: false)->has(Tool::Picture));
        self::assertFalse(ToolTray::of(TrayKind::Custom, [Tool::Pen, Tool::Picture], false)->has(Tool::Picture));
    }

    public function test_every_tray_reads_back(): void
    {
        foreach (
            [
                ToolTray::of(TrayKind::Maths),
                ToolTray::of(TrayKind::Standard, pictures: false),
                ToolTray::of(TrayKind::Custom, [Tool::Text, Tool::Pen]),
            ] as $tray
        ) {
            self::assertEquals($tray, ToolTray::read(new Fields($tray->toArray())));
        }
        $this->expectException(UnreadableFields::class);
        ToolTray::read(new Fields(['kind' => 'custom', 'tools' => ['chisel']]));
    }

    /** @return iterable<string, array{Tool, Operation}> */
    public static function made(): iterable
    {
        $tools = [
            'stroke' => Tool::Pen,
            'highlight' => Tool::Highlighter,
            'line' => Tool::Shapes,
            'arrow' => Tool::Shapes,
            'rectangle' => Tool::Shapes,
            'ellipse' => Tool::Shapes,
            'triangle' => Tool::Shapes,
            'polygon' => Tool::Shapes,
            'curve' => Tool::Shapes,
            'text' => Tool::Text,
            'maths' => Tool::Maths,
            'dotted' => Tool::Shapes,
            'dashed' => Tool::Shapes,
            'list' => Tool::Text,
            'code' => Tool::Text,
            'note' => Tool::Note,
            'stamp' => Tool::Stamps,
            'picture' => Tool::Picture,
            'piece' => Tool::Move,
            'construction' => Tool::Construct,
        ];
        foreach (Examples::all() as $kind => $object) {
            yield $kind => [$tools[$kind], Logs::object('n', $object)];
        }
        yield 'cut' => [
            Tool::Eraser,
            Logs::operation('n', 'cut', ['cuts' => [['target' => Logs::id('a'), 'keep' => []]]]),
        ];
        yield 'clear' => [Tool::Eraser, Logs::operation('n', 'clear')];
        yield 'arrange' => [
            Tool::Move,
            Logs::operation('n', 'arrange', ['targets' => [Logs::id('a')], 'order' => 'front']),
        ];
        yield 'page' => [Tool::Pages, Logs::operation('n', 'page')];
    }

    #[DataProvider('made')]
    public function test_what_a_tool_makes_needs_that_tool(Tool $tool, Operation $operation): void
    {
        self::assertTrue($operation->fits(ToolTray::of(TrayKind::Custom, [$tool])));
        $others = array_values(array_filter(Tool::cases(), static fn (Tool $one): bool => $one !== $tool));
        self::assertFalse($operation->fits(ToolTray::of(TrayKind::Custom, $others)));
        $teachers = new Operation($operation->id, $operation->layer, Author::teacher(), 0, $operation->effect);
        self::assertTrue($teachers->fits(ToolTray::of(TrayKind::Custom)));
    }

    public function test_straightening_needs_the_pen_and_shapes(): void
    {
        $straighten = Logs::straighten('n', 'a', Examples::all()['line']);
        self::assertTrue($straighten->fits(ToolTray::of(TrayKind::Custom, [Tool::Pen, Tool::Shapes])));
        self::assertFalse($straighten->fits(ToolTray::of(TrayKind::Custom, [Tool::Pen])));
        self::assertFalse($straighten->fits(ToolTray::of(TrayKind::Custom, [Tool::Shapes])));
    }

    public function test_pasting_needs_the_tool_of_everything_that_is_pasted(): void
    {
        $paste = Logs::operation('n', 'add', [
            'objects' => [['object' => Examples::note()], ['object' => Examples::stamp()]],
        ]);
        self::assertFalse($paste->fits(ToolTray::of(TrayKind::Custom, [Tool::Note])));
        self::assertTrue($paste->fits(ToolTray::of(TrayKind::Custom, [Tool::Note, Tool::Stamps])));
    }

    public function test_what_was_made_before_the_tray_changed_is_still_taken_for_a_while(): void
    {
        $changed = 100_000;
        $tray = TrayInForce::since(
            ToolTray::of(TrayKind::Starter),
            $changed,
            TrayInForce::always(ToolTray::of(TrayKind::Standard)),
        );
        $made = static fn (int $at): Operation => Operation::read(
            ['at' => $at] + Logs::object('n', Examples::stamp())->toArray(),
            Author::seat('s'),
        );
        self::assertTrue($tray->allows($made($changed - 60_000), $changed + 300_000), 'offline as the tray changed');
        self::assertTrue($tray->allows($made($changed + 900), $changed + 1_000), 'on the way as it changed');
        self::assertFalse($tray->allows($made($changed + 20_000), $changed + 20_000), 'made afterwards');
        self::assertFalse($tray->allows($made($changed - 60_000), $changed + 700_000), 'much too late');
        self::assertEquals($tray, TrayInForce::read($tray->toArray()));
    }

    public function test_a_tray_that_never_had_the_tool_gives_no_grace(): void
    {
        $tray = TrayInForce::since(
            ToolTray::of(TrayKind::Starter),
            1_000,
            TrayInForce::always(ToolTray::of(TrayKind::Starter)),
        );
        self::assertFalse($tray->allows(Logs::object('n', Examples::stamp()), 1_001));
    }
}
