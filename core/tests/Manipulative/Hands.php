<?php

declare(strict_types=1);

namespace Crag\Tests\Manipulative;

use Crag\Canvas\Object\Manipulative;
use Crag\Json\Fields;
use Crag\Manipulative\Act;
use Crag\Manipulative\ManipulativeKind;
use Crag\Manipulative\Part;

/** Manipulatives for tests, and hands that work them. */
final class Hands
{
    /** @param  array<string, mixed>  $settings */
    public static function on(ManipulativeKind $kind, array $settings = [], Act ...$acts): Manipulative
    {
        $object = Manipulative::read(new Fields([
            'type' => 'manipulative',
            'kind' => $kind->value,
            'x' => 1000,
            'y' => 2000,
            'settings' => $settings,
            'free' => true,
        ]));
        foreach ($acts as $act) {
            $object = $object->with(['act' => $act->toArray()]);
        }

        return $object;
    }

    /** @return array<string, mixed> settings within what its form allows, and now and then beyond it */
    public static function settings(ManipulativeKind $kind): array
    {
        $settings = [];
        foreach ($kind->rules()::settings() as $setting) {
            $words = ['', 'A', '1, 2, 3', 'a, b, c, d, e', '2x + 3', '12, x, 7', 'العربية, é', '0, 0, 999, 5, 5, 5'];
            $settings[$setting->name] = is_string($setting->first)
                ? $words[mt_rand(0, count($words) - 1)]
                : mt_rand($setting->least - 1, min($setting->most + 1, $setting->least + 30));
        }

        return $settings;
    }

    /**
     * As many acts as hands could do on it, one after another: on what is drawn, and now and then on nothing.
     *
     * @return list<Act>
     */
    public static function random(Manipulative $object, int $count): array
    {
        $acts = [];
        for ($i = 0; $i < $count; $i++) {
            $parts = $object->sketch()->parts;
            $part = $parts === [] ? null : $parts[mt_rand(0, count($parts) - 1)];
            $act = match (true) {
                $part === null || mt_rand(0, 20) === 0 => Act::drag('nothing', mt_rand(-5, 500), 9, 9),
                $part->does === Part::TYPE => Act::type($part->name, $part->n, mt_rand(-200, 200)),
                $part->does === Part::DRAG && mt_rand(0, 2) > 0 => Act::drag(
                    $part->name,
                    $part->n,
                    mt_rand(-100, $object->sketch()->width + 100),
                    mt_rand(-100, $object->sketch()->height + 100),
                ),
                // Any number may be sent with a part's name.
                mt_rand(0, 12) === 0 => Act::press($part->name, mt_rand(-3, 200)),
                default => Act::press($part->name, $part->n),
            };
            $acts[] = $act;
            $object = $object->with(['act' => $act->toArray()]);
        }

        return $acts;
    }
}
