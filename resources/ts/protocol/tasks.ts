/** One of these values, any but these, or words in which this is found. */
export type Asked = string[] | { not: string[] } | { like: string };

/** When a task is done: Crag\Plan\Task\Task::test. */
export type TaskTest = { fact: 'page' | 'answer' | 'hand' | 'send' } | { objects: Record<string, Asked>[] };

export interface Task {
    words: string;
    test: TaskTest;
}
