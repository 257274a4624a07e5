<?php

declare(strict_types=1);

namespace Crag\Session\Door;

use Normalizer;
use Stringable;

/** A name as a person typed it, made safe to show: any script, up to 40 characters as people count them. */
final readonly class PersonName implements Stringable
{
    public const LONGEST = 40;

    private function __construct(public string $value)
    {
    }

    /** @throws InvalidName when nothing that can be seen is left, or it is too long */
    public static function read(string $typed): self
    {
        $name = (string) normalizer_normalize(mb_scrub($typed), Normalizer::FORM_C);
        // Control, direction-override and unassigned characters go; the two joiners that scripts need stay.
        $name = (string) preg_replace('/[^\P{C}\x{200c}\x{200d}\s]/u', '', $name);
        $name = trim((string) preg_replace('/[\s\p{Z}]+/u', ' ', $name));
        if (preg_match('/[\p{L}\p{N}\p{S}\p{P}]/u', $name) !== 1) {
            throw InvalidName::empty();
        }
        if ((int) grapheme_strlen($name) > self::LONGEST || mb_strlen($name) > 4 * self::LONGEST) {
            throw InvalidName::tooLong(self::LONGEST);
        }

        return new self($name);
    }

    /**
     * The name with a number behind it when others in the room have it already: "Aino", "Aino (2)", "Aino (3)".
     *
     * @param  list<string>  $taken
     */
    public function apartFrom(array $taken): self
    {
        $folded = array_map(mb_strtolower(...), $taken);
        $name = $this->value;
        for ($n = 2; in_array(mb_strtolower($name), $folded, true); $n++) {
            $name = "{$this->value} ({$n})";
        }

        return new self($name);
    }

    public function __toString(): string
    {
        return $this->value;
    }
}
