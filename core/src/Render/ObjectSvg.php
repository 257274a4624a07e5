<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Drawing\StampArt;
use Crag\Canvas\Object\BoxShape;
use Crag\Canvas\Object\CanvasObject;
use Crag\Canvas\Object\Construct;
use Crag\Canvas\Object\Manipulative;
use Crag\Canvas\Object\Maths;
use Crag\Canvas\Object\Note;
use Crag\Canvas\Object\Picture;
use Crag\Canvas\Object\Piece;
use Crag\Canvas\Object\PointShape;
use Crag\Canvas\Object\ShapeLook;
use Crag\Canvas\Object\Stamp;
use Crag\Canvas\Object\Stroke;
use Crag\Canvas\Object\Text;
use Crag\Prompt\Paper;
use LogicException;

/**
 * One object as SVG, in page units, where it stands before it is placed. resources/ts/canvas/drawing/draw.ts draws the
 * same.
 */
final readonly class ObjectSvg
{
    /** How much of what lies under a highlighter's line it lets through. */
    public const HIGHLIGHT_OPACITY = 0.45;

    public function __construct(private Pictures $pictures)
    {
    }

    public function draw(CanvasObject $object): string
    {
        return match (true) {
            $object instanceof Stroke => $object->highlights ? self::highlight($object) : self::stroke($object),
            $object instanceof Text => self::text($object),
            $object instanceof BoxShape => self::shape(
                ShapePath::box($object),
                ShapePath::boxHeads($object),
                $object->look,
            ),
            $object instanceof PointShape => self::shape(
                ShapePath::points($object),
                ShapePath::pointHeads($object),
                $object->look,
            ),
            $object instanceof Maths => self::maths($object),
            $object instanceof Note => self::note($object),
            $object instanceof Stamp => self::stamp($object),
            $object instanceof Picture => $this->picture($object),
            $object instanceof Piece => $this->piece($object),
            $object instanceof Construct => ConstructSvg::draw($object),
            $object instanceof Manipulative => ManipulativeSvg::draw($object),
            default => throw new LogicException('Nothing draws a '.$object::class.'.'),
        };
    }

    /** What lies there to be moved casts a shadow; an area lies flat. */
    private function piece(Piece $piece): string
    {
        if ($piece->area) {
            return $this->draw($piece->of);
        }
        [$right, $down] = PieceShadow::ASIDE;
        $shadow = Xml::element(
            'g',
            ['transform' => "translate({$right} {$down})"],
            $this->draw(PieceShadow::of($piece->of)),
        );

        return $shadow.$this->draw($piece->of);
    }

    private static function stroke(Stroke $stroke): string
    {
        return Xml::element('path', ['d' => StrokeOutline::of($stroke), 'fill' => $stroke->colour->hex]);
    }

    private static function highlight(Stroke $stroke): string
    {
        return Xml::element('path', [
            'd' => StrokeLine::of($stroke),
            'stroke' => $stroke->colour->hex,
            'stroke-width' => $stroke->width / Paper::TENTHS,
            'fill' => 'none',
            'stroke-linecap' => 'round',
            'stroke-linejoin' => 'round',
            'opacity' => self::HIGHLIGHT_OPACITY,
            'style' => 'mix-blend-mode:multiply',
        ]);
    }

    private static function shape(string $path, string $heads, ShapeLook $look): string
    {
        $line = [
            'stroke' => $look->colour->hex,
            'stroke-width' => $look->width / Paper::TENTHS,
            'stroke-linecap' => 'round',
            'stroke-linejoin' => 'round',
        ];
        $inside = ! $look->isFilled()
            ? ['fill' => 'none']
            : ['fill' => ($look->fill ?? $look->colour)->hex, 'fill-opacity' => $look->strength / 100];
        $dashes = ShapePath::dashes($look);
        $drawn = Xml::element(
            'path',
            ['d' => $path] + $line + ($dashes === [] ? [] : ['stroke-dasharray' => implode(' ', $dashes)]) + $inside,
        );

        return $heads === '' ? $drawn : $drawn.Xml::element('path', ['d' => $heads] + $line + ['fill' => 'none']);
    }

    private static function text(Text $text): string
    {
        return self::letters($text->size, $text->colour->hex, TextSvg::lines($text), $text->face);
    }

    private static function note(Note $note): string
    {
        $margin = Note::MARGIN * Paper::TENTHS;
        $sheet = Xml::element('rect', [
            'x' => $note->x / Paper::TENTHS,
            'y' => $note->y / Paper::TENTHS,
            'width' => max(0, $note->w) / Paper::TENTHS,
            'height' => max(0, $note->h) / Paper::TENTHS,
            'rx' => 4,
            'fill' => $note->colour->hex,
            'stroke' => '#8b8578',
            'stroke-width' => 1,
        ]);

        return $sheet.
            self::letters(
                $note->size,
                '#25323b',
                TextSvg::plain(
                    $note->text,
                    $note->x + $margin,
                    $note->y + $margin,
                    max(0, $note->w - 2 * $margin),
                    $note->size,
                ),
            );
    }

    private static function letters(int $size, string $colour, string $inside, string $face = 'plain'): string
    {
        return Xml::element(
            'g',
            [
                'font-family' => $face === 'code' ? SceneSvg::CODE_FONT : SceneSvg::FONT,
                'font-size' => $size,
                'fill' => $colour,
                // Letters stand where their widths put them, not on whole pixels: as a browser's canvas sets them.
                'text-rendering' => 'geometricPrecision',
            ],
            $inside,
        );
    }

    private static function maths(Maths $maths): string
    {
        return Xml::element('path', [
            'd' => $maths->path->path,
            'fill' => $maths->colour->hex,
            'transform' => sprintf(
                'translate(%s %s) scale(%s)',
                Xml::number($maths->x / Paper::TENTHS),
                Xml::number($maths->y / Paper::TENTHS),
                $maths->size / 1000,
            ),
        ]);
    }

    private static function stamp(Stamp $stamp): string
    {
        $scale = $stamp->size / StampArt::FIELD;

        return Xml::element('path', [
            'd' => StampArt::all()[$stamp->stamp],
            'fill' => 'none',
            'stroke' => $stamp->colour->hex,
            'stroke-width' => StampArt::LINE,
            'stroke-linecap' => 'round',
            'stroke-linejoin' => 'round',
            'transform' => sprintf(
                'translate(%s %s) scale(%s)',
                Xml::number($stamp->x / Paper::TENTHS - $stamp->size / 2),
                Xml::number($stamp->y / Paper::TENTHS - $stamp->size / 2),
                $scale,
            ),
        ]);
    }

    private function picture(Picture $picture): string
    {
        $source = $this->pictures->source($picture->asset);

        return $source === null
            ? ''
            : Xml::element(
                'image',
                [
                    'href' => $source,
                    'x' => $picture->x / Paper::TENTHS,
                    'y' => $picture->y / Paper::TENTHS,
                    'width' => max(0, $picture->w) / Paper::TENTHS,
                    'height' => max(0, $picture->h) / Paper::TENTHS,
                    'preserveAspectRatio' => 'none',
                ],
                $picture->alt === '' ? '' : Xml::element('title', [], Xml::text($picture->alt)),
            );
    }
}
