// Trains the network that tells handwritten signs apart: `node train.mjs samples.csv trial.csv Weights.php`.
// One hidden layer, cross-entropy, steps by Adam (Kingma and Ba, 2014). The same samples give the same network.
import { readFileSync, writeFileSync } from 'node:fs';
import { argv, stderr } from 'node:process';

const [, , samples, trial, target] = argv;
const HIDDEN = 56;
const EPOCHS = 26;
const BATCH = 64;
const RATE = 0.002;
const DECAY = 2e-5;

let seed = 12345;
const random = () => {
    // A linear congruential generator (Numerical Recipes).
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    return seed / 4294967296;
};
const normal = () => Math.sqrt(-2 * Math.log(random() + 1e-12)) * Math.cos(2 * Math.PI * random());

function read(file) {
    return readFileSync(file, 'utf8')
        .trim()
        .split('\n')
        .map((line) => {
            const at = line.startsWith(',') ? 1 : line.indexOf(',');
            return {
                sign: line.slice(0, at),
                x: Float64Array.from(line.slice(at + 1).split(','), (n) => Number(n) / 1000),
            };
        });
}

const rows = read(samples);
const trials = read(trial);
const signs = [...new Set(rows.map(({ sign }) => sign))].sort();
const inputs = rows[0].x.length;
const outputs = signs.length;
const make = (count, from) =>
    Array.from({ length: count }, () =>
        Float64Array.from({ length: from + 1 }, (_, i) => (i === 0 ? 0 : normal() * Math.sqrt(2 / from))),
    );
const hidden = make(HIDDEN, inputs);
const output = make(outputs, HIDDEN);
const zeros = (layer) => layer.map((row) => new Float64Array(row.length));
const state = [hidden, output].map((layer) => ({
    layer,
    gradient: zeros(layer),
    first: zeros(layer),
    second: zeros(layer),
}));
let step = 0;

function forward(x) {
    const h = new Float64Array(HIDDEN);
    for (let j = 0; j < HIDDEN; j++) {
        const w = hidden[j];
        let sum = w[0];
        for (let i = 0; i < inputs; i++) sum += w[i + 1] * x[i];
        h[j] = sum > 0 ? sum : 0;
    }
    const p = new Float64Array(outputs);
    let most = -Infinity;
    for (let k = 0; k < outputs; k++) {
        const w = output[k];
        let sum = w[0];
        for (let j = 0; j < HIDDEN; j++) sum += w[j + 1] * h[j];
        p[k] = sum;
        most = Math.max(most, sum);
    }
    let all = 0;
    for (let k = 0; k < outputs; k++) all += p[k] = Math.exp(p[k] - most);
    for (let k = 0; k < outputs; k++) p[k] /= all;
    return { h, p };
}

function accuracy(some) {
    const known = some.filter(({ sign }) => sign !== '∅');
    const right = known.filter(({ sign, x }) => {
        const { p } = forward(x);
        return signs[p.indexOf(Math.max(...p))] === sign;
    });
    return (right.length / known.length).toFixed(4);
}

const order = rows.map((_, i) => i);
for (let epoch = 0; epoch < EPOCHS; epoch++) {
    for (let i = order.length - 1; i > 0; i--) {
        const j = Math.floor(random() * (i + 1));
        [order[i], order[j]] = [order[j], order[i]];
    }
    const rate = RATE * 0.5 * (1 + Math.cos((Math.PI * epoch) / EPOCHS));
    for (let at = 0; at < order.length; at += BATCH) {
        const batch = order.slice(at, at + BATCH);
        for (const n of batch) {
            const { sign, x } = rows[n];
            const { h, p } = forward(x);
            // What was learned too well is smoothed: 0.05 of every answer goes to all the others.
            const wanted = signs.indexOf(sign);
            const back = new Float64Array(HIDDEN);
            for (let k = 0; k < outputs; k++) {
                const error = p[k] - (k === wanted ? 0.95 : 0.05 / (outputs - 1));
                const g = state[1].gradient[k];
                const w = output[k];
                g[0] += error;
                for (let j = 0; j < HIDDEN; j++) {
                    g[j + 1] += error * h[j];
                    back[j] += error * w[j + 1];
                }
            }
            for (let j = 0; j < HIDDEN; j++) {
                if (h[j] === 0) continue;
                const g = state[0].gradient[j];
                g[0] += back[j];
                for (let i = 0; i < inputs; i++) g[i + 1] += back[j] * x[i];
            }
        }
        step++;
        for (const { layer, gradient, first, second } of state) {
            for (let r = 0; r < layer.length; r++) {
                for (let c = 0; c < layer[r].length; c++) {
                    const g = gradient[r][c] / batch.length + DECAY * layer[r][c];
                    gradient[r][c] = 0;
                    first[r][c] = 0.9 * first[r][c] + 0.1 * g;
                    second[r][c] = 0.999 * second[r][c] + 0.001 * g * g;
                    layer[r][c] -=
                        (rate * (first[r][c] / (1 - 0.9 ** step))) /
                        (Math.sqrt(second[r][c] / (1 - 0.999 ** step)) + 1e-8);
                }
            }
        }
    }
    const [known, fresh] = [accuracy(rows.slice(0, 4000)), accuracy(trials)];
    stderr.write(`${epoch + 1}/${EPOCHS}: ${known} of templates, ${fresh} of forms that were never shown\n`);
}
const rounded = (layer) => layer.map((row) => Array.from(row, (n) => Math.round(n * 1000) / 1000));
const json = JSON.stringify({ signs, hidden: rounded(hidden), output: rounded(output) });
writeFileSync(
    target,
    `<?php

declare(strict_types=1);

namespace Crag\\Handwriting;

/** What the network learned: written by deploy/handwriting/train.sh. */
final class Weights
{
    public const JSON = <<<'JSON'
        ${json}
        JSON;
}
`,
);
