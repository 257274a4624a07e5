// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { beforeEach, test } from 'vitest';
import { askedAtOnce, askedByForm, recalled, remember } from '../../resources/ts/desk/asks/kinds';

const SAID = {
    ask_yes: 'Yes',
    ask_no: 'No',
    ask_unsure: 'Not sure',
    ask_sure: 'How sure are you?',
    ask_guessed: 'guessed',
    ask_certain: 'certain',
};

beforeEach(() => localStorage.clear());

test('each kind that needs one press is a question of its own, with or without words', () => {
    const kinds = ['abcd', 'yesno', 'number', 'text', 'scale', 'sure', 'drawing'];
    const asked = kinds.map((kind) => askedAtOnce(kind, '', SAID));
    assert.deepEqual(
        asked.map(({ kind }) => kind),
        ['choice', 'choice', 'number', 'text', 'scale', 'scale', 'text'],
    );
    assert.deepEqual(
        (asked[1]!.options as { words: string }[]).map(({ words }) => words),
        ['Yes', 'No', 'Not sure'],
    );
    // How sure somebody is needs a question, where none was typed.
    assert.equal(asked[5]!.words, 'How sure are you?');
    assert.equal(askedAtOnce('sure', 'That it tips?', SAID).words, 'That it tips?');
    assert.throws(() => askedAtOnce('riddle', '', SAID));
});

test('stars say which choices are right, and empty lines are no choices', () => {
    const fields: Record<string, string> = { kind: 'choices', words: 'Which?', options: ' Left\n\n* Right \n*Both' };
    assert.deepEqual(
        askedByForm((name) => fields[name] ?? ''),
        {
            kind: 'choices',
            words: 'Which?',
            options: [
                { id: 'o1', words: 'Left' },
                { id: 'o2', words: 'Right' },
                { id: 'o3', words: 'Both' },
            ],
            right: ['o2', 'o3'],
            shuffle: false,
        },
    );
    const typed = (kind: string, right: string): unknown => askedByForm((name) => ({ kind, right })[name] ?? '').right;
    assert.deepEqual([typed('number', ' 80 N '), typed('text', ''), typed('text', 'pivot')], ['80 N', [], ['pivot']]);
});

test('how it was asked last is how it is asked next, and what is not said again stays', () => {
    assert.deepEqual(recalled(), {});
    remember({ kind: 'abcd', seconds: '30', anonymous: false, screen: true });
    remember({ seconds: '', anonymous: true, screen: true });
    assert.deepEqual(recalled(), { kind: 'abcd', seconds: '', anonymous: true, screen: true });
});
