<?php

declare(strict_types=1);

namespace Crag\Render\Papers;

use Crag\Prompt\Paper;
use Crag\Render\Maps\Africa;
use Crag\Render\Maps\Asia;
use Crag\Render\Maps\BritishIsles;
use Crag\Render\Maps\Europe;
use Crag\Render\Maps\NorthAmerica;
use Crag\Render\Maps\Oceania;
use Crag\Render\Maps\SouthAmerica;
use Crag\Render\Maps\World;
use Crag\Render\Xml;

/** Coasts and borders in outline, as large as the paper allows. */
final class MapSvg
{
    /** In which the outlines are drawn, in units. */
    private const WIDTH = 1600;

    private const HEIGHT = 1000;

    public static function draw(Paper $paper, string $map): string
    {
        [$coast, $borders] = match ($map) {
            'africa' => [Africa::COAST, Africa::BORDERS],
            'asia' => [Asia::COAST, Asia::BORDERS],
            'british-isles' => [BritishIsles::COAST, BritishIsles::BORDERS],
            'europe' => [Europe::COAST, Europe::BORDERS],
            'north-america' => [NorthAmerica::COAST, NorthAmerica::BORDERS],
            'oceania' => [Oceania::COAST, Oceania::BORDERS],
            'south-america' => [SouthAmerica::COAST, SouthAmerica::BORDERS],
            default => [World::COAST, World::BORDERS],
        };
        $place = ['width' => $paper->width, 'height' => $paper->height, 'viewBox' => '0 0 '.self::WIDTH.' '.self::HEIGHT];

        return Xml::element(
            'svg',
            $place,
            self::lines($borders, '#b7c6cc', 1.2).self::lines($coast, '#7d8b92', 1.8),
        );
    }

    private static function lines(string $path, string $colour, float $width): string
    {
        return Xml::element('path', [
            'd' => (string) preg_replace('/\s+(?=[Ml])/', '', $path),
            'stroke' => $colour,
            'stroke-width' => $width,
            'stroke-linejoin' => 'round',
            'fill' => 'none',
        ]);
    }
}
