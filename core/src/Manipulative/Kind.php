<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/**
 * The rules of one manipulative. `start`, `after`, `draw` and `says` are what the page runs too: `./crag fix` writes
 * them into resources/ts/canvas/model/manipulative/rules.js, so that each is written once. They use whole numbers,
 * lists and the few functions that App\Console\Mirror knows.
 */
interface Kind
{
    /** @return list<Setting> its form */
    public static function settings(): array;

    /** @return list<Field> what its state holds */
    public static function fields(): array;

    /** The state that it begins with. */
    public static function start(Values $set): Values;

    /** The state after an act; the same one where the act means nothing. */
    public static function after(Values $set, Values $state, Act $act): Values;

    /** Draws it, and says which parts of it a hand can take. */
    public static function draw(Values $set, Values $state, Sketch $sketch): void;

    /** Its state in a few words: on tiles, and for those who do not see it. */
    public static function says(Values $set, Values $state): Said;

    /** @return array<string, string> its state as data, by the names of what a question can ask for */
    public static function facts(Values $set, Values $state): array;

    /** @return array<string, string> what each of its facts is called */
    public static function factWords(): array;
}
