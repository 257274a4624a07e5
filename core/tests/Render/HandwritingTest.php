<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Canvas\Scene;
use Crag\Render\NoPictures;
use Crag\Render\SceneSvg;
use Crag\Tests\Canvas\Handwriting;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\TestCase;

/** How ink is drawn changes only where somebody means it to: then handwriting.svg is looked at, and replaced. */
final class HandwritingTest extends TestCase
{
    public function test_handwriting_is_drawn_as_it_was(): void
    {
        $log = array_map(
            static fn (array $stroke, int $i): mixed => Logs::object("letter-number-{$i}", $stroke),
            Handwriting::strokes(),
            array_keys(Handwriting::strokes()),
        );
        $drawn = SceneSvg::ink(Scene::fold($log), new NoPictures());
        self::assertStringEqualsFile(__DIR__.'/handwriting.svg', "{$drawn}\n");
    }
}
