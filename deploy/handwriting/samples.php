<?php

declare(strict_types=1);

/*
 * Signs in made-up hands, as features, for train.mjs: `php samples.php SAMPLES_OF_EACH SEED train|trial > samples.csv`.
 * A line is the sign and its features in thousandths. What is no sign is made of strokes of two that stand side by side.
 */

use Crag\Handwriting\Features;
use Crag\Handwriting\Made\Forms;
use Crag\Handwriting\Made\Hand;
use Crag\Handwriting\Network;
use Crag\Handwriting\Trace;
use Random\Engine\Mt19937;
use Random\Randomizer;

require __DIR__.'/../../vendor/autoload.php';

[, $each, $seed, $set] = $argv + [1 => '300', 2 => '1', 3 => 'train'];
$forms = Forms::all($set === 'trial');
$random = new Randomizer(new Mt19937((int) $seed));
$say = static function (string $sign, Trace $trace) use ($random): void {
    $unit = 100 * $random->getInt(50, 140) / 100;
    $features = array_map(static fn (float $one): int => (int) round(1000 * $one), Features::of($trace, $unit));
    echo $sign, ',', implode(',', $features), "\n";
};
$signs = array_map(strval(...), array_keys($forms));
for ($i = 0; $i < (int) $each; $i++) {
    $hand = new Hand($forms, 1000 * (int) $seed + $i);
    foreach ($signs as $sign) {
        $say($sign, Trace::of($hand->sign($sign)));
    }
    foreach (Hand::CAPITALS as $capital => $small) {
        $say($small, Trace::of($hand->sign($capital)));
    }
    for ($n = 0; $n < 14; $n++) {
        $text = '';
        for ($k = 0; $k < 3; $k++) {
            $text .= $signs[$random->getInt(0, count($signs) - 1)];
        }
        ['trace' => $trace, 'signs' => $written] = $hand->line($text);
        // The last stroke of one with the first of the next, or both whole.
        $first = $written[0]['strokes'];
        $from = $random->getInt(0, 1) === 1 ? 0 : $first - 1;
        $to = $random->getInt(0, 1) === 1 ? $first + 1 : $first + $written[1]['strokes'];
        if ($to - $from <= 5) {
            $say(Network::NONE, Trace::of(array_slice($trace->strokes, $from, $to - $from)));
        }
    }
}
