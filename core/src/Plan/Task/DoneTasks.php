<?php

declare(strict_types=1);

namespace Crag\Plan\Task;

use Crag\Canvas\Log\Layer;
use Crag\Canvas\Scene;

/** Which of a prompt's tasks are done on a canvas. */
final readonly class DoneTasks
{
    /** @param  list<bool>  $done  in the tasks' order */
    private function __construct(public array $done)
    {
    }

    /**
     * @param  list<Task>  $tasks
     * @param  bool  $hadHandUp  whether the student put a hand up in this session
     */
    public static function of(array $tasks, Scene $scene, bool $hadHandUp, bool $isSent): self
    {
        $facts = array_keys(array_filter([
            TaskKind::Page->value => self::hasOwnPage($scene),
            TaskKind::Answer->value => $scene->answers !== [],
            TaskKind::Hand->value => $hadHandUp,
            TaskKind::Send->value => $isSent,
        ]));

        return new self(array_map(static fn (Task $task): bool => $task->isDone($scene, $facts), $tasks));
    }

    /** How many. */
    public function count(): int
    {
        return count(array_filter($this->done));
    }

    /** Pages that came with the prompt, or from the teacher, are not the student's. */
    private static function hasOwnPage(Scene $scene): bool
    {
        foreach (array_keys($scene->pages) as $page) {
            if ((string) $page !== '' && ($scene->pageLayers[$page] ?? Layer::Student) === Layer::Student) {
                return true;
            }
        }

        return false;
    }
}
