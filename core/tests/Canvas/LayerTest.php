<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\OperationKind;
use PHPUnit\Framework\TestCase;

final class LayerTest extends TestCase
{
    public function test_a_log_holds_what_its_canvas_may_show(): void
    {
        self::assertSame(
            [Layer::Student, Layer::Lead, Layer::Pieces, Layer::Coach],
            Layer::Student->besideInLog(),
        );
        self::assertSame([Layer::Lead, Layer::Pieces], Layer::Lead->besideInLog());
        foreach (Layer::cases() as $layer) {
            // Private notes are in no log but their own, so no student's page is ever sent them.
            self::assertSame(
                $layer === Layer::Private,
                in_array(Layer::Private, $layer->besideInLog(), true),
            );
        }
    }

    public function test_second_thoughts_are_what_an_author_took_away(): void
    {
        self::assertSame(
            [OperationKind::Remove, OperationKind::Cut, OperationKind::Clear, OperationKind::Withdraw],
            OperationKind::rubbingOut(),
        );
        foreach (OperationKind::rubbingOut() as $kind) {
            self::assertTrue($kind->takesAway());
        }
        // What a teacher empties or restores takes away too, and is nobody's second thought.
        self::assertTrue(OperationKind::Fresh->takesAway());
        self::assertFalse(OperationKind::GiveBack->rubsOut());
    }
}
