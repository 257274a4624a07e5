// Draws the outlines in core/src/Render/Maps from Natural Earth's public-domain data, as the package `world-atlas`
// holds it. Run by hand when a map is added: `npm install --no-save world-atlas@2.0.2 topojson-client@3.1.0`, then
// `node deploy/maps/make.mjs`.
import { readFileSync, writeFileSync } from 'node:fs';
import { mesh } from 'topojson-client';

const WIDTH = 1600;
const HEIGHT = 1000;
const MARGIN = 30;
/** Points nearer to the last one than this, in units, are left out. */
const NEAR = 3;
/** Degrees: what lies further south is left out. */
const SOUTHMOST = -60;
const LINE = 108;

/** Degrees: west, east, south, north. */
const MAPS = {
    World: { of: '110m', window: [-180, 180, -58, 84] },
    Europe: { of: '50m', window: [-25, 46, 34, 72] },
    Africa: { of: '50m', window: [-20, 54, -36, 38] },
    Asia: { of: '50m', window: [25, 150, -12, 78] },
    NorthAmerica: { of: '50m', window: [-170, -50, 6, 84] },
    SouthAmerica: { of: '50m', window: [-84, -32, -57, 14] },
    Oceania: { of: '50m', window: [108, 180, -50, 4] },
    BritishIsles: { of: '10m', window: [-11, 2.5, 49.7, 61] },
};

/** The whole earth by the Equal Earth projection (Šavrič, Patterson and Jenny, 2018). */
function equalEarth([lon, lat]) {
    const [a1, a2, a3, a4] = [1.340264, -0.081106, 0.000893, 0.003796];
    const root = Math.sqrt(3) / 2;
    const t = Math.asin(root * Math.sin((lat * Math.PI) / 180));
    const [t2, t6] = [t * t, t ** 6];
    return [
        ((lon * Math.PI) / 180) * (Math.cos(t) / (root * (a1 + 3 * a2 * t2 + t6 * (7 * a3 + 9 * a4 * t2)))),
        -t * (a1 + a2 * t2 + t6 * (a3 + a4 * t2)),
    ];
}

/** A part of it by Lambert's azimuthal equal-area projection about its middle (1772). */
function lambert([west, east, south, north]) {
    const rad = (degrees) => (degrees * Math.PI) / 180;
    const [lon0, lat0] = [rad((west + east) / 2), rad((south + north) / 2)];
    return ([lon, lat]) => {
        const [l, p] = [rad(lon) - lon0, rad(lat)];
        const cos = Math.sin(lat0) * Math.sin(p) + Math.cos(lat0) * Math.cos(p) * Math.cos(l);
        if (cos < -0.2) {
            return null;
        }
        const k = Math.sqrt(2 / (1 + cos));
        return [
            k * Math.cos(p) * Math.sin(l),
            -k * (Math.cos(lat0) * Math.sin(p) - Math.sin(lat0) * Math.cos(p) * Math.cos(l)),
        ];
    };
}

for (const [name, { of, window }] of Object.entries(MAPS)) {
    const atlas = JSON.parse(readFileSync(`node_modules/world-atlas/countries-${of}.json`, 'utf8'));
    const project = name === 'World' ? equalEarth : lambert(window);
    const [west, east, south, north] = window;
    const edge = [];
    for (let i = 0; i <= 40; i++) {
        const [x, y] = [west + ((east - west) * i) / 40, south + ((north - south) * i) / 40];
        edge.push([x, south], [x, north], [west, y], [east, y]);
    }
    const seen = edge.map(project).filter((point) => point !== null);
    const [left, right] = [Math.min(...seen.map(([x]) => x)), Math.max(...seen.map(([x]) => x))];
    const [top, bottom] = [Math.min(...seen.map(([, y]) => y)), Math.max(...seen.map(([, y]) => y))];
    const scale = Math.min((WIDTH - 2 * MARGIN) / (right - left), (HEIGHT - 2 * MARGIN) / (bottom - top));
    const put = (point) => {
        const at = project(point);
        return (
            at && [WIDTH / 2 + (at[0] - (left + right) / 2) * scale, HEIGHT / 2 + (at[1] - (top + bottom) / 2) * scale]
        );
    };
    const isIn = ([x, y]) => x > -40 && x < WIDTH + 40 && y > -40 && y < HEIGHT + 40;
    const lines = (geometry) =>
        geometry.type === 'MultiLineString'
            ? geometry.coordinates
            : geometry.type === 'Polygon'
              ? geometry.coordinates
              : geometry.coordinates.flat();
    const path = (all) => {
        let d = '';
        for (const line of all) {
            let last = null;
            let part = [];
            let before = null;
            const flush = () => {
                if (part.length > 1) {
                    d += `M${part[0].join(' ')}`;
                    for (let i = 1; i < part.length; i++) {
                        d += `l${part[i][0] - part[i - 1][0]} ${part[i][1] - part[i - 1][1]}`.replace(' -', '-');
                    }
                }
                part = [];
            };
            for (const point of line) {
                const at = put(point);
                // From one edge of the world to the other there is no line.
                const jumps = before !== null && Math.abs(point[0] - before[0]) > 180;
                before = point;
                if (jumps) {
                    flush();
                    last = null;
                }
                if (at === null || !isIn(at) || point[1] < SOUTHMOST) {
                    flush();
                    last = null;
                    continue;
                }
                const whole = at.map(Math.round);
                if (last === null || Math.hypot(at[0] - last[0], at[1] - last[1]) >= NEAR) {
                    part.push(whole);
                    last = at;
                }
            }
            flush();
        }
        return d;
    };
    const { countries } = atlas.objects;
    const coast = path(lines(mesh(atlas, countries, (a, b) => a === b)));
    const borders = path(lines(mesh(atlas, countries, (a, b) => a !== b)));
    const wrap = (d) => d.replace(new RegExp(`(.{1,${LINE}})(?=[Ml]|$)`, 'g'), '        $1\n').trimEnd();
    writeFileSync(
        `core/src/Render/Maps/${name}.php`,
        `<?php

declare(strict_types=1);

namespace Crag\\Render\\Maps;

/** Made by deploy/maps/make.mjs from Natural Earth's public-domain data. */
final class ${name}
{
    public const COAST = <<<'PATH'
${wrap(coast)}
        PATH;

    public const BORDERS = <<<'PATH'
${wrap(borders)}
        PATH;
}
`,
    );
}
