<?php

declare(strict_types=1);

/*
 * Makes demo/class.json: the pen strokes of 24 invented students working on the first prompt of Bridges and Beams.
 * The letters follow the single-line Hershey font of Debian's hershey-fonts-data; hand, slant, speed and mistakes are
 * each student's own. Run it only to change the class: php demo/make-class.php
 */

require __DIR__.'/../vendor/autoload.php';

use Crag\Canvas\Drawing\Ink;

final class Hand
{
    /** @var list<array<string, mixed>> */
    public array $steps = [];

    /** @var list<array{int, list<list<array{int, int}>>}> glyphs: width and lines */
    private static array $glyphs = [];

    public string $colour = '#25323b';

    public int $width = 40;

    public function __construct(
        private readonly float $size,
        private readonly float $slant,
        private readonly float $shake,
        private readonly float $speed,
        private readonly bool $stylus,
        private readonly int $dx = 0,
        private readonly int $dy = 0,
    ) {
    }

    private static function noise(float $amount): float
    {
        return (mt_rand(-1000, 1000) / 1000) * $amount;
    }

    /** @param  list<array{float, float}>  $path in units */
    public function line(array $path, int $wait = 350): void
    {
        $phase = mt_rand(0, 628) / 100;
        $samples = [];
        $travelled = 0.0;
        $ms = 0;
        $total = 0.0;
        for ($i = 1; $i < count($path); $i++) {
            $total += hypot($path[$i][0] - $path[$i - 1][0], $path[$i][1] - $path[$i - 1][1]);
        }
        for ($i = 1; $i < count($path); $i++) {
            [$x1, $y1] = $path[$i - 1];
            [$x2, $y2] = $path[$i];
            $length = hypot($x2 - $x1, $y2 - $y1);
            $steps = max(1, (int) round($length / ($this->speed * 0.016)));
            for ($k = $i === 1 ? 0 : 1; $k <= $steps; $k++) {
                $t = $k / $steps;
                $at = $travelled + $t * $length;
                $wobble = sin($phase + $at / 23) * $this->shake + self::noise($this->shake * 0.35);
                $drift = sin($phase * 2 + $at / 90) * $this->shake * 1.2;
                $x = $x1 + ($x2 - $x1) * $t + $wobble + $this->dx;
                $y = $y1 + ($y2 - $y1) * $t + $drift + $this->dy;
                $edge = min(1, ($at + 4) / 22, ($total - $at + 4) / 22);
                $pressure = $this->stylus ? (int) (70 + 85 * $edge + 20 * sin($at / 31)) : 128;
                $samples[] = [(int) round($x * 10), (int) round($y * 10), max(20, min(255, $pressure)), $ms];
                $ms += 16;
            }
            $travelled += $length;
        }
        $this->steps[] = [
            'wait' => max(60, $wait + (int) self::noise($wait * 0.5)),
            'stroke' => ['colour' => $this->colour, 'width' => $this->width, 'ink' => Ink::of($samples)->encode()],
        ];
    }

    public function write(float $x, float $y, string $words, float $scale = 1.0): void
    {
        $unit = ($this->size * $scale) / 21;
        foreach (str_split($words) as $letter) {
            [$width, $lines] = self::glyph($letter);
            $up = self::noise($this->size * 0.04);
            foreach ($lines as $i => $points) {
                $path = [];
                foreach ($points as [$px, $py]) {
                    $path[] = [$x + ($px - $this->slant * ($py - 9)) * $unit, $y + $py * $unit + $up];
                }
                $this->line($path, $i === 0 ? 190 : 120);
            }
            $x += $width * $unit * (1 + self::noise(0.05));
        }
    }

    public function arrow(float $x1, float $y1, float $x2, float $y2): void
    {
        $this->line([[$x1, $y1], [$x2, $y2]]);
        $angle = atan2($y2 - $y1, $x2 - $x1);
        $path = [];
        foreach ([2.6, null, -2.6] as $turn) {
            $path[] = $turn === null ? [$x2, $y2] : [$x2 + 22 * cos($angle + $turn), $y2 + 22 * sin($angle + $turn)];
        }
        $this->line($path, 160);
    }

    public function beam(): void
    {
        $this->line([[250, 300], [1350, 300], [1350, 326], [250, 326], [250, 300]], 700);
    }

    public function pivot(): void
    {
        $this->line([[525, 328], [485, 395], [565, 395], [525, 328]], 500);
        for ($x = 480; $x < 570; $x += 22) {
            $this->line([[$x + 12, 397], [$x, 412]], 90);
        }
    }

    public function load(string $label = '240 N'): void
    {
        $this->arrow(262, 150, 262, 290);
        $this->write(285, 190, $label);
    }

    public function effort(string $label = 'F', bool $down = true): void
    {
        if ($down) {
            $this->arrow(1338, 150, 1338, 290);
        } else {
            $this->arrow(1338, 470, 1338, 340);
        }
        $this->write(1275, $down ? 190 : 440, $label);
    }

    public function reaction(): void
    {
        $this->arrow(525, 560, 525, 420);
        $this->write(548, 520, 'R');
    }

    public function distances(string $left = '1 m', string $right = '3 m'): void
    {
        foreach ([[262, 515, $left], [535, 1338, $right]] as [$from, $to, $label]) {
            $this->line([[$from, 440], [$to, 440]]);
            $this->line([[$from, 428], [$from, 452]], 120);
            $this->line([[$to, 428], [$to, 452]], 120);
            $this->write(($from + $to) / 2 - 30, 480, $label, 0.85);
        }
    }

    /** @param  list<string>  $lines */
    public function working(array $lines, float $y = 640, float $x = 270): void
    {
        foreach ($lines as $line) {
            $this->write($x, $y, $line);
            $y += $this->size * 1.75;
        }
    }

    public function underline(float $x1, float $x2, float $y): void
    {
        $this->line([[$x1, $y], [$x2, $y + 3]], 400);
        $this->line([[$x1 + 3, $y + 10], [$x2, $y + 12]], 150);
    }

    public function text(int $x, int $y, string $words): void
    {
        $this->steps[] = [
            'wait' => 1500,
            'text' => [
                'type' => 'text',
                'x' => $x * 10,
                'y' => $y * 10,
                'size' => 40,
                'colour' => $this->colour,
                'text' => $words,
            ],
        ];
    }

    /** Rubs out the last so many strokes. */
    public function rub(int $strokes): void
    {
        $this->steps[] = ['wait' => 2500, 'rub' => $strokes];
    }

    /** @return array{int, list<list<array{int, int}>>} */
    private static function glyph(string $letter): array
    {
        if (self::$glyphs === []) {
            foreach (file('/usr/share/hershey-fonts/futural.jhf', FILE_IGNORE_NEW_LINES) ?: [] as $row) {
                $pairs = str_split(substr($row, 8), 2);
                $edge = array_shift($pairs);
                $left = ord($edge[0]) - ord('R');
                $lines = [[]];
                foreach ($pairs as $pair) {
                    if ($pair === ' R') {
                        $lines[] = [];
                    } elseif (strlen($pair) === 2) {
                        $lines[count($lines) - 1][] = [ord($pair[0]) - ord('R') - $left, ord($pair[1]) - ord('R')];
                    }
                }
                self::$glyphs[] = [ord($edge[1]) - ord('R') - $left, array_values(array_filter($lines))];
            }
        }

        return self::$glyphs[ord($letter) - 32] ?? self::$glyphs[0];
    }
}

mt_srand(1866);
$lake = '#2c6e8f';
$rust = '#a8452e';

/** What each student does, in the order of the seats. */
$class = [
    'Tamsin Vale' => function (Hand $h) use ($rust): void {
        $h->beam();
        $h->pivot();
        $h->colour = $rust;
        $h->load();
        $h->effort();
        $h->reaction();
        $h->colour = '#25323b';
        $h->distances();
        $h->working(['240 x 1 = F x 3', '240 = 3 F', 'F = 80 N']);
        $h->underline(270, 470, 870);
    },
    'Ikenna Orr' => function (Hand $h) use ($lake): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->effort();
        $h->colour = $lake;
        $h->working(['M = F d', '240 x 1 = 240 N m', '240 / 3 = 80 N']);
    },
    'Solveig Marsh' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->distances('1 m', '4 m');
        $h->effort();
        $h->working(['240 x 1 = F x 4', 'F = 60 N']);
    },
    'نور الهدى' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->effort();
        $h->distances();
        $h->text(270, 600, "240 × 1 = 3 F\nF = 80 N  ↓");
    },
    'Rafe Dunmore' => function (Hand $h) use ($rust): void {
        $h->beam();
        $h->colour = $rust;
        $h->load();
        $h->effort('720 N');
        $h->colour = '#25323b';
        $h->pivot();
        $h->working(['240 x 3 = 720 N']);
    },
    'Aino Kestrel' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->load();
    },
    'Bo Larkspur' => function (Hand $h) use ($lake): void {
        // A bridge, a boat and a gull instead.
        $h->colour = $lake;
        for ($i = 0; $i < 3; $i++) {
            $x = 300 + 340 * $i;
            $path = [];
            for ($a = 0; $a <= 20; $a++) {
                $path[] = [$x + 160 - 160 * cos((M_PI * $a) / 20), 620 - 190 * sin((M_PI * $a) / 20)];
            }
            $h->line($path, 500);
        }
        $h->line([[230, 400], [1400, 395]]);
        $h->colour = '#25323b';
        $h->line([[700, 760], [740, 810], [900, 810], [945, 755], [700, 760]]);
        $h->line([[815, 755], [815, 640], [890, 735], [815, 740]]);
        $h->line([[1050, 250], [1085, 225], [1110, 255], [1140, 222], [1175, 250]]);
        $h->write(980, 880, 'toot toot');
    },
    'Wren Ashgrove' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->effort('F', false);
        $h->distances();
        $h->working(['240 x 1 = 3 F', 'F = 80 N up?']);
    },
    'Jory Penhale' => function (Hand $h) use ($rust): void {
        $h->beam();
        $h->pivot();
        $h->colour = $rust;
        $h->load();
        $h->effort();
        $h->colour = '#25323b';
        $h->working(['240 x 1 = F x 3', 'F = 24']);
        $h->rub(3);
        $h->write(270, 715, 'F = 80 N');
    },
    'Mabel Thorne' => null,
    'Dilan Aras' => function (Hand $h): void {
        $h->working(['sum of moments = 0', '240 x 1 - 3 F = 0', 'F = 240 / 3', 'F = 80 N'], 240);
        $h->underline(270, 480, 470);
    },
    'Cosmo Fell' => function (Hand $h): void {
        $h->beam();
        $h->load('24 N');
        $h->pivot();
        $h->effort('8 N');
        $h->working(['24 x 1 = 3 x 8']);
    },
    'Esme Quarry' => function (Hand $h) use ($lake, $rust): void {
        $h->beam();
        $h->pivot();
        $h->colour = $rust;
        $h->load();
        $h->effort();
        $h->colour = $lake;
        $h->distances();
        $h->colour = '#25323b';
        $h->working(['anticlockwise = clockwise', '240 N x 1 m = F x 3 m', 'F = 80 N']);
    },
    'Otis Brackley' => function (Hand $h): void {
        $h->line([[250, 300], [1350, 300]], 700);
        $h->pivot();
        $h->working(['240 + F = R ?'], 560);
    },
    'Priya Stonewell' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->effort();
        $h->reaction();
        $h->working(['F = 80 N', 'R = 240 + 80', 'R = 320 N'], 640, 800);
    },
    'Finn Harrowgate' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->distances('1', '3');
        $h->working(['240 : F = 3 : 1', 'F = 80 N']);
    },
    'Leila Winmoor' => function (Hand $h) use ($lake): void {
        $h->colour = $lake;
        $h->beam();
        $h->pivot();
        $h->load();
        $h->effort();
        $h->working(['moment = 240 N m', '240 / 4 = 60 N'], 620);
        $h->rub(5);
    },
    'Casper Vane' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->distances();
        $h->working(['? ? ?'], 600, 650);
    },
    'Hana Broadwater' => function (Hand $h) use ($rust): void {
        $h->beam();
        $h->pivot();
        $h->colour = $rust;
        $h->load();
        $h->effort('80 N');
        $h->colour = '#25323b';
        $h->distances();
        $h->working(['check:', '240 x 1 = 240', '80 x 3 = 240']);
    },
    'Silas Ridge' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->effort();
        $h->text(800, 620, "I think F is smaller than 240 N\nbecause it is further from the pivot");
    },
    'Tova Lindqvale' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->effort();
        $h->distances();
        $h->working(['240 x 1 = F x 3', 'F = 80 N']);
    },
    'Ned Castor' => function (Hand $h): void {
        $h->beam();
        $h->pivot();
    },
    'Yusra Fenwick' => function (Hand $h) use ($lake): void {
        $h->beam();
        $h->pivot();
        $h->load();
        $h->effort();
        $h->colour = $lake;
        $h->working(['F = 240 x 3', '  = 720 N ???', 'too big! -> 240 / 3', 'F = 80 N'], 600);
    },
    'Gus Millbeam' => function (Hand $h): void {
        $h->beam();
        $h->load();
        $h->effort('240 N');
        $h->working(['both sides the same', 'F = 240 N']);
    },
];

/** What each types as the force at the right end; who is not here has not got so far. */
$answers = [
    'Tamsin Vale' => '80 N',
    'Ikenna Orr' => '80',
    'Solveig Marsh' => '60 N',
    'نور الهدى' => '80 N',
    'Rafe Dunmore' => '720 N',
    'Wren Ashgrove' => '80 N',
    'Jory Penhale' => '80N',
    'Dilan Aras' => '80 N',
    'Cosmo Fell' => '8 N',
    'Esme Quarry' => '80 N',
    'Priya Stonewell' => '0.08 kN',
    'Leila Winmoor' => '80 N',
    'Hana Broadwater' => '80 N',
    'Tova Lindqvale' => '80 N',
    'Yusra Fenwick' => '720 N',
    'Finn Harrowgate' => '240 N',
    'Gus Millbeam' => '240 N',
    'Silas Ridge' => '240 N',
];

$students = [];
$seat = 0;
foreach ($class as $name => $does) {
    $hand = new Hand(
        size: mt_rand(34, 46),
        slant: mt_rand(-5, 28) / 100,
        shake: mt_rand(6, 22) / 10,
        speed: mt_rand(480, 900),
        stylus: $seat % 3 === 0,
        dx: mt_rand(-60, 60),
        dy: mt_rand(-40, 50),
    );
    $hand->width = [25, 40, 40, 60][$seat % 4];
    if ($does !== null) {
        $does($hand);
    }
    $students[] = ['name' => $name, 'answer' => $answers[$name] ?? null, 'steps' => $hand->steps];
    $seat++;
}

$json = json_encode(['students' => $students], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
file_put_contents(__DIR__.'/class.json', $json."\n");
printf(
    "%d students, %d steps, %d bytes\n",
    count($students),
    array_sum(array_map(fn ($s) => count($s['steps']), $students)),
    strlen($json),
);
