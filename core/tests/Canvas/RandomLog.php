<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\History;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\Operation;

/** What a student might do for a while, as no one would plan it: the same for the same seed. */
final class RandomLog
{
    /** @var list<string> */
    private array $objects = [];

    /** @var list<string> */
    private array $pages = [];

    /** @var list<Operation> */
    private array $log = [];

    /** @return list<Operation> */
    public static function of(int $seed, int $length): array
    {
        mt_srand($seed);
        $random = new self();
        for ($i = 0; $i < $length; $i++) {
            $random->log[] = $random->next("o{$i}");
        }

        return $random->log;
    }

    private function next(string $id): Operation
    {
        $history = History::of($this->log, Author::seat(Logs::SEAT), Layer::Student);
        $dice = mt_rand(1, 100);

        return match (true) {
            $dice > 90 && $history->undo() !== null => Logs::undo($id, $history->undo()),
            $dice > 84 && $history->redo() !== null => Logs::redo($id, $history->redo()),
            $dice > 45 && $this->objects !== [] => $this->work($id),
            $dice > 43 => $this->page($id),
            $dice > 41 => $this->pages === [] ? $this->page($id) : $this->arrangePage($id),
            $dice > 40 => Logs::operation($id, 'answer', [
                'question' => 'q'.mt_rand(1, 3),
                'value' => [null, 'a', 4, ['a', 'b'], ''][mt_rand(0, 4)],
            ]),
            $dice > 39 && mt_rand(1, 4) === 1 => $this->fresh($id),
            $dice > 38 && $this->log !== [] => $this->giveBack($id),
            $dice > 39 => Logs::operation(
                $id,
                'clear',
                ['what' => mt_rand(0, 1) === 1 ? 'ink' : 'all'] + $this->somePage(),
            ),
            default => $this->add($id),
        };
    }

    /** Later operations may still name what was put away, as ink on its way does. */
    private function fresh(string $id): Operation
    {
        return Logs::operation($id, 'fresh', [], null);
    }

    private function giveBack(string $id): Operation
    {
        $some = array_slice($this->log, -mt_rand(1, count($this->log)));

        return Logs::operation($id, 'give_back', ['target' => $some[0]->id->value], null);
    }

    private function add(string $id): Operation
    {
        $examples = array_values(Examples::all());
        $some = [];
        for ($n = mt_rand(1, 4) === 1 ? mt_rand(2, 3) : 1; $n > 0; $n--) {
            $object = $examples[mt_rand(0, count($examples) - 1)];
            $some[] =
                ['object' => $object + (in_array($object['type'], ['line', 'arrow'], true) ? $this->ties() : [])] +
                (mt_rand(1, 3) === 1
                    ? ['place' => [mt_rand(-900, 900), mt_rand(-900, 900), mt_rand(0, 35_999), mt_rand(5_000, 20_000)]]
                    : []);
        }
        foreach (array_keys($some) as $i) {
            $this->objects[] = Logs::id($id).(count($some) === 1 ? '' : ".{$i}");
        }

        return Logs::operation($id, 'add', (count($some) === 1 ? $some[0] : ['objects' => $some]) + $this->somePage());
    }

    /** @return array<string, mixed> */
    private function ties(): array
    {
        $tie = fn (): array => [
            'on' => $this->objects[array_rand($this->objects)],
            'x' => mt_rand(0, 9000),
            'y' => mt_rand(0, 9000),
        ];

        return $this->objects === [] ? [] : ['start' => $tie(), ...(mt_rand(0, 1) === 1 ? ['end' => $tie()] : [])];
    }

    private function page(string $id): Operation
    {
        $this->pages[] = Logs::id($id);

        return Logs::operation($id, 'page');
    }

    private function arrangePage(string $id): Operation
    {
        $how = [['to' => mt_rand(1, 4)], ['ruling' => ['kind' => 'squared', 'size' => 'small']], ['gone' => true]];

        return Logs::operation(
            $id,
            'arrange_page',
            ['page' => $this->pages[array_rand($this->pages)]] + $how[mt_rand(0, 2)],
        );
    }

    /** Something done to what is, or was, there. */
    private function work(string $id): Operation
    {
        $target = $this->objects[array_rand($this->objects)];
        $other = $this->objects[array_rand($this->objects)];
        $targets = ['targets' => array_values(array_unique([$target, $other]))];

        return match (mt_rand(1, 9)) {
            1, 2 => Logs::operation($id, 'remove', $targets),
            3 => $this->cut($id, $target),
            9 => $this->straighten($id, $target),
            4 => Logs::operation($id, 'change', [
                'target' => $target,
                'set' => [
                    ['colour' => '#6b4c9a'],
                    ['fill' => 'own'],
                    ['fill' => '#2c6e8f', 'strength' => 60],
                    ['strength' => 18, 'line' => 'dashed'],
                    ['line' => 'solid', 'ends' => 'end'],
                    ['ends' => 'none'],
                    ['marks' => [[0, 2, 'b'], [1, 900, 'sup']], 'list' => 'bullets'],
                    ['marks' => [], 'face' => 'code'],
                    ['list' => 'none', 'face' => 'plain'],
                    ['text' => 'F'],
                ][mt_rand(0, 9)],
            ]),
            5 => Logs::operation($id, 'change', [
                'target' => $target,
                'set' => ['x' => mt_rand(0, 9000), 'y' => mt_rand(0, 9000)],
            ]),
            6 => Logs::operation(
                $id,
                'arrange',
                $targets + ['order' => ['front', 'back', 'forward', 'backward'][mt_rand(0, 3)]],
            ),
            7 => Logs::operation($id, 'arrange', $targets + ['group' => mt_rand(0, 2) === 0 ? '' : "group{$id}"]),
            default => Logs::operation(
                $id,
                'arrange',
                $targets + [
                    'places' => array_map(
                        static fn (): array => [
                            mt_rand(-900, 900),
                            mt_rand(-900, 900),
                            mt_rand(0, 35_999),
                            mt_rand(5_000, 20_000),
                        ],
                        $targets['targets'],
                    ),
                ],
            ),
        };
    }

    private function straighten(string $id, string $target): Operation
    {
        $this->objects[] = Logs::id($id);

        return Logs::operation(
            $id,
            'straighten',
            ['target' => $target, 'object' => Examples::all()[mt_rand(0, 1) === 1 ? 'line' : 'polygon']] +
                (mt_rand(0, 1) === 1 ? ['place' => [10, 20, 4_500, 10_000]] : []),
        );
    }

    private function cut(string $id, string $target): Operation
    {
        $this->objects[] = Logs::id($id).'.0';
        $this->objects[] = Logs::id($id).'.1';
        $middle = mt_rand(1, 30);

        return Logs::operation($id, 'cut', [
            'cuts' => [['target' => $target, 'keep' => [[0, $middle], [$middle + 5, mt_rand($middle + 6, 48)]]]],
        ]);
    }

    /** @return array<string, string> */
    private function somePage(): array
    {
        return $this->pages !== [] && mt_rand(1, 3) === 1 ? ['page' => $this->pages[array_rand($this->pages)]] : [];
    }
}
