import assert from 'node:assert/strict';
import { test } from 'vitest';
import { FormulaEditor } from '../../resources/ts/canvas/maths/editor';
import { parseFormula, printFormula } from '../../resources/ts/canvas/maths/formula';

function typed(...keys: string[]): FormulaEditor {
    const editor = new FormulaEditor();
    keys.forEach((key) => {
        switch (key) {
            case '→':
                editor.right();
                break;
            case '←':
                editor.left();
                break;
            case '⇥':
                editor.tab(1);
                break;
            case '⌫':
                editor.backspace();
                break;
            default:
                editor.type(key);
        }
    });
    return editor;
}

test('what is read is written again, whatever it is', () => {
    for (const latex of [
        '',
        'x=3',
        '\\frac{1}{2}',
        '\\sqrt[3]{x^{2}}+\\sqrt{y_{1}}',
        '\\pi r^{2}',
        '\\left(\\frac{a}{b}\\right)^{n}',
        'F=240\\,\\text{N m}',
        '\\ce{2H2 + O2 -> 2H2O}',
        '\\begin{pmatrix}1&2\\\\3&4\\end{pmatrix}',
        '\\operatorname{lcm}(4,6)',
        '\\left[0,1\\right]',
    ]) {
        assert.equal(printFormula(parseFormula(latex)), latex);
    }
    // One sign needs no braces, and gets them.
    assert.equal(printFormula(parseFormula('x^2 + \\frac12')), 'x^{2}+\\frac{1}{2}');
});

test('what does not match is said', () => {
    for (const latex of ['x^{', '}', '\\frac{1}{2', '\\left(x', '\\text{N', '\\begin{matrix}1']) {
        assert.throws(() => parseFormula(latex), Error, latex);
    }
});

test('a fraction takes what stands before it, and Tab leads on', () => {
    assert.equal(typed('1', '/', '2', '⇥', '+', 'x').source, '\\frac{1}{2}+x');
    assert.equal(typed('a', '+', '2', 'x', '/', '3').source, 'a+\\frac{2x}{3}');
    // With nothing before it the numerator is empty, and is written first.
    assert.equal(typed('/', '5', '⇥', '7').source, '\\frac{5}{7}');
    const editor = new FormulaEditor();
    editor.insert('\\frac{}{}');
    editor.type('1');
    assert.equal(editor.tab(1), true);
    editor.type('2');
    assert.equal(editor.tab(1), true);
    editor.type('=');
    assert.equal(editor.source, '\\frac{1}{2}=');
    // At the end of all the key is the page's again.
    assert.equal(editor.tab(1), false);
});

test('powers, indices, brackets and words end where they are left', () => {
    assert.equal(typed('x', '^', '2', '→', '+', '1').source, 'x^{2}+1');
    assert.equal(typed('(', 'a', '+', 'b', ')', '^', '2').source, '\\left(a+b\\right)^{2}');
    const words = new FormulaEditor();
    words.insert('\\text{}');
    ['N', ' ', 'm', '/', 's'].forEach((key) => words.type(key));
    assert.equal(words.source, '\\text{N m/s}');
});

test('taking away goes step by step and keeps what was inside', () => {
    assert.equal(typed('1', '/', '2', '⌫', '⌫').source, '1');
    assert.equal(typed('x', '^', '⌫').source, 'x');
    assert.equal(typed('x', '+', '⌫', '⌫', '⌫').source, '');
});

test('the caret and empty places are seen, and are not kept', () => {
    const editor = typed('1', '/');
    assert.match(editor.shown, /^\\frac\{1\}\{\\rule\[[^\]]*\]\{[^}]*\}\{[^}]*\}\\square\}$/);
    assert.equal(editor.source, '\\frac{1}{}');
});

test('what could break the formula is no key', () => {
    assert.equal(typed('{', '}', '\\', '#', '$', '%', ' ', 'x').source, 'x');
});
