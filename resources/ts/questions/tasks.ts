import type { Scene } from '../canvas/model/scene';
import type { Asked, Task } from '../protocol/tasks';

/** What is not among the objects of a page. */
export interface Facts {
    hand: boolean;
    send: boolean;
}

/** Which tasks are done, in their order: as Crag\Plan\Task\DoneTasks says it. */
export function doneTasks(tasks: Task[], scene: Scene, facts: Facts): boolean[] {
    const all = {
        ...facts,
        page: [...scene.pages.keys()].some((page) => page !== '' && !scene.pageLayers.has(page)),
        answer: scene.answers.size > 0,
    };
    const own = [...scene.objects.values()].filter(({ layer }) => layer === 'student').map(({ object }) => object);
    return tasks.map(({ test }) =>
        'fact' in test
            ? all[test.fact]
            : own.some((object) =>
                  test.objects.some((fields) =>
                      Object.entries(fields).every(([name, asked]) =>
                          holds((object as unknown as Record<string, unknown>)[name], asked),
                      ),
                  ),
              ),
    );
}

function holds(value: unknown, asked: Asked): boolean {
    if (Array.isArray(asked)) {
        return asked.includes(value as string);
    }
    return 'not' in asked
        ? !asked.not.includes(value as string)
        : typeof value === 'string' && new RegExp(asked.like, 'iu').test(value);
}
