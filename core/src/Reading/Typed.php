<?php

declare(strict_types=1);

namespace Crag\Reading;

use Crag\Canvas\Log\Layer;
use Crag\Canvas\Marking\Footprint;
use Crag\Canvas\Object\Maths;
use Crag\Canvas\Object\Note;
use Crag\Canvas\Object\PlacedObject;
use Crag\Canvas\Object\Text;
use Crag\Canvas\Scene;

/** Something that a student typed on a canvas, and where it stands. */
final readonly class Typed
{
    private function __construct(public string $text, public ?Where $where)
    {
    }

    public static function saying(string $text): self
    {
        return new self($text, null);
    }

    /**
     * All of it as one reads it: page by page, from top to bottom.
     *
     * @return list<self> words and notes; formulas in LaTeX
     */
    public static function on(Scene $scene): array
    {
        $pages = array_flip(array_map(strval(...), array_keys($scene->pages)));
        $found = [];
        foreach ($scene->placed as $placed) {
            $words = $placed->layer === Layer::Student ? self::words($placed) : '';
            if ($words !== '') {
                [$x, $y] = Footprint::middle($placed);
                $found[] = [$pages[$placed->page] ?? count($pages), $y, $x, $words];
            }
        }
        sort($found);

        return array_map(
            static fn (array $one): self => new self($one[3], new Where($one[0], $one[2], $one[1])),
            $found,
        );
    }

    /** @return list<self> its lines, each at the same place; none that are empty */
    public function lines(): array
    {
        $lines = [];
        foreach (explode("\n", $this->text) as $line) {
            if (trim($line) !== '') {
                $lines[] = new self(trim($line), $this->where);
            }
        }

        return $lines;
    }

    private static function words(PlacedObject $placed): string
    {
        return match (true) {
            $placed->object instanceof Text, $placed->object instanceof Note => $placed->object->text,
            $placed->object instanceof Maths => $placed->object->source,
            default => '',
        };
    }
}
