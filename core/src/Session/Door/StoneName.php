<?php

declare(strict_types=1);

namespace Crag\Session\Door;

/** A mineral or rock in the place of a name: always the same one for a seat, another one for every seat. */
final class StoneName
{
    private const STONES = [
        'Basalt',
        'Flint',
        'Agate',
        'Marble',
        'Opal',
        'Slate',
        'Jasper',
        'Granite',
        'Amber',
        'Onyx',
        'Quartz',
        'Chalk',
        'Garnet',
        'Pumice',
        'Topaz',
        'Gneiss',
        'Jade',
        'Obsidian',
        'Beryl',
        'Dolomite',
        'Pyrite',
        'Schist',
        'Citrine',
        'Gabbro',
        'Azurite',
        'Tuff',
        'Zircon',
        'Gypsum',
        'Olivine',
        'Chert',
        'Ruby',
        'Calcite',
        'Peridot',
        'Marl',
        'Spinel',
        'Diorite',
        'Turquoise',
        'Galena',
        'Sapphire',
        'Feldspar',
        'Malachite',
        'Rhyolite',
        'Halite',
        'Jet',
        'Fluorite',
        'Andesite',
        'Hematite',
        'Travertine',
        'Apatite',
        'Serpentine',
        'Barite',
        'Sandstone',
        'Kyanite',
        'Limonite',
        'Mica',
        'Magnetite',
        'Selenite',
        'Limestone',
        'Talc',
        'Cobalt',
    ];

    /** @param  int  $n  the seat's number, from 1 */
    public static function of(int $n): string
    {
        $round = intdiv($n - 1, count(self::STONES)) + 1;

        return self::STONES[($n - 1) % count(self::STONES)].($round === 1 ? '' : " {$round}");
    }
}
