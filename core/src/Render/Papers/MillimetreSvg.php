<?php

declare(strict_types=1);

namespace Crag\Render\Papers;

use Crag\Prompt\Paper;
use Crag\Render\Xml;

/** Graph paper in millimetres: ten units are one, every fifth line is firmer and every tenth the firmest. */
final class MillimetreSvg
{
    private const MM = 10;

    public static function draw(Paper $paper): string
    {
        $paths = ['', '', ''];
        foreach ([[$paper->width, true], [$paper->height, false]] as [$length, $isAcross]) {
            for ($n = 1; $n * self::MM < $length; $n++) {
                $at = $n * self::MM;
                $paths[$n % 10 === 0 ? 2 : ($n % 5 === 0 ? 1 : 0)] .= $isAcross
                    ? "M{$at} 0V{$paper->height}"
                    : "M0 {$at}H{$paper->width}";
            }
        }
        $drawing = '';
        foreach ([['#e3ecef', 0.8], ['#cfdde2', 1.1], ['#aebfc6', 1.7]] as $i => [$colour, $width]) {
            $drawing .= Xml::element('path', [
                'd' => $paths[$i],
                'stroke' => $colour,
                'stroke-width' => $width,
                'fill' => 'none',
            ]);
        }

        return $drawing;
    }
}
