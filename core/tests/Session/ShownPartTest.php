<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Session\Screen\ShownPart;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ShownPartTest extends TestCase
{
    public function test_a_part_of_a_page_is_read_and_told(): void
    {
        $part = ShownPart::read(new Fields(['x' => 400, 'y' => 250, 'scale' => 2.5]));
        self::assertSame(['x' => 400.0, 'y' => 250.0, 'scale' => 2.5], $part->toArray());
        self::assertFalse($part->isWhole());
        self::assertTrue(ShownPart::read(new Fields(['x' => 0, 'y' => 0, 'scale' => 1]))->isWhole());
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function odd(): iterable
    {
        yield 'nothing' => [[]];
        yield 'beside the page' => [['x' => 2001, 'y' => 0, 'scale' => 2]];
        yield 'above it' => [['x' => 0, 'y' => -1, 'scale' => 2]];
        yield 'smaller than it is' => [['x' => 0, 'y' => 0, 'scale' => 0.5]];
        yield 'larger than anybody needs' => [['x' => 0, 'y' => 0, 'scale' => 8.1]];
        yield 'words' => [['x' => 'left', 'y' => 0, 'scale' => 2]];
    }

    /** @param  array<string, mixed>  $json */
    #[DataProvider('odd')]
    public function test_what_is_no_part_of_a_page_is_refused(array $json): void
    {
        $this->expectException(UnreadableFields::class);
        ShownPart::read(new Fields($json));
    }
}
