<?php

declare(strict_types=1);

namespace Crag\Render;

/** The little writing of XML that drawing needs. */
final class Xml
{
    /** @param  array<string, string|int|float>  $attributes */
    public static function element(string $name, array $attributes, string $inside = ''): string
    {
        $markup = '<'.$name;
        foreach ($attributes as $key => $value) {
            $markup .=
                ' '.$key.'="'.(is_float($value) ? self::number($value) : self::text((string) $value)).'"';
        }

        return $inside === '' ? $markup.'/>' : $markup.'>'.$inside.'</'.$name.'>';
    }

    /**
     * Words at a place, in the font that is shipped; nothing for none.
     *
     * @param  array<string, string|int|float>  $how  fill, text-anchor, font-weight …
     */
    public static function words(float $x, float $y, float $size, string $words, array $how): string
    {
        return $words === ''
            ? ''
            : self::element(
                'text',
                ['x' => $x, 'y' => $y, 'font-family' => SceneSvg::FONT, 'font-size' => $size] + $how,
                self::text($words),
            );
    }

    public static function text(string $text): string
    {
        return htmlspecialchars(mb_scrub($text), ENT_XML1 | ENT_QUOTES, 'UTF-8');
    }

    /** At most two decimals, no trailing zeros, always with a point. */
    public static function number(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');

        return $text === '-0' ? '0' : $text;
    }
}
