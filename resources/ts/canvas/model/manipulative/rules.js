// Written by `php artisan crag:rules` from core/src/Manipulative; `./crag fix` runs it.
import { Said } from './said';
import { Field, Setting } from './setting';
import { same, Values } from './values';

export const Columns = {
MOST: 19,
after(counts, act) {
let n;
n = act.n;
if (((n < 0) || (n >= (counts.length)))) {
return counts;
}
if ((same(act.part, "add") && (counts[n] < Columns.MOST))) {
counts[n]++;
} else if ((same(act.part, "take") && (counts[n] > 0))) {
counts[n]--;
} else if ((((same(act.part, "trade") && (n > 0)) && (counts[n] >= 10)) && (counts[(n - 1)] < Columns.MOST))) {
counts[n] -= 10;
counts[(n - 1)]++;
} else if ((same(act.part, "break") && Columns.breaks(counts, n))) {
counts[n]--;
counts[(n + 1)] += 10;
}
return ([...counts]);
},
breaks(counts, n) {
return ((((n + 1) < (counts.length)) && (counts[n] > 0)) && ((counts[(n + 1)] + 10) <= Columns.MOST));
},
buttons(sketch, n, worth, above, below, x, y) {
sketch.button("add", n, Said.of("+ :n", { "n": worth }), x, y, 84);
sketch.button("take", n, Said.of("− :n", { "n": worth }), (x + 92), y, 84);
if (!same(above, "")) {
sketch.button("trade", n, Said.of("Trade ten for :n", { "n": above }), x, (y + 64), 176);
}
if (!same(below, "")) {
sketch.button("break", n, Said.of("Break into :n", { "n": below }), x, (y + 128), 176);
}
},
};

export const Laid = {
CENTIMETRE: 58.9,
FULL: 3600,
EDGE: 16,
fields() {
return [Field.whole("x", (-4000), 4000), Field.whole("y", (-4000), 4000), Field.whole("turn", 0, (Laid.FULL - 1))];
},
start() {
return Values.of({ "x": 0, "y": 0, "turn": 0 });
},
at(state, along, aside) {
let angle;
angle = ((state.int("turn") * Math.PI) / 1800);
return [((state.int("x") + (along * (Math.cos(angle)))) - (aside * (Math.sin(angle)))), ((state.int("y") + (along * (Math.sin(angle)))) + (aside * (Math.cos(angle))))];
},
all(state, points) {
let all, i;
all = [];
for (i = 0; ((i + 1) < (points.length)); i += 2) {
all = [...all, ...Laid.at(state, points[i], points[(i + 1)])];
}
return all;
},
draw(sketch, state, outline, body, gripAlong, gripAside) {
let points, x, y, turn;
points = Laid.all(state, outline);
sketch.around(points);
sketch.polygon(points, "glass", "stone");
[x, y] = Laid.at(state, gripAlong, gripAside);
sketch.circle(x, y, 13, "paper", "lake");
sketch.dragOn("body", 0, Said.of("Move it"), Laid.all(state, body), 20);
turn = Said.of("Turn it: now at :n°", { "n": Laid.degrees(state) });
sketch.drag("grip", 0, turn, (x - 30), (y - 30), 60, 60, 16);
},
degrees(state) {
return (Math.trunc(Number((Math.floor(((((Laid.FULL - state.int("turn")) % Laid.FULL) / 10) + 0.5))))) % 360);
},
after(state, act, body, gripAlong, gripAside) {
let x, y, grip, angle, turn;
if ((same(act.x, null) || same(act.y, null))) {
return state;
}
if (same(act.part, "body")) {
[x, y] = Laid.middle(Laid.all(state, body));
return state.with("x", Tokens.within((state.int("x") + Math.trunc(Number((Math.floor(((act.x - x) + 0.5)))))), (-4000), 4000)).with("y", Tokens.within((state.int("y") + Math.trunc(Number((Math.floor(((act.y - y) + 0.5)))))), (-4000), 4000));
}
if (same(act.part, "grip")) {
grip = (Math.atan2(gripAside, gripAlong));
angle = ((Math.atan2((act.y - state.int("y")), (act.x - state.int("x")))) - grip);
turn = (Math.trunc(Number((Math.floor((((angle * 180) / Math.PI) + 0.5))))) * 10);
return state.with("turn", (((turn % Laid.FULL) + Laid.FULL) % Laid.FULL));
}
return state;
},
middle(points) {
let left, top, right, bottom, i;
[left, top, right, bottom] = [points[0], points[1], points[0], points[1]];
for (i = 2; ((i + 1) < (points.length)); i += 2) {
left = (Math.min(left, points[i]));
right = (Math.max(right, points[i]));
top = (Math.min(top, points[(i + 1)]));
bottom = (Math.max(bottom, points[(i + 1)]));
}
return [((left + right) / 2), ((top + bottom) / 2)];
},
inside(along, aside, wide, high) {
let edge;
edge = Laid.EDGE;
return [(along + edge), (aside + edge), ((along + wide) - edge), (aside + edge), ((along + wide) - edge), ((aside + high) - edge), (along + edge), ((aside + high) - edge)];
},
};

export const Mat = {
EDGE: 40,
added(tokens, kind, across, apart, top = 0) {
let spot, x, y;
for (spot = 0; (spot < 400); spot++) {
x = (Mat.EDGE + ((spot % across) * apart));
y = ((Mat.EDGE + top) + ((Math.trunc(spot / across)) * apart));
if (Mat.isFree(tokens, x, y, (Math.trunc(apart / 2)))) {
return Tokens.put(tokens, kind, x, y);
}
}
return tokens;
},
isFree(tokens, x, y, reach) {
let n;
for (n = 0; (n < Tokens.count(tokens)); n++) {
if ((((Math.abs((tokens[((3 * n) + 1)] - x))) < reach) && ((Math.abs((tokens[((3 * n) + 2)] - y))) < reach))) {
return false;
}
}
return true;
},
dragged(tokens, act, width, height) {
let x, y;
x = (act.x ?? 0);
y = (act.y ?? 0);
if (Mat.isOff(act, width, height)) {
return Tokens.without(tokens, act.n);
}
return Tokens.moved(tokens, act.n, Tokens.within(x, 0, width), Tokens.within(y, 0, height));
},
isOff(act, width, height) {
let x, y;
x = (act.x ?? 0);
y = (act.y ?? 0);
return ((((x < (-Mat.EDGE)) || (y < (-Mat.EDGE))) || (x > (width + Mat.EDGE))) || (y > (height + Mat.EDGE)));
},
};

export const Seeded = {
MODULUS: 2147483647,
MULTIPLIER: 48271,
AT_ONCE: [1, 10, 100],
at(seed, n, count) {
let x, i;
x = ((((seed * 7919) + (n * 104729)) + 1009) % Seeded.MODULUS);
for (i = 0; (i < 4); i++) {
x = (((x * Seeded.MULTIPLIER) + 11) % Seeded.MODULUS);
}
return (x % count);
},
buttons(sketch, name, labels, y) {
let i, label;
for ([i, label] of labels.entries()) {
sketch.button(name, (Seeded.AT_ONCE[i] ?? 1), label, (i * 116), y, 110);
}
sketch.button("again", 0, Said.of("Start again"), 348, y, 150);
},
};

export const Solids = {
CUBOID: 0,
PRISM: 1,
PYRAMID: 2,
CYLINDER: 3,
CONE: 4,
ROUND: 40,
sides(shape, sides) {
if (same(shape, Solids.CUBOID)) {
return 4;
}
return ((same(shape, Solids.CYLINDER) || same(shape, Solids.CONE)) ? Solids.ROUND : sides);
},
isPointed(shape) {
return (same(shape, Solids.PYRAMID) || same(shape, Solids.CONE));
},
corners(shape, sides, wide, deep, high) {
let corners, count, i, level, y;
corners = [];
count = Solids.sides(shape, sides);
for ([level, y] of [((-high) / 2), (high / 2)].entries()) {
if ((same(level, 1) && Solids.isPointed(shape))) {
return [...corners, [0, y, 0]];
}
for (i = 0; (i < count); i++) {
corners.push((same(shape, Solids.CUBOID) ? [((((same(i, 0) || same(i, 3)) ? (-1) : 1) * wide) / 2), y, ((((i < 2) ? (-1) : 1) * deep) / 2)] : [((wide / 2) * (Math.cos(((((2 * i) + 1) * Math.PI) / count)))), y, ((wide / 2) * (Math.sin(((((2 * i) + 1) * Math.PI) / count))))]));
}
}
return corners;
},
faces(shape, sides) {
let count, base, top, i, faces, next;
count = Solids.sides(shape, sides);
base = [];
top = [];
for (i = 0; (i < count); i++) {
base.push(i);
top.push((count + i));
}
faces = [base];
for (i = 0; (i < count); i++) {
next = ((i + 1) % count);
faces.push((Solids.isPointed(shape) ? [i, next, count] : [i, next, (count + next), (count + i)]));
}
return (Solids.isPointed(shape) ? faces : [...faces, top]);
},
edges(faces) {
let edges, i, a, b, g, f, face;
edges = [];
for ([f, face] of faces.entries()) {
for (i = 0; (i < (face.length)); i++) {
a = face[i];
b = face[((i + 1) % (face.length))];
for (g = (f + 1); (g < (faces.length)); g++) {
if (((faces[g].includes(a)) && (faces[g].includes(b)))) {
edges.push([a, b, f, g]);
}
}
}
}
return edges;
},
seen(point, turn, tilt) {
let yaw, pitch, x, z;
yaw = ((turn * Math.PI) / 180);
pitch = ((tilt * Math.PI) / 180);
x = ((point[0] * (Math.cos(yaw))) - (point[2] * (Math.sin(yaw))));
z = ((point[0] * (Math.sin(yaw))) + (point[2] * (Math.cos(yaw))));
return [x, ((z * (Math.sin(pitch))) - (point[1] * (Math.cos(pitch)))), ((z * (Math.cos(pitch))) + (point[1] * (Math.sin(pitch))))];
},
minus(a, b) {
return [(a[0] - b[0]), (a[1] - b[1]), (a[2] - b[2])];
},
cross(a, b) {
return [((a[1] * b[2]) - (a[2] * b[1])), ((a[2] * b[0]) - (a[0] * b[2])), ((a[0] * b[1]) - (a[1] * b[0]))];
},
dot(a, b) {
return (((a[0] * b[0]) + (a[1] * b[1])) + (a[2] * b[2]));
},
section(corners, edges, normal, on) {
let cuts, from, to, share, way, at, edge;
cuts = [];
for (edge of edges) {
from = Solids.dot(normal, Solids.minus(corners[edge[0]], on));
to = Solids.dot(normal, Solids.minus(corners[edge[1]], on));
if (((Math.abs(from)) < 1.0E-9)) {
cuts = Solids.with(cuts, corners[edge[0]]);
}
if (((Math.abs(to)) < 1.0E-9)) {
cuts = Solids.with(cuts, corners[edge[1]]);
}
if (((from * to) < (-1.0E-12))) {
share = (from / (from - to));
way = Solids.minus(corners[edge[1]], corners[edge[0]]);
at = corners[edge[0]];
cuts = Solids.with(cuts, [(at[0] + (way[0] * share)), (at[1] + (way[1] * share)), (at[2] + (way[2] * share))]);
}
}
return Solids.inOrder(cuts, normal);
},
with(points, point) {
let far, one;
for (one of points) {
far = Solids.minus(one, point);
if ((Solids.dot(far, far) < 1.0E-9)) {
return points;
}
}
return [...points, point];
},
inOrder(points, normal) {
let middle, first, second, angles, i, point, angle, j;
if (((points.length) < 3)) {
return points;
}
middle = Solids.middle(points);
first = Solids.minus(points[0], middle);
second = Solids.cross(normal, first);
angles = (points.map(((one) => (Math.atan2((Solids.dot(Solids.minus(one, middle), second) / (Math.max(1.0E-9, (Math.sqrt(Solids.dot(second, second)))))), (Solids.dot(Solids.minus(one, middle), first) / (Math.max(1.0E-9, (Math.sqrt(Solids.dot(first, first)))))))))));
for (i = 1; (i < (points.length)); i++) {
[point, angle] = [points[i], angles[i]];
j = (i - 1);
while (((j >= 0) && (angles[j] > angle))) {
points[(j + 1)] = points[j];
angles[(j + 1)] = angles[j];
j--;
}
points[(j + 1)] = point;
angles[(j + 1)] = angle;
}
return points;
},
middle(points) {
let sum, count, point;
sum = [0, 0, 0];
for (point of points) {
sum = [(sum[0] + point[0]), (sum[1] + point[1]), (sum[2] + point[2])];
}
count = (Math.max(1, (points.length)));
return [(sum[0] / count), (sum[1] / count), (sum[2] / count)];
},
area(points) {
let sum, i, cross;
sum = [0, 0, 0];
for (i = 1; ((i + 1) < (points.length)); i++) {
cross = Solids.cross(Solids.minus(points[i], points[0]), Solids.minus(points[(i + 1)], points[0]));
sum = [(sum[0] + cross[0]), (sum[1] + cross[1]), (sum[2] + cross[2])];
}
return ((Math.sqrt(Solids.dot(sum, sum))) / 2);
},
written(value) {
return Written.hundredths(Math.trunc(Number((Math.floor(((value * 100) + 0.5))))));
},
turned(state, across, down) {
return state.with("turn", ((((state.int("turn") - (Math.trunc(across / 2))) % 360) + 360) % 360)).with("tilt", Tokens.within((state.int("tilt") + (Math.trunc(down / 2))), (-90), 90));
},
};

export const Tokens = {
BY: 3,
put(tokens, kind, x, y) {
return [...tokens, kind, x, y];
},
without(tokens, n) {
return [...tokens.slice(0, (0) + ((n * Tokens.BY))), ...tokens.slice(((n + 1) * Tokens.BY))];
},
moved(tokens, n, x, y) {
return [...tokens.slice(0, (0) + (((n * Tokens.BY) + 1))), x, y, ...tokens.slice(((n + 1) * Tokens.BY))];
},
turned(tokens, n, kind) {
return [...tokens.slice(0, (0) + ((n * Tokens.BY))), kind, ...tokens.slice(((n * Tokens.BY) + 1))];
},
count(tokens) {
return (Math.trunc((tokens.length) / Tokens.BY));
},
countOf(tokens, kind) {
let count, n;
count = 0;
for (n = 0; (n < Tokens.count(tokens)); n++) {
count += (same(tokens[(n * Tokens.BY)], kind) ? 1 : 0);
}
return count;
},
last(tokens, kind) {
let n;
for (n = (Tokens.count(tokens) - 1); (n >= 0); n--) {
if (same(tokens[(n * Tokens.BY)], kind)) {
return n;
}
}
return (-1);
},
within(value, least, most) {
return (Math.min(most, (Math.max(least, value))));
},
};

export const Turn = {
at(x, y, radius, degrees) {
let angle;
angle = (((degrees - 90) * Math.PI) / 180);
return [(x + (radius * (Math.cos(angle)))), (y + (radius * (Math.sin(angle))))];
},
sector(x, y, radius, from, to) {
let points, steps, i;
points = (((to - from) >= 360) ? [] : [x, y]);
steps = (Math.max(2, Math.trunc(Number((Math.ceil(((to - from) / 6)))))));
for (i = 0; (i <= steps); i++) {
points = [...points, ...Turn.at(x, y, radius, (from + (((to - from) * i) / steps)))];
}
return points;
},
towards(x, y, atX, atY) {
let degrees;
degrees = ((((Math.atan2((atY - y), (atX - x))) * 180) / Math.PI) + 90);
return ((degrees < 0) ? (degrees + 360) : degrees);
},
};

export const Written = {
whole(value) {
return ((value < 0) ? (String("−") + String((-value))) : String(value));
},
fraction(numerator, denominator) {
let common, sign, top, bottom;
common = Written.gcd((Math.abs(numerator)), denominator);
sign = ((numerator < 0) ? "−" : "");
top = (Math.trunc((Math.abs(numerator)) / common));
bottom = (Math.trunc(denominator / common));
return (same(bottom, 1) ? (String(sign) + String(top)) : (String((String((String(sign) + String(top))) + String("/"))) + String(bottom)));
},
gcd(a, b) {
let rest;
while (!same(b, 0)) {
rest = (a % b);
a = b;
b = rest;
}
return (Math.max(1, a));
},
hundredths(value) {
let sign, rest, whole, digits;
sign = ((value < 0) ? "−" : "");
rest = ((Math.abs(value)) % 100);
whole = (Math.trunc((Math.abs(value)) / 100));
if (same(rest, 0)) {
return (String(sign) + String(whole));
}
digits = (same((rest % 10), 0) ? String((Math.trunc(rest / 10))) : (String(((rest < 10) ? "0" : "")) + String(rest)));
return (String((String((String(sign) + String(whole))) + String("."))) + String(digits));
},
parts(words) {
let parts, part;
parts = [];
for (part of (words.split(","))) {
if (!same((part.trim()), "")) {
parts.push((part.trim()));
}
}
return parts;
},
list(values) {
return ((values.map(((one) => Written.whole(one)))).join(", "));
},
};

export const FractionBar = {
MOST_PARTS: 20,
WIDE: 600,
HIGH: 80,
APART: 100,
settings() {
return [Setting.whole("rows", "Bars", 1, 1, 4), Setting.whole("parts", "Parts in each", 4, 1, FractionBar.MOST_PARTS)];
},
fields() {
return [Field.list("parts", 4, 1, FractionBar.MOST_PARTS), Field.list("shaded", 4, 0, ((1 << FractionBar.MOST_PARTS) - 1))];
},
start(set) {
return Values.of({ "parts": (Array(set.int("rows")).fill(set.int("parts"))), "shaded": (Array(set.int("rows")).fill(0)) });
},
after(set, state, act) {
let parts, shaded, row, cell, by;
parts = state.list("parts");
shaded = state.list("shaded");
row = (same(act.part, "cell") ? (Math.trunc(act.n / 100)) : act.n);
if ((((row < 0) || (row >= (parts.length))) || (row >= (shaded.length)))) {
return state;
}
if (same(act.part, "cell")) {
cell = (act.n % 100);
if ((cell < parts[row])) {
shaded[row] = (shaded[row] ^ (1 << cell));
}
} else if ((same(act.part, "more") || same(act.part, "fewer"))) {
by = (same(act.part, "more") ? 1 : (-1));
parts[row] = Tokens.within((parts[row] + by), 1, FractionBar.MOST_PARTS);
shaded[row] = (shaded[row] & ((1 << parts[row]) - 1));
}
return state.with("parts", parts).with("shaded", shaded);
},
draw(set, state, sketch) {
let parts, shaded, wide, y, i, isShaded, label, row, count;
parts = state.list("parts");
shaded = state.list("shaded");
sketch.size(FractionBar.WIDE, (((parts.length) * FractionBar.APART) - 20));
for ([row, count] of parts.entries()) {
wide = (FractionBar.WIDE / count);
y = (row * FractionBar.APART);
for (i = 0; (i < count); i++) {
isShaded = same((((shaded[row] ?? 0) >> i) & 1), 1);
sketch.rect((i * wide), y, wide, FractionBar.HIGH, (isShaded ? "lake" : "paper"));
label = Said.of("Part :n of :all", { "n": (i + 1), "all": count });
sketch.press("cell", ((row * 100) + i), label, (i * wide), y, wide, FractionBar.HIGH);
}
sketch.button("fewer", row, Said.of("Fewer parts"), (FractionBar.WIDE + 16), y, 130, 38);
sketch.button("more", row, Said.of("More parts"), (FractionBar.WIDE + 16), (y + 42), 130, 38);
}
},
says(set, state) {
let all, row, count;
all = [];
for ([row, count] of state.list("parts").entries()) {
all.push((String((String(FractionBar.bits((state.list("shaded")[row] ?? 0))) + String("/"))) + String(count)));
}
return Said.of(":all shaded", { "all": (all.join(", ")) });
},
bits(mask) {
let count;
count = 0;
while ((mask > 0)) {
count += (mask & 1);
mask = (mask >> 1);
}
return count;
},
};

export const FractionCircle = {
RADIUS: 120,
settings() {
return [Setting.whole("rows", "Circles", 1, 1, 4), Setting.whole("parts", "Parts in each", 4, 1, FractionBar.MOST_PARTS)];
},
fields() {
return FractionBar.fields();
},
start(set) {
return FractionBar.start(set);
},
after(set, state, act) {
return FractionBar.after(set, state, act);
},
draw(set, state, sketch) {
let parts, shaded, x, i, isShaded, piece, label, row, count;
parts = state.list("parts");
shaded = state.list("shaded");
sketch.size((((parts.length) * 280) - 40), (2 * FractionCircle.RADIUS));
for ([row, count] of parts.entries()) {
x = ((row * 280) + FractionCircle.RADIUS);
for (i = 0; (i < count); i++) {
isShaded = same((((shaded[row] ?? 0) >> i) & 1), 1);
piece = Turn.sector(x, FractionCircle.RADIUS, FractionCircle.RADIUS, ((360 * i) / count), ((360 * (i + 1)) / count));
sketch.polygon(piece, (isShaded ? "lake" : "paper"));
label = Said.of("Part :n of :all", { "n": (i + 1), "all": count });
sketch.pressOn("cell", ((row * 100) + i), label, piece);
}
sketch.button("fewer", row, Said.of("Fewer parts"), (x - 120), ((2 * FractionCircle.RADIUS) + 16), 116, 56);
sketch.button("more", row, Said.of("More parts"), (x + 4), ((2 * FractionCircle.RADIUS) + 16), 116, 56);
}
},
says(set, state) {
return FractionBar.says(set, state);
},
};

export const BaseTen = {
WIDE: 200,
HIGH: 400,
ACROSS: [6, 9, 3, 3],
APART: [28, 19, 58, 58],
DOWN: [28, 126, 58, 58],
WORDS: ["Ones", "Tens", "Hundreds", "Thousands"],
settings() {
return [Setting.whole("columns", "Columns", 3, 2, 4), Setting.whole("value", "Start with", 0, 0, 9999)];
},
fields() {
return [Field.list("counts", 4, 0, Columns.MOST)];
},
start(set) {
let counts, power;
counts = [];
for (power = (set.int("columns") - 1); (power >= 0); power--) {
counts.push(((Math.trunc(set.int("value") / (10 ** power))) % 10));
}
return Values.of({ "counts": counts });
},
after(set, state, act) {
return state.with("counts", Columns.after(state.list("counts"), act));
},
draw(set, state, sketch) {
let counts, power, x, i, left, above, below, n, count;
counts = state.list("counts");
sketch.size(((counts.length) * BaseTen.WIDE), BaseTen.HIGH);
for ([n, count] of counts.entries()) {
power = (((counts.length) - 1) - n);
x = (n * BaseTen.WIDE);
sketch.rect(x, 0, BaseTen.WIDE, BaseTen.HIGH, "paper", "stone");
sketch.words((x + (BaseTen.WIDE / 2)), 26, BaseTen.WORDS[power], 26);
for (i = 0; (i < count); i++) {
left = ((x + 14) + ((i % BaseTen.ACROSS[power]) * BaseTen.APART[power]));
BaseTen.block(sketch, power, left, (56 + ((Math.trunc(i / BaseTen.ACROSS[power])) * BaseTen.DOWN[power])));
}
above = (((n > 0) && (count >= 10)) ? String((10 ** (power + 1))) : "");
below = (Columns.breaks(counts, n) ? String((10 ** (power - 1))) : "");
Columns.buttons(sketch, n, String((10 ** power)), above, below, (x + 12), (BaseTen.HIGH + 12));
}
},
block(sketch, power, x, y) {
let i;
if (same(power, 0)) {
sketch.rect(x, y, 22, 22, "sand");
} else if (same(power, 1)) {
sketch.rect(x, y, 12, 120, "moss");
for (i = 1; (i < 10); i++) {
sketch.line([x, (y + (12 * i)), (x + 12), (y + (12 * i))], "slate", 1);
}
} else {
sketch.rect(x, y, 50, 50, (same(power, 2) ? "sky" : "clay"));
for (i = 1; (i < 10); i++) {
sketch.line([x, (y + (5 * i)), (x + 50), (y + (5 * i))], "stone", 1);
sketch.line([(x + (5 * i)), y, (x + (5 * i)), (y + 50)], "stone", 1);
}
if (same(power, 3)) {
sketch.polygon([x, y, (x + 5), (y - 7), (x + 57), (y - 7), (x + 50), y], "clay");
sketch.polygon([(x + 50), y, (x + 57), (y - 7), (x + 57), (y + 43), (x + 50), (y + 50)], "clay");
}
}
},
says(set, state) {
let counts;
counts = state.list("counts");
return Said.of(":n in blocks: :blocks", { "n": BaseTen.value(counts), "blocks": (counts.join(" + ")) });
},
value(counts) {
let value, count;
value = 0;
for (count of counts) {
value = ((value * 10) + count);
}
return value;
},
};

export const PlaceValue = {
WIDE: 190,
HIGH: 300,
WORDS: ["100 000", "10 000", "1000", "100", "10", "1", "0.1", "0.01", "0.001"],
ONES: 5,
settings() {
return [Setting.whole("whole", "Whole places", 3, 1, 5), Setting.whole("decimals", "Decimal places", 2, 0, 3)];
},
fields() {
return [Field.list("counts", 8, 0, Columns.MOST)];
},
start(set) {
return Values.of({ "counts": (Array((set.int("whole") + set.int("decimals"))).fill(0)) });
},
after(set, state, act) {
return state.with("counts", Columns.after(state.list("counts"), act));
},
draw(set, state, sketch) {
let counts, place, x, i, above, below, n, count;
counts = state.list("counts");
sketch.size(((counts.length) * PlaceValue.WIDE), PlaceValue.HIGH);
for ([n, count] of counts.entries()) {
place = (((PlaceValue.ONES + 1) - set.int("whole")) + n);
x = (n * PlaceValue.WIDE);
sketch.rect(x, 0, PlaceValue.WIDE, PlaceValue.HIGH, "paper", "stone");
sketch.rect(x, 0, PlaceValue.WIDE, 44, "pale", "stone");
sketch.words((x + (PlaceValue.WIDE / 2)), 23, (PlaceValue.WORDS[place] ?? ""), 26);
for (i = 0; (i < count); i++) {
sketch.circle(((x + 27) + ((i % 5) * 34)), (68 + ((Math.trunc(i / 5)) * 36)), 14, "sky", "lake");
}
sketch.line([x, 220, (x + PlaceValue.WIDE), 220], "stone", 2);
sketch.words((x + (PlaceValue.WIDE / 2)), 262, String(count), 48, ((count > 9) ? "rust" : "slate"));
above = (((n > 0) && (count >= 10)) ? (PlaceValue.WORDS[(place - 1)] ?? "") : "");
below = (Columns.breaks(counts, n) ? (PlaceValue.WORDS[(place + 1)] ?? "") : "");
Columns.buttons(sketch, n, (PlaceValue.WORDS[place] ?? ""), above, below, (x + 7), (PlaceValue.HIGH + 12));
}
if ((set.int("decimals") > 0)) {
sketch.circle((set.int("whole") * PlaceValue.WIDE), 280, 7, "slate", "");
}
},
says(set, state) {
return Said.of("Shows :n", { "n": PlaceValue.value(set, state) });
},
value(set, state) {
let value, unit, rest, digits, i, count;
value = 0;
for (count of state.list("counts")) {
value = ((value * 10) + count);
}
unit = (10 ** set.int("decimals"));
rest = (value % unit);
digits = "";
for (i = 0; (i < set.int("decimals")); i++) {
digits = ((same((rest % 10), 0) && same(digits, "")) ? "" : (String((rest % 10)) + String(digits)));
rest = (Math.trunc(rest / 10));
}
return (String((Math.trunc(value / unit))) + String((same(digits, "") ? "" : (String(".") + String(digits)))));
},
};

export const NumberLine = {
WIDE: 1100,
LINE: 190,
MOST_JUMPS: 20,
NUMBERED: 24,
EVERY: [1, 2, 5, 10, 20, 50, 100, 200, 500],
settings() {
return [Setting.whole("from", "From", 0, (-1000), 1000), Setting.whole("to", "To", 10, (-1000), 1000), Setting.whole("parts", "Steps in each whole", 1, 1, 12), Setting.whole("at", "Start at", 0, (-1000), 1000)];
},
fields() {
return [Field.list("jumps", NumberLine.MOST_JUMPS, (-24000), 24000)];
},
start(set) {
return Values.of({ "jumps": [] });
},
after(set, state, act) {
let jumps, least, place, jump;
jumps = state.list("jumps");
if (same(act.part, "back")) {
return state.with("jumps", jumps.slice(0, (0) + ((Math.max(0, ((jumps.length) - 1))))));
}
if (same(act.part, "clear")) {
return state.with("jumps", []);
}
if (((!same(act.part, "end") || same(act.x, null)) || ((jumps.length) >= NumberLine.MOST_JUMPS))) {
return state;
}
least = NumberLine.least(set);
place = Math.trunc(Number((Math.floor((((act.x * NumberLine.length(set)) / NumberLine.WIDE) + 0.5)))));
jump = ((least + Tokens.within(place, 0, NumberLine.length(set))) - NumberLine.at(set, state));
return (same(jump, 0) ? state : state.with("jumps", [...jumps, jump]));
},
least(set) {
return ((Math.min(set.int("from"), set.int("to"))) * set.int("parts"));
},
length(set) {
return ((Math.max(1, (Math.abs((set.int("to") - set.int("from")))))) * set.int("parts"));
},
first(set) {
let least;
least = NumberLine.least(set);
return Tokens.within((set.int("at") * set.int("parts")), least, (least + NumberLine.length(set)));
},
at(set, state) {
return (NumberLine.first(set) + (state.list("jumps").reduce((sum, one) => sum + one, 0)));
},
placeOf(set, value) {
return (((value - NumberLine.least(set)) * NumberLine.WIDE) / NumberLine.length(set));
},
draw(set, state, sketch) {
let length, parts, every, tick, i, value, x, isWhole, isNumbered, high, from, middle, words, end, step, label, n, jump;
length = NumberLine.length(set);
parts = set.int("parts");
sketch.size(NumberLine.WIDE, 250);
sketch.line([0, NumberLine.LINE, NumberLine.WIDE, NumberLine.LINE], "slate", 3);
every = NumberLine.every((Math.trunc(length / parts)));
tick = ((length <= 240) ? 1 : (parts * every));
for (i = 0; (i <= length); i += tick) {
value = (NumberLine.least(set) + i);
x = ((i * NumberLine.WIDE) / length);
isWhole = same((value % parts), 0);
isNumbered = (isWhole && same(((Math.trunc(value / parts)) % every), 0));
high = (isNumbered ? 16 : (isWhole ? 12 : 7));
sketch.line([x, (NumberLine.LINE - high), x, (NumberLine.LINE + high)], "slate", 2);
if (isNumbered) {
sketch.words(x, (NumberLine.LINE + 38), Written.whole((Math.trunc(value / parts))), 26);
}
}
from = NumberLine.first(set);
for ([n, jump] of state.list("jumps").entries()) {
NumberLine.arc(sketch, NumberLine.placeOf(set, from), NumberLine.placeOf(set, (from + jump)));
middle = ((NumberLine.placeOf(set, from) + NumberLine.placeOf(set, (from + jump))) / 2);
words = (String(((jump > 0) ? "+" : "")) + String(Written.fraction(jump, parts)));
sketch.words(middle, (same((n % 2), 0) ? 56 : 24), words, 24, "lake");
from += jump;
}
end = NumberLine.placeOf(set, from);
sketch.circle(end, NumberLine.LINE, 16, "ochre");
step = Math.trunc(Number((Math.ceil((NumberLine.WIDE / length)))));
label = Said.of("Jump from :n", { "n": Written.fraction(from, parts) });
sketch.drag("end", 0, label, (end - 36), (NumberLine.LINE - 36), 72, 72, step);
sketch.button("back", 0, Said.of("Undo a jump"), 0, 262, 180);
sketch.button("clear", 0, Said.of("Start again"), 190, 262, 180);
},
every(wholes) {
let every;
for (every of NumberLine.EVERY) {
if (((Math.trunc(wholes / every)) <= NumberLine.NUMBERED)) {
return every;
}
}
return 1000;
},
arc(sketch, from, to) {
let middle, radius, high, points, i, x, y, side, tip;
middle = ((from + to) / 2);
radius = ((Math.abs((to - from))) / 2);
high = (Math.min(110, (40 + (radius / 3))));
points = [];
for (i = 0; (i <= 24); i++) {
[x, y] = Turn.at(0, 0, 1, ((-90) + (i * 7.5)));
points = [...points, (middle + ((x * (to - from)) / 2)), (NumberLine.LINE + (y * high))];
}
sketch.line(points, "lake", 3);
side = ((to > from) ? (-1) : 1);
tip = [(to + (side * 16)), (NumberLine.LINE - 18), to, NumberLine.LINE, (to + (side * (-2))), (NumberLine.LINE - 24)];
sketch.line(tip, "lake", 3);
},
says(set, state) {
let parts, at;
parts = set.int("parts");
at = Written.fraction(NumberLine.at(set, state), parts);
if (same(state.list("jumps"), [])) {
return Said.of("At :n, no jumps yet", { "n": at });
}
return Said.of("From :from, jumps :jumps: at :n", { "from": Written.fraction(NumberLine.first(set), parts), "jumps": NumberLine.jumps(set, state), "n": at });
},
jumps(set, state) {
let jumps, jump;
jumps = [];
for (jump of state.list("jumps")) {
jumps.push((String(((jump > 0) ? "+" : "")) + String(Written.fraction(jump, set.int("parts")))));
}
return (jumps.join(", "));
},
};

export const Counters = {
WIDE: 700,
HIGH: 340,
MOST: 40,
settings() {
return [Setting.choice("faces", "Faces", ["+1 and −1", "Two colours"]), Setting.whole("first", "Of the first face", 5, 0, 20), Setting.whole("second", "Of the second face", 3, 0, 20)];
},
fields() {
return [Field.list("tokens", Counters.MOST, 0, 1000, Tokens.BY)];
},
start(set) {
let tokens, i;
tokens = [];
for (i = 0; (i < (set.int("first") + set.int("second"))); i++) {
tokens = Mat.added(tokens, ((i < set.int("first")) ? 0 : 1), 10, 66);
}
return Values.of({ "tokens": tokens });
},
after(set, state, act) {
let tokens, count, first, second;
tokens = state.list("tokens");
count = Tokens.count(tokens);
if (((same(act.part, "token") && (act.n >= 0)) && (act.n < count))) {
return state.with("tokens", (same(act.x, null) ? Tokens.turned(tokens, act.n, (1 - Tokens.within(tokens[(act.n * Tokens.BY)], 0, 1))) : Mat.dragged(tokens, act, Counters.WIDE, Counters.HIGH)));
}
if ((same(act.part, "add") && (count < Counters.MOST))) {
return state.with("tokens", Mat.added(tokens, Tokens.within(act.n, 0, 1), 10, 66));
}
if ((same(act.part, "pair") && ((count + 2) <= Counters.MOST))) {
return state.with("tokens", Mat.added(Mat.added(tokens, 0, 10, 66), 1, 10, 66));
}
first = Tokens.last(tokens, 0);
second = Tokens.last(tokens, 1);
if (((same(act.part, "unpair") && (first >= 0)) && (second >= 0))) {
return state.with("tokens", Tokens.without(Tokens.without(tokens, (Math.max(first, second))), (Math.min(first, second))));
}
return state;
},
draw(set, state, sketch) {
let tokens, isSigned, n, isFirst, x, y, label;
tokens = state.list("tokens");
isSigned = same(set.int("faces"), 0);
sketch.size(Counters.WIDE, Counters.HIGH);
sketch.rect(0, 0, Counters.WIDE, Counters.HIGH, "paper", "stone", 12);
for (n = 0; (n < Tokens.count(tokens)); n++) {
isFirst = same(tokens[(3 * n)], 0);
x = tokens[((3 * n) + 1)];
y = tokens[((3 * n) + 2)];
sketch.circle(x, y, 27, (isFirst ? "sand" : "lake"));
if (isSigned) {
sketch.words(x, y, (isFirst ? "+" : "−"), 34, (isFirst ? "slate" : "paper"));
} else if (!isFirst) {
sketch.circle(x, y, 17, "", "paper");
}
label = (isSigned ? Said.of("Counter :n: :face", { "n": (n + 1), "face": (isFirst ? "+1" : "−1") }) : Said.of("Counter :n: face :face", { "n": (n + 1), "face": (isFirst ? 1 : 2) }));
sketch.drag("token", n, label, (x - 30), (y - 30), 60, 60, 33);
}
y = (Counters.HIGH + 12);
sketch.button("add", 0, (isSigned ? Said.of("Add +1") : Said.of("Add a light one")), 0, y, 160);
sketch.button("add", 1, (isSigned ? Said.of("Add −1") : Said.of("Add a dark one")), 170, y, 160);
if (isSigned) {
sketch.button("pair", 0, Said.of("Add a zero pair"), 340, y, 175);
sketch.button("unpair", 0, Said.of("Take a zero pair"), 525, y, 175);
}
},
says(set, state) {
let first, second;
first = Tokens.countOf(state.list("tokens"), 0);
second = Tokens.countOf(state.list("tokens"), 1);
return (same(set.int("faces"), 0) ? Said.of(":first of +1, :second of −1: total :total", { "first": first, "second": second, "total": Written.whole((first - second)) }) : Said.of(":first light and :second dark: :total in all", { "first": first, "second": second, "total": (first + second) }));
},
};

export const TenFrame = {
CELL: 80,
settings() {
return [Setting.whole("frames", "Frames", 2, 1, 3), Setting.whole("filled", "Filled", 0, 0, 30)];
},
fields() {
return [Field.list("cells", 30, 0, 2)];
},
start(set) {
let cells, i;
cells = [];
for (i = 0; (i < (10 * set.int("frames"))); i++) {
cells.push(((i < set.int("filled")) ? 1 : 0));
}
return Values.of({ "cells": cells });
},
after(set, state, act) {
let cells;
cells = state.list("cells");
if (((!same(act.part, "cell") || (act.n < 0)) || (act.n >= (cells.length)))) {
return state;
}
cells[act.n] = ((cells[act.n] + 1) % 3);
return state.with("cells", cells);
},
draw(set, state, sketch) {
let cells, frames, x, y, i, cell;
cells = state.list("cells");
frames = (Math.trunc((cells.length) / 10));
sketch.size(((frames * 440) - 40), (2 * TenFrame.CELL));
for ([i, cell] of cells.entries()) {
x = (((Math.trunc(i / 10)) * 440) + ((i % 5) * TenFrame.CELL));
y = (((Math.trunc(i / 5)) % 2) * TenFrame.CELL);
sketch.rect(x, y, TenFrame.CELL, TenFrame.CELL, "paper");
if ((cell > 0)) {
sketch.circle((x + 40), (y + 40), 30, (same(cell, 1) ? "rust" : "sand"));
}
sketch.press("cell", i, Said.of("Cell :n", { "n": (i + 1) }), x, y, TenFrame.CELL, TenFrame.CELL);
}
},
says(set, state) {
let dark, light, all;
[dark, light, all] = TenFrame.counted(state);
return (same(light, 0) ? Said.of(":n of :all filled", { "n": dark, "all": all }) : Said.of(":n of :all filled: :dark dark, :light light", { "n": (dark + light), "all": all, "dark": dark, "light": light }));
},
counted(state) {
let dark, light, cell;
dark = 0;
light = 0;
for (cell of state.list("cells")) {
dark += (same(cell, 1) ? 1 : 0);
light += (same(cell, 2) ? 1 : 0);
}
return [dark, light, (state.list("cells").length)];
},
};

export const HundredSquare = {
CELL: 62,
MOST: 144,
FILLS: ["paper", "sand", "sky"],
settings() {
return [Setting.whole("first", "First number", 1, (-100), 1000), Setting.whole("rows", "Rows", 10, 1, 12), Setting.whole("columns", "Columns", 10, 2, 12)];
},
fields() {
return [Field.list("cells", HundredSquare.MOST, 0, 2)];
},
start(set) {
return Values.of({ "cells": (Array((set.int("rows") * set.int("columns"))).fill(0)) });
},
after(set, state, act) {
let cells;
cells = state.list("cells");
if (same(act.part, "clear")) {
return HundredSquare.start(set);
}
if (((!same(act.part, "cell") || (act.n < 0)) || (act.n >= (cells.length)))) {
return state;
}
cells[act.n] = ((cells[act.n] + 1) % 3);
return state.with("cells", cells);
},
draw(set, state, sketch) {
let columns, cells, x, y, number, i, cell;
columns = (Math.max(1, set.int("columns")));
cells = state.list("cells");
sketch.size((columns * HundredSquare.CELL), ((Math.trunc((((cells.length) + columns) - 1) / columns)) * HundredSquare.CELL));
for ([i, cell] of cells.entries()) {
x = ((i % columns) * HundredSquare.CELL);
y = ((Math.trunc(i / columns)) * HundredSquare.CELL);
sketch.rect(x, y, HundredSquare.CELL, HundredSquare.CELL, (HundredSquare.FILLS[cell] ?? "paper"), "stone");
if (same(cell, 2)) {
sketch.circle((x + 31), (y + 31), 26, "", "lake");
}
number = Written.whole((set.int("first") + i));
sketch.words((x + 31), (y + 31), number, 26);
sketch.press("cell", i, Said.of(":n", { "n": number }), x, y, HundredSquare.CELL, HundredSquare.CELL);
}
sketch.button("clear", 0, Said.of("Start again"), ((columns * HundredSquare.CELL) + 14), 0, 150);
},
coloured(set, state) {
let numbers, i, cell;
numbers = [];
for ([i, cell] of state.list("cells").entries()) {
if ((cell > 0)) {
numbers.push((set.int("first") + i));
}
}
return numbers;
},
says(set, state) {
let numbers, some;
numbers = HundredSquare.coloured(set, state);
some = (String(Written.list(numbers.slice(0, (0) + (12)))) + String((((numbers.length) > 12) ? " …" : "")));
return (same(numbers, []) ? Said.of("None coloured") : Said.of(":n coloured: :some", { "n": (numbers.length), "some": some }));
},
};

export const NumberCards = {
WIDE: 800,
HIGH: 330,
LINE: 130,
MOST: 24,
settings() {
return [Setting.words("cards", "Cards, with commas between them", "1, 2, 3, 4, 5, +, −, =")];
},
fields() {
return [Field.list("tokens", NumberCards.MOST, 0, 1000, Tokens.BY)];
},
start(set) {
let tokens, n, card;
tokens = [];
for ([n, card] of Written.parts(set.words("cards")).slice(0, (0) + (NumberCards.MOST)).entries()) {
tokens = Mat.added(tokens, n, 9, 90, 150);
}
return Values.of({ "tokens": tokens });
},
after(set, state, act) {
let tokens, x, y;
tokens = state.list("tokens");
if ((((!same(act.part, "token") || same(act.x, null)) || (act.n < 0)) || (act.n >= Tokens.count(tokens)))) {
return state;
}
x = Tokens.within(act.x, 36, (NumberCards.WIDE - 36));
y = Tokens.within((act.y ?? 0), 46, (NumberCards.HIGH - 46));
return state.with("tokens", Tokens.moved(tokens, act.n, x, ((y < NumberCards.LINE) ? 65 : y)));
},
draw(set, state, sketch) {
let tokens, cards, n, card, x, y;
tokens = state.list("tokens");
cards = Written.parts(set.words("cards"));
sketch.size(NumberCards.WIDE, NumberCards.HIGH);
sketch.rect(0, 0, NumberCards.WIDE, NumberCards.LINE, "paper", "lake", 8);
sketch.rect(0, NumberCards.LINE, NumberCards.WIDE, (NumberCards.HIGH - NumberCards.LINE), "pale", "stone", 8);
for (n = 0; (n < Tokens.count(tokens)); n++) {
card = (cards[tokens[(3 * n)]] ?? "");
x = tokens[((3 * n) + 1)];
y = tokens[((3 * n) + 2)];
sketch.rect((x - 36), (y - 46), 72, 92, "paper", "slate", 8);
sketch.words(x, y, card, ((([...card].length) > 3) ? 22 : 38));
sketch.drag("token", n, Said.of("Card :card", { "card": card }), (x - 36), (y - 46), 72, 92, 40);
}
},
line(set, state) {
let tokens, cards, words, beyond, step, next, n, place, isLaid;
tokens = state.list("tokens");
cards = Written.parts(set.words("cards"));
words = [];
beyond = (-1);
for (step = 0; (step < Tokens.count(tokens)); step++) {
next = (-1);
for (n = 0; (n < Tokens.count(tokens)); n++) {
place = ((tokens[((3 * n) + 1)] * 100) + n);
isLaid = ((tokens[((3 * n) + 2)] < NumberCards.LINE) && (place > beyond));
if ((isLaid && ((next < 0) || (place < ((tokens[((3 * next) + 1)] * 100) + next))))) {
next = n;
}
}
if ((next < 0)) {
return (words.join(" "));
}
beyond = ((tokens[((3 * next) + 1)] * 100) + next);
words.push((cards[tokens[(3 * next)]] ?? ""));
}
return (words.join(" "));
},
says(set, state) {
let line;
line = NumberCards.line(set, state);
return (same(line, "") ? Said.of("No card in the line") : Said.of("Line: :line", { "line": line }));
},
};

export const AlgebraTiles = {
WIDE: 860,
HIGH: 460,
MOST: 60,
X: 110,
ONE: 36,
WIDTHS: [110, 36, 36, 110, 36, 36, 110, 110],
HEIGHTS: [110, 110, 36, 110, 110, 36, 36, 36],
WORDS: ["x²", "x", "1", "−x²", "−x", "−1", "x", "−x"],
FILLS: ["sky", "moss", "sand", "clay", "clay", "clay", "moss", "clay"],
OPPOSITE: [3, 4, 5, 0, 1, 2, 7, 6],
settings() {
return [Setting.whole("squares", "x² tiles", 1, (-4), 4), Setting.whole("xs", "x tiles", 5, (-12), 12), Setting.whole("ones", "Tiles of 1", 6, (-20), 20)];
},
fields() {
return [Field.list("tokens", AlgebraTiles.MOST, 0, 1000, Tokens.BY)];
},
start(set) {
return Values.of({ "tokens": AlgebraTiles.rows(set.int("squares"), set.int("xs"), set.int("ones")) });
},
after(set, state, act) {
let tokens, squares, xs, ones;
tokens = state.list("tokens");
if (((same(act.part, "token") && (act.n >= 0)) && (act.n < Tokens.count(tokens)))) {
return state.with("tokens", (same(act.x, null) ? Tokens.turned(tokens, act.n, (AlgebraTiles.OPPOSITE[tokens[(3 * act.n)]] ?? 0)) : Mat.dragged(tokens, act, AlgebraTiles.WIDE, AlgebraTiles.HIGH)));
}
if ((((same(act.part, "add") && (act.n >= 0)) && (act.n <= 2)) && (Tokens.count(tokens) < AlgebraTiles.MOST))) {
return state.with("tokens", Mat.added(tokens, act.n, 7, 116, 20));
}
[squares, xs, ones] = AlgebraTiles.sums(tokens);
if (same(act.part, "pairs")) {
return state.with("tokens", AlgebraTiles.withoutPairs(tokens));
}
if (same(act.part, "arrange")) {
return state.with("tokens", AlgebraTiles.arranged(squares, xs, ones));
}
return state;
},
sums(tokens) {
let lying;
lying = (Tokens.countOf(tokens, 6) - Tokens.countOf(tokens, 7));
return [(Tokens.countOf(tokens, 0) - Tokens.countOf(tokens, 3)), ((Tokens.countOf(tokens, 1) - Tokens.countOf(tokens, 4)) + lying), (Tokens.countOf(tokens, 2) - Tokens.countOf(tokens, 5))];
},
withoutPairs(tokens) {
let pair;
for (pair of [[0, 3], [1, 4], [6, 7], [1, 7], [6, 4], [2, 5]]) {
while (((Tokens.last(tokens, pair[0]) >= 0) && (Tokens.last(tokens, pair[1]) >= 0))) {
tokens = Tokens.without(tokens, Tokens.last(tokens, pair[0]));
tokens = Tokens.without(tokens, Tokens.last(tokens, pair[1]));
}
}
return tokens;
},
factors(a, b, c) {
let p, q, r, s;
if ((((a < 1) || (b < 0)) || (c < 0))) {
return [];
}
for (p = 1; (p <= a); p++) {
for (q = 0; (q <= b); q++) {
if (same((a % p), 0)) {
r = (Math.trunc(a / p));
s = (Math.trunc((b - (q * r)) / p));
if ((((s >= 0) && same(((p * s) + (q * r)), b)) && same((q * s), c))) {
return [p, q, r, s];
}
}
}
}
return [];
},
arranged(a, b, c) {
let factors, p, q, r, s, tokens, y, i, isTall, x, j, isWide, kind;
factors = AlgebraTiles.factors(a, b, c);
if (same(factors, [])) {
return AlgebraTiles.rows(a, b, c);
}
[p, q, r, s] = factors;
tokens = [];
y = 30;
for (i = 0; (i < (p + q)); i++) {
isTall = (i < p);
x = 40;
for (j = 0; (j < (r + s)); j++) {
isWide = (j < r);
kind = (isTall ? (isWide ? 0 : 1) : (isWide ? 6 : 2));
tokens = Tokens.put(tokens, kind, (x + (Math.trunc(AlgebraTiles.WIDTHS[kind] / 2))), (y + (Math.trunc(AlgebraTiles.HEIGHTS[kind] / 2))));
x += ((isWide ? AlgebraTiles.X : AlgebraTiles.ONE) + 2);
}
y += ((isTall ? AlgebraTiles.X : AlgebraTiles.ONE) + 2);
}
return tokens;
},
rows(squares, xs, ones) {
let tokens, i;
tokens = [];
for (i = 0; (i < (Math.abs(squares))); i++) {
tokens = Tokens.put(tokens, ((squares > 0) ? 0 : 3), (75 + (i * 120)), 75);
}
for (i = 0; (i < (Math.abs(xs))); i++) {
tokens = Tokens.put(tokens, ((xs > 0) ? 1 : 4), (40 + (i * 46)), 200);
}
for (i = 0; (i < (Math.abs(ones))); i++) {
tokens = Tokens.put(tokens, ((ones > 0) ? 2 : 5), (40 + ((i % 10) * 46)), (290 + ((Math.trunc(i / 10)) * 46)));
}
return tokens;
},
draw(set, state, sketch) {
let tokens, n, kind, wide, high, x, y, label, words;
tokens = state.list("tokens");
sketch.size(AlgebraTiles.WIDE, AlgebraTiles.HIGH);
sketch.rect(0, 0, AlgebraTiles.WIDE, AlgebraTiles.HIGH, "paper", "stone", 12);
for (n = 0; (n < Tokens.count(tokens)); n++) {
kind = Tokens.within(tokens[(3 * n)], 0, 7);
wide = AlgebraTiles.WIDTHS[kind];
high = AlgebraTiles.HEIGHTS[kind];
x = (tokens[((3 * n) + 1)] - (wide / 2));
y = (tokens[((3 * n) + 2)] - (high / 2));
sketch.rect(x, y, wide, high, AlgebraTiles.FILLS[kind]);
sketch.words((x + (wide / 2)), (y + (high / 2)), AlgebraTiles.WORDS[kind], (((wide + high) > 80) ? 26 : 20));
label = Said.of("Tile :n: :tile", { "n": (n + 1), "tile": AlgebraTiles.WORDS[kind] });
sketch.drag("token", n, label, x, y, wide, high, 38);
}
y = (AlgebraTiles.HIGH + 12);
for ([n, words] of ["+ x²", "+ x", "+ 1"].entries()) {
sketch.button("add", n, Said.of(words), (n * 110), y, 100);
}
sketch.button("pairs", 0, Said.of("Take zero pairs away"), 340, y, 230);
sketch.button("arrange", 0, Said.of("Arrange"), 580, y, 140);
},
written(squares, xs, ones) {
let words, sign, number, power, count;
words = "";
for ([power, count] of [squares, xs, ones].entries()) {
if (!same(count, 0)) {
sign = ((count < 0) ? (same(words, "") ? "−" : " − ") : (same(words, "") ? "" : " + "));
number = ((same((Math.abs(count)), 1) && (power < 2)) ? "" : String((Math.abs(count))));
words = (String((String((String(words) + String(sign))) + String(number))) + String((same(power, 0) ? "x²" : (same(power, 1) ? "x" : ""))));
}
}
return (same(words, "") ? "0" : words);
},
factor(xs, ones) {
let sum;
sum = AlgebraTiles.written(0, xs, ones);
return ((same(ones, 0) && same(xs, 1)) ? sum : (String((String("(") + String(sum))) + String(")")));
},
says(set, state) {
let squares, xs, ones, sum, factors;
[squares, xs, ones] = AlgebraTiles.sums(state.list("tokens"));
sum = AlgebraTiles.written(squares, xs, ones);
factors = AlgebraTiles.factors(squares, xs, ones);
if ((same(factors, []) || !same(state.list("tokens"), AlgebraTiles.arranged(squares, xs, ones)))) {
return Said.of("Tiles: :sum", { "sum": sum });
}
return Said.of("Rectangle: :sum = :factors", { "sum": sum, "factors": (String(AlgebraTiles.factor(factors[0], factors[1])) + String(AlgebraTiles.factor(factors[2], factors[3]))) });
},
};

export const Balance = {
MOST: 15,
MIDDLE: 400,
NAMES: ["left_x", "left_1", "right_x", "right_1"],
settings() {
return [Setting.words("left", "On the left", "2x + 3"), Setting.words("right", "On the right", "11"), Setting.whole("x", "What x weighs (students don’t see it)", 4, 0, 50)];
},
fields() {
return (Balance.NAMES.map(((name) => Field.whole(name, 0, Balance.MOST))));
},
start(set) {
let leftX, left, rightX, right;
[leftX, left] = Balance.read(set.words("left"));
[rightX, right] = Balance.read(set.words("right"));
return Values.of({ "left_x": leftX, "left_1": left, "right_x": rightX, "right_1": right });
},
read(words) {
let xs, ones, isX, digits, term;
xs = 0;
ones = 0;
for (term of ((((words.split(" ")).join("")).toLowerCase()).split("+"))) {
isX = (term.includes("x"));
digits = ((((term.split("x")).join("")).split("*")).join(""));
if (((/^[0-9]+$/.test(digits)) && ((digits.length) < 4))) {
xs += (isX ? Math.trunc(Number(digits)) : 0);
ones += (isX ? 0 : Math.trunc(Number(digits)));
} else if ((isX && same(digits, ""))) {
xs++;
}
}
return [(Math.min(Balance.MOST, xs)), (Math.min(Balance.MOST, ones))];
},
after(set, state, act) {
let name, value, left, right;
if (((act.n < 0) || (act.n > 3))) {
return state;
}
name = Balance.NAMES[act.n];
value = state.int(name);
if ((same(act.part, "add") && (value < Balance.MOST))) {
return state.with(name, (value + 1));
}
if ((same(act.part, "take") && (value > 0))) {
return state.with(name, (value - 1));
}
left = (same(act.n, 0) ? "left_x" : "left_1");
right = (same(act.n, 0) ? "right_x" : "right_1");
if ((((same(act.part, "both") && (act.n < 2)) && (state.int(left) > 0)) && (state.int(right) > 0))) {
return state.with(left, (state.int(left) - 1)).with(right, (state.int(right) - 1));
}
return state;
},
tips(set, state) {
let bags;
bags = (state.int("left_x") - state.int("right_x"));
return (((bags * set.int("x")) + state.int("left_1")) - state.int("right_1"));
},
draw(set, state, sketch) {
let tips, drop, x, y, pan, n, side, i, what;
tips = Balance.tips(set, state);
drop = (same(tips, 0) ? 0 : ((tips > 0) ? 40 : (-40)));
sketch.size(800, 420);
sketch.polygon([Balance.MIDDLE, 120, (Balance.MIDDLE + 46), 400, (Balance.MIDDLE - 46), 400], "wood");
sketch.rect((Balance.MIDDLE - 130), 396, 260, 20, "wood", "slate", 6);
sketch.line([200, (120 + drop), 600, (120 - drop)], "slate", 8);
sketch.circle(Balance.MIDDLE, 120, 12, "slate");
for (side of [0, 1]) {
x = (same(side, 0) ? 200 : 600);
y = (120 + (same(side, 0) ? drop : (-drop)));
sketch.line([x, y, (x - 150), (y + 190)], "stone", 2);
sketch.line([x, y, (x + 150), (y + 190)], "stone", 2);
pan = [(x - 170), (y + 190), (x + 170), (y + 190), (x + 120), (y + 216), (x - 120), (y + 216)];
sketch.polygon(pan, "pale");
Balance.load(sketch, side, state, x, (y + 190));
for ([i, what] of ["x", "1"].entries()) {
n = ((2 * side) + i);
sketch.button("add", n, Said.of("+ :n", { "n": what }), ((x - 170) + (i * 175)), 434, 76);
sketch.button("take", n, Said.of("− :n", { "n": what }), ((x - 90) + (i * 175)), 434, 76);
}
}
sketch.button("both", 0, Said.of("Take x from both"), 190, 500, 205);
sketch.button("both", 1, Said.of("Take 1 from both"), 405, 500, 205);
},
load(sketch, side, state, x, floor) {
let bags, ones, i, left, top;
bags = state.int(Balance.NAMES[(2 * side)]);
ones = state.int(Balance.NAMES[((2 * side) + 1)]);
for (i = 0; (i < bags); i++) {
left = ((x - 142) + ((i % 3) * 46));
top = ((floor - 44) - ((Math.trunc(i / 3)) * 46));
sketch.rect(left, top, 42, 42, "sky", "slate", 8);
sketch.words((left + 21), (top + 21), "x", 26);
}
for (i = 0; (i < ones); i++) {
left = ((x + 6) + ((i % 4) * 34));
top = ((floor - 32) - ((Math.trunc(i / 4)) * 34));
sketch.rect(left, top, 30, 30, "sand");
sketch.words((left + 15), (top + 16), "1", 20);
}
},
written(xs, ones) {
let bags;
bags = (same(xs, 0) ? "" : (same(xs, 1) ? "x" : (String(xs) + String("x"))));
return ((same(ones, 0) && !same(bags, "")) ? bags : (same(bags, "") ? String(ones) : (String((String(bags) + String(" + "))) + String(ones))));
},
says(set, state) {
let with_, tips;
with_ = { "left": Balance.written(state.int("left_x"), state.int("left_1")), "right": Balance.written(state.int("right_x"), state.int("right_1")) };
tips = Balance.tips(set, state);
if (same(tips, 0)) {
return Said.of("Balanced: :left = :right", with_);
}
return ((tips > 0) ? Said.of("Left is heavier: :left and :right", with_) : Said.of("Right is heavier: :left and :right", with_));
},
};

export const BarModel = {
BARS: 3,
PARTS: 8,
WIDE: 700,
FILLS: ["sky", "sand", "moss", "clay"],
settings() {
return [Setting.words("first", "Parts of the first bar", "12, 8"), Setting.words("second", "Parts of the second bar", "20"), Setting.words("third", "Parts of the third bar", "")];
},
fields() {
return [Field.list("bars", BarModel.BARS, 0, BarModel.PARTS), Field.list("lengths", (BarModel.BARS * BarModel.PARTS), 1, 1000), Field.list("unknown", (BarModel.BARS * BarModel.PARTS), 0, 1)];
},
start(set) {
let bars, lengths, unknown, parts, isNumber, bar, name, i, part;
bars = [];
lengths = (Array((BarModel.BARS * BarModel.PARTS)).fill(10));
unknown = (Array((BarModel.BARS * BarModel.PARTS)).fill(0));
for ([bar, name] of ["first", "second", "third"].entries()) {
parts = Written.parts(set.words(name)).slice(0, (0) + (BarModel.PARTS));
bars.push((parts.length));
for ([i, part] of parts.entries()) {
isNumber = (((/^[0-9]+$/.test(part)) && ((part.length) < 4)) && (Math.trunc(Number(part)) > 0));
lengths[((bar * BarModel.PARTS) + i)] = (isNumber ? Math.trunc(Number(part)) : 10);
unknown[((bar * BarModel.PARTS) + i)] = (isNumber ? 0 : 1);
}
}
return Values.of({ "bars": bars, "lengths": lengths, "unknown": unknown });
},
after(set, state, act) {
let bars, lengths, unknown, isWhole, n, left, i, at;
bars = state.list("bars");
lengths = state.list("lengths");
unknown = state.list("unknown");
isWhole = (same((bars.length), BarModel.BARS) && same((lengths.length), (BarModel.BARS * BarModel.PARTS)));
if ((!isWhole || !same((unknown.length), (BarModel.BARS * BarModel.PARTS)))) {
return BarModel.start(set);
}
n = act.n;
if ((((same(act.part, "more") && (n >= 0)) && (n < BarModel.BARS)) && (bars[n] < BarModel.PARTS))) {
lengths[((n * BarModel.PARTS) + bars[n])] = 10;
unknown[((n * BarModel.PARTS) + bars[n])] = 0;
bars[n]++;
} else if ((((same(act.part, "fewer") && (n >= 0)) && (n < BarModel.BARS)) && (bars[n] > 0))) {
bars[n]--;
} else if (((n < 0) || (n >= (BarModel.BARS * BarModel.PARTS)))) {
return state;
} else if ((same(act.part, "length") && !same(act.to, null))) {
lengths[n] = Tokens.within(act.to, 1, 1000);
unknown[n] = 0;
} else if (same(act.part, "unknown")) {
unknown[n] = (1 - unknown[n]);
} else if ((same(act.part, "edge") && !same(act.x, null))) {
left = 0;
for (i = ((Math.trunc(n / BarModel.PARTS)) * BarModel.PARTS); (i < n); i++) {
left += lengths[i];
}
at = Math.trunc(Number((Math.floor((((act.x * BarModel.longest(state)) / BarModel.WIDE) + 0.5)))));
lengths[n] = Tokens.within((at - left), 1, 1000);
}
return state.with("bars", bars).with("lengths", lengths).with("unknown", unknown);
},
total(state, bar) {
let first;
first = (bar * BarModel.PARTS);
return (state.list("lengths").slice(first, (first) + ((state.list("bars")[bar] ?? 0))).reduce((sum, one) => sum + one, 0));
},
longest(state) {
return (Math.max(10, BarModel.total(state, 0), BarModel.total(state, 1), BarModel.total(state, 2)));
},
draw(set, state, sketch) {
let bars, longest, x, y, i, n, length, wide, isUnknown, label, hide, end, bar, count;
bars = state.list("bars");
longest = BarModel.longest(state);
sketch.size((BarModel.WIDE + 110), 300);
for ([bar, count] of bars.entries()) {
x = 0;
y = (bar * 104);
for (i = 0; (i < count); i++) {
n = ((bar * BarModel.PARTS) + i);
length = (state.list("lengths")[n] ?? 1);
wide = ((length * BarModel.WIDE) / longest);
isUnknown = same((state.list("unknown")[n] ?? 0), 1);
sketch.rect(x, y, wide, 76, BarModel.FILLS[(i % 4)]);
sketch.words((x + (wide / 2)), (y + 38), (isUnknown ? "?" : String(length)), ((wide < 40) ? 20 : 30));
label = Said.of("Part :n of bar :bar", { "n": (i + 1), "bar": (bar + 1) });
sketch.type("length", n, label, x, y, wide, 44, length);
hide = Said.of("Part :n of bar :bar: known or not", { "n": (i + 1), "bar": (bar + 1) });
sketch.press("unknown", n, hide, x, (y + 44), wide, 32);
x += wide;
end = Said.of("End of part :n of bar :bar", { "n": (i + 1), "bar": (bar + 1) });
sketch.drag("edge", n, end, (x - 12), y, 24, 76, Math.trunc(Number((Math.ceil((BarModel.WIDE / longest))))));
}
if ((count > 0)) {
sketch.words((x + 12), (y + 38), (String("= ") + String(BarModel.sum(state, bar))), 26, "stone", "start");
}
sketch.button("more", bar, Said.of("+ part"), (BarModel.WIDE + 130), (y + 10), 100);
sketch.button("fewer", bar, Said.of("− part"), (BarModel.WIDE + 240), (y + 10), 100);
}
},
sum(state, bar) {
let hidden, i;
hidden = 0;
for (i = 0; (i < (state.list("bars")[bar] ?? 0)); i++) {
hidden += (state.list("unknown")[((bar * BarModel.PARTS) + i)] ?? 0);
}
return ((hidden > 0) ? "?" : String(BarModel.total(state, bar)));
},
bar(state, bar) {
let parts, i, n, isUnknown;
parts = [];
for (i = 0; (i < (state.list("bars")[bar] ?? 0)); i++) {
n = ((bar * BarModel.PARTS) + i);
isUnknown = same((state.list("unknown")[n] ?? 0), 1);
parts.push((isUnknown ? "?" : String((state.list("lengths")[n] ?? 1))));
}
return (parts.join(" + "));
},
says(set, state) {
let all, bar, words;
all = [];
for (bar = 0; (bar < BarModel.BARS); bar++) {
words = BarModel.bar(state, bar);
if (!same(words, "")) {
all.push(words);
}
}
return Said.of("Bars: :all", { "all": (all.join("; ")) });
},
};

export const Clock = {
RADIUS: 180,
DAY: 1440,
settings() {
return [Setting.whole("hours", "Hour", 9, 0, 23), Setting.whole("minutes", "Minute", 0, 0, 59), Setting.choice("figures", "Also in figures", ["No", "Yes"])];
},
fields() {
return [Field.whole("time", 0, (Clock.DAY - 1))];
},
start(set) {
return Values.of({ "time": ((set.int("hours") * 60) + set.int("minutes")) });
},
after(set, state, act) {
let time, degrees, minute, by, half;
time = state.int("time");
if (same(act.part, "forward")) {
return state.with("time", (((time + act.n) + Clock.DAY) % Clock.DAY));
}
if ((same(act.x, null) || same(act.y, null))) {
return state;
}
degrees = Turn.towards(Clock.RADIUS, Clock.RADIUS, act.x, act.y);
if (same(act.part, "minute")) {
minute = (Math.trunc(Number((Math.floor(((degrees / 6) + 0.5))))) % 60);
by = (minute - (time % 60));
by = ((by > 30) ? (by - 60) : ((by < (-30)) ? (by + 60) : by));
return state.with("time", (((time + by) + Clock.DAY) % Clock.DAY));
}
if (same(act.part, "hour")) {
half = (Math.trunc(Clock.DAY / 2));
by = ((Math.trunc(Number((Math.floor(((degrees / 2.5) + 0.5))))) * 5) - (time % half));
by = ((by > (Math.trunc(half / 2))) ? (by - half) : ((by < (-(Math.trunc(half / 2)))) ? (by + half) : by));
return state.with("time", (((time + by) + Clock.DAY) % Clock.DAY));
}
return state;
},
draw(set, state, sketch) {
let time, middle, i, x, y, toX, toY, hour, hourX, hourY, minuteX, minuteY, steps, by, label;
time = state.int("time");
middle = Clock.RADIUS;
sketch.size((2 * Clock.RADIUS), ((2 * Clock.RADIUS) + (same(set.int("figures"), 1) ? 64 : 0)));
sketch.circle(middle, middle, Clock.RADIUS, "paper");
for (i = 0; (i < 60); i++) {
[x, y] = Turn.at(middle, middle, (Clock.RADIUS - 4), (i * 6));
[toX, toY] = Turn.at(middle, middle, (Clock.RADIUS - (same((i % 5), 0) ? 18 : 10)), (i * 6));
sketch.line([x, y, toX, toY], "slate", (same((i % 5), 0) ? 3 : 1));
}
for (hour = 1; (hour <= 12); hour++) {
[x, y] = Turn.at(middle, middle, (Clock.RADIUS - 40), (hour * 30));
sketch.words(x, y, String(hour), 30);
}
[hourX, hourY] = Turn.at(middle, middle, 88, (time / 2));
[minuteX, minuteY] = Turn.at(middle, middle, 140, ((time % 60) * 6));
sketch.line([middle, middle, hourX, hourY], "slate", 12);
sketch.line([middle, middle, minuteX, minuteY], "lake", 6);
sketch.circle(middle, middle, 10, "slate");
if (same(set.int("figures"), 1)) {
sketch.words(middle, ((2 * Clock.RADIUS) + 36), Clock.written(time), 46);
}
sketch.drag("hour", 0, Said.of("Hour hand"), (hourX - 36), (hourY - 36), 72, 72, 16);
sketch.drag("minute", 0, Said.of("Minute hand"), (minuteX - 36), (minuteY - 36), 72, 72, 16);
y = ((2 * Clock.RADIUS) + (same(set.int("figures"), 1) ? 76 : 12));
steps = [[(-60), Said.of("− 1 h")], [(-5), Said.of("− 5 min")], [5, Said.of("+ 5 min")], [60, Said.of("+ 1 h")]];
for ([i, [by, label]] of steps.entries()) {
sketch.button("forward", by, label, ((i * 110) - 40), y, 104);
}
},
written(time) {
let minutes;
minutes = (time % 60);
return (String((String((String((Math.trunc(time / 60))) + String(":"))) + String(((minutes < 10) ? "0" : "")))) + String(minutes));
},
says(set, state) {
return Said.of("Clock at :time", { "time": Clock.written(state.int("time")) });
},
};

export const Coins = {
WIDE: 780,
HIGH: 340,
MOST: 40,
WORTH: [1, 2, 5, 10, 20, 50, 100, 200],
RADIUS: [22, 25, 28, 26, 30, 34, 32, 36],
FILLS: ["wood", "wood", "wood", "sand", "sand", "sand", "pale", "pale"],
settings() {
return [Setting.choice("total", "Show the total", ["No", "Yes"], 1)];
},
fields() {
return [Field.list("tokens", Coins.MOST, 0, 1000, Tokens.BY)];
},
start(set) {
return Values.of({ "tokens": [] });
},
after(set, state, act) {
let tokens, count;
tokens = state.list("tokens");
count = Tokens.count(tokens);
if ((((same(act.part, "add") && (act.n >= 0)) && (act.n < 8)) && (count < Coins.MOST))) {
return state.with("tokens", Mat.added(tokens, act.n, 10, 76));
}
if (same(act.part, "clear")) {
return Coins.start(set);
}
if ((((same(act.part, "token") && !same(act.x, null)) && (act.n >= 0)) && (act.n < count))) {
return state.with("tokens", Mat.dragged(tokens, act, Coins.WIDE, Coins.HIGH));
}
return state;
},
worth(state) {
let tokens, total, n;
tokens = state.list("tokens");
total = 0;
for (n = 0; (n < Tokens.count(tokens)); n++) {
total += (Coins.WORTH[tokens[(3 * n)]] ?? 0);
}
return total;
},
draw(set, state, sketch) {
let tokens, isShown, n, coin, x, y, radius, words, label, total, worth;
tokens = state.list("tokens");
isShown = same(set.int("total"), 1);
sketch.size(Coins.WIDE, (Coins.HIGH + (isShown ? 56 : 0)));
sketch.rect(0, 0, Coins.WIDE, Coins.HIGH, "paper", "stone", 12);
for (n = 0; (n < Tokens.count(tokens)); n++) {
coin = Tokens.within(tokens[(3 * n)], 0, 7);
x = tokens[((3 * n) + 1)];
y = tokens[((3 * n) + 2)];
radius = Coins.RADIUS[coin];
sketch.circle(x, y, radius, Coins.FILLS[coin]);
if ((coin >= 6)) {
sketch.circle(x, y, (radius - 7), "sand", "stone");
}
words = Written.hundredths((Coins.WORTH[coin] * ((coin >= 6) ? 1 : 100)));
sketch.words(x, y, words, 24);
label = Said.of("Coin :n: :worth", { "n": (n + 1), "worth": Coins.WORTH[coin] });
sketch.drag("token", n, label, (x - radius), (y - radius), (2 * radius), (2 * radius), 38);
}
if (isShown) {
total = Written.hundredths(Coins.worth(state));
sketch.words((Coins.WIDE / 2), (Coins.HIGH + 30), total, 38);
}
y = (Coins.HIGH + (isShown ? 68 : 12));
for ([n, worth] of Coins.WORTH.entries()) {
words = ((worth < 100) ? String(worth) : (String(Written.hundredths(worth)) + String(".00")));
sketch.button("add", n, Said.of("+ :n", { "n": words }), (n * 85), y, 80);
}
sketch.button("clear", 0, Said.of("Clear"), 685, y, 95);
},
says(set, state) {
return Said.of("Coins: :n, total :total", { "n": Tokens.count(state.list("tokens")), "total": Written.hundredths(Coins.worth(state)) });
},
};

export const Geoboard = {
APART: 80,
EDGE: 40,
MOST: 24,
settings() {
return [Setting.whole("pegs", "Pegs on each side", 6, 3, 9)];
},
fields() {
return [Field.list("band", Geoboard.MOST, 0, 80)];
},
start(set) {
return Values.of({ "band": [] });
},
after(set, state, act) {
let band, pegs, column, row, peg, isNew;
band = state.list("band");
pegs = set.int("pegs");
if (same(act.part, "back")) {
return state.with("band", band.slice(0, (0) + ((Math.max(0, ((band.length) - 1))))));
}
if (same(act.part, "clear")) {
return Geoboard.start(set);
}
if (((same(act.part, "corner") && (act.n >= 0)) && (act.n < (band.length)))) {
if ((same(act.x, null) || same(act.y, null))) {
return state.with("band", Geoboard.without(band, band[act.n]));
}
column = Tokens.within(Math.trunc(Number((Math.floor((((act.x - Geoboard.EDGE) / Geoboard.APART) + 0.5))))), 0, (pegs - 1));
row = Tokens.within(Math.trunc(Number((Math.floor((((act.y - Geoboard.EDGE) / Geoboard.APART) + 0.5))))), 0, (pegs - 1));
peg = ((row * pegs) + column);
if (!(band.includes(peg))) {
band[act.n] = peg;
}
return state.with("band", band);
}
isNew = (same(act.part, "peg") && !(band.includes(act.n)));
if ((((isNew && (act.n >= 0)) && (act.n < (pegs * pegs))) && ((band.length) < Geoboard.MOST))) {
return state.with("band", [...band, act.n]);
}
return state;
},
without(band, peg) {
let rest, one;
rest = [];
for (one of band) {
if (!same(one, peg)) {
rest.push(one);
}
}
return rest;
},
draw(set, state, sketch) {
let band, pegs, side, points, peg, x, y, isIn, label, n;
band = state.list("band");
pegs = set.int("pegs");
side = (((pegs - 1) * Geoboard.APART) + (2 * Geoboard.EDGE));
sketch.size(side, side);
sketch.rect(0, 0, side, side, "paper", "wood", 12);
points = [];
for (peg of band) {
points.push((Geoboard.EDGE + ((peg % pegs) * Geoboard.APART)));
points.push((Geoboard.EDGE + ((Math.trunc(peg / pegs)) * Geoboard.APART)));
}
if (((band.length) > 2)) {
sketch.polygon(points, "sky", "lake");
}
if (((band.length) > 1)) {
sketch.line((((band.length) > 2) ? [...points, points[0], points[1]] : points), "lake", 5);
}
for (peg = 0; (peg < (pegs * pegs)); peg++) {
x = (Geoboard.EDGE + ((peg % pegs) * Geoboard.APART));
y = (Geoboard.EDGE + ((Math.trunc(peg / pegs)) * Geoboard.APART));
isIn = (band.includes(peg));
sketch.circle(x, y, (isIn ? 10 : 6), (isIn ? "lake" : "slate"));
label = Said.of("Peg :x, :y", { "x": (peg % pegs), "y": ((pegs - 1) - (Math.trunc(peg / pegs))) });
if (!isIn) {
sketch.press("peg", peg, label, (x - 30), (y - 30), 60, 60);
}
}
for ([n, peg] of band.entries()) {
x = (Geoboard.EDGE + ((peg % pegs) * Geoboard.APART));
y = (Geoboard.EDGE + ((Math.trunc(peg / pegs)) * Geoboard.APART));
label = Said.of("Corner :n at :x, :y", { "n": (n + 1), "x": (peg % pegs), "y": ((pegs - 1) - (Math.trunc(peg / pegs))) });
sketch.drag("corner", n, label, (x - 30), (y - 30), 60, 60, Geoboard.APART);
}
sketch.button("back", 0, Said.of("Undo a peg"), 0, (side + 12), 150);
sketch.button("clear", 0, Said.of("Clear"), 160, (side + 12), 110);
},
twice(band, pegs) {
let sum, next, i, peg;
sum = 0;
for ([i, peg] of band.entries()) {
next = band[((i + 1) % (band.length))];
sum += (((peg % pegs) * (Math.trunc(next / pegs))) - ((next % pegs) * (Math.trunc(peg / pegs))));
}
return (Math.abs(sum));
},
says(set, state) {
let band;
band = state.list("band");
if (((band.length) < 3)) {
return Said.of("Pegs in the band: :n", { "n": (band.length) });
}
return Said.of(":n corners, area :area", { "n": (band.length), "area": Written.hundredths((Geoboard.twice(band, set.int("pegs")) * 50)) });
},
};

export const Dice = {
SIDES: [6, 4, 8, 10, 12, 20],
MOST_ROLLS: 200,
PIPS: [[4], [0, 8], [0, 4, 8], [0, 2, 6, 8], [0, 2, 4, 6, 8], [0, 2, 3, 5, 6, 8]],
settings() {
return [Setting.whole("dice", "Dice", 2, 1, 6), Setting.choice("sides", "Faces", ["6", "4", "8", "10", "12", "20"]), Setting.whole("seed", "Seed", 1, 1, 9999)];
},
fields() {
return [Field.whole("rolls", 0, Dice.MOST_ROLLS), Field.list("faces", 6, 1, 20), Field.list("held", 6, 0, 1), Field.list("totals", Dice.MOST_ROLLS, 0, 120)];
},
start(set) {
return Values.of({ "rolls": 0, "faces": (Array(set.int("dice")).fill(1)), "held": (Array(set.int("dice")).fill(0)), "totals": [] });
},
after(set, state, act) {
let faces, held, rolls, isHeld, i, face;
faces = state.list("faces");
held = state.list("held");
if (same(act.part, "again")) {
return Dice.start(set);
}
if (((same(act.part, "die") && (act.n >= 0)) && (act.n < (held.length)))) {
held[act.n] = (1 - held[act.n]);
return state.with("held", held);
}
if ((!same(act.part, "roll") || (state.int("rolls") >= Dice.MOST_ROLLS))) {
return state;
}
rolls = (state.int("rolls") + 1);
for ([i, face] of faces.entries()) {
isHeld = same((held[i] ?? 0), 1);
faces[i] = (isHeld ? face : (1 + Seeded.at((set.int("seed") + (131 * i)), rolls, Dice.sides(set))));
}
return state.with("rolls", rolls).with("faces", faces).with("totals", [...state.list("totals"), (faces.reduce((sum, one) => sum + one, 0))]);
},
sides(set) {
return (Dice.SIDES[set.int("sides")] ?? 6);
},
draw(set, state, sketch) {
let faces, x, isHeld, label, last, i, face, pip;
faces = state.list("faces");
sketch.size((Math.max(360, (((faces.length) * 130) - 20))), 170);
for ([i, face] of faces.entries()) {
x = (i * 130);
isHeld = same((state.list("held")[i] ?? 0), 1);
sketch.rect(x, 0, 110, 110, (isHeld ? "sand" : "paper"), "slate", 18);
if ((same(Dice.sides(set), 6) && (state.int("rolls") > 0))) {
for (pip of (Dice.PIPS[(face - 1)] ?? [])) {
sketch.circle(((x + 28) + ((pip % 3) * 27)), (28 + ((Math.trunc(pip / 3)) * 27)), 10, "slate", "");
}
} else {
sketch.words((x + 55), 55, (same(state.int("rolls"), 0) ? "–" : String(face)), 46);
}
label = (isHeld ? Said.of("Die :n, held", { "n": (i + 1) }) : Said.of("Die :n", { "n": (i + 1) }));
sketch.press("die", i, label, x, 0, 110, 110);
}
last = state.list("totals").slice((-10));
sketch.words(0, 144, (last.join("   ")), 26, "stone", "start");
sketch.button("roll", 0, Said.of("Roll"), 0, 182, 130);
sketch.button("again", 0, Said.of("Start again"), 140, 182, 150);
},
says(set, state) {
let faces;
faces = state.list("faces");
if (same(state.int("rolls"), 0)) {
return Said.of("Not rolled yet");
}
return Said.of("Rolled :faces: total :total, roll :n", { "faces": Written.list(faces), "total": (faces.reduce((sum, one) => sum + one, 0)), "n": state.int("rolls") });
},
};

export const CoinToss = {
MOST: 1000,
settings() {
return [Setting.whole("seed", "Seed", 1, 1, 9999)];
},
fields() {
return [Field.whole("tosses", 0, CoinToss.MOST), Field.whole("heads", 0, CoinToss.MOST), Field.whole("last", 0, 1)];
},
start(set) {
return Values.of({ "tosses": 0, "heads": 0, "last": 0 });
},
after(set, state, act) {
let i, side;
if (same(act.part, "again")) {
return CoinToss.start(set);
}
if (!same(act.part, "toss")) {
return state;
}
for (i = 0; (i < (Math.min(100, (Math.max(1, act.n))))); i++) {
if ((state.int("tosses") < CoinToss.MOST)) {
side = Seeded.at(set.int("seed"), (state.int("tosses") + 1), 2);
state = state.with("tosses", (state.int("tosses") + 1)).with("heads", (state.int("heads") + side)).with("last", side);
}
}
return state;
},
draw(set, state, sketch) {
let tosses, heads, y, i, side, count;
tosses = state.int("tosses");
heads = state.int("heads");
sketch.size(480, 180);
sketch.circle(80, 90, 76, "sand");
sketch.circle(80, 90, 62, "", "stone");
if ((tosses > 0)) {
sketch.words(80, 90, (same(state.int("last"), 1) ? "H" : "T"), 64);
}
for ([i, [side, count]] of [["H", heads], ["T", (tosses - heads)]].entries()) {
y = (34 + (i * 66));
sketch.words(190, (y + 22), side, 30);
sketch.rect(215, y, ((200 * count) / (Math.max(1, tosses))), 44, (same(i, 0) ? "sky" : "clay"));
sketch.words(475, (y + 22), String(count), 28, "slate", "end");
}
Seeded.buttons(sketch, "toss", [Said.of("Toss"), Said.of("Toss 10"), Said.of("Toss 100")], 192);
},
says(set, state) {
return Said.of("Tosses: :n, heads: :heads", { "heads": state.int("heads"), "n": state.int("tosses") });
},
};

export const Spinner = {
RADIUS: 150,
MOST_SPINS: 1000,
MOST: 12,
FILLS: ["sky", "sand", "moss", "clay"],
settings() {
return [Setting.words("names", "Sectors, with commas between them", "A, B, C, D"), Setting.whole("seed", "Seed", 1, 1, 9999)];
},
fields() {
return [Field.list("counts", Spinner.MOST, 0, Spinner.MOST_SPINS), Field.whole("last", 0, (Spinner.MOST - 1))];
},
names(set) {
let names;
names = Written.parts(set.words("names")).slice(0, (0) + (Spinner.MOST));
return (same(names, []) ? ["1", "2"] : names);
},
start(set) {
return Values.of({ "counts": (Array((Spinner.names(set).length)).fill(0)), "last": 0 });
},
after(set, state, act) {
let counts, last, i, spins;
if (same(act.part, "again")) {
return Spinner.start(set);
}
counts = state.list("counts");
if ((!same(act.part, "spin") || same((counts.length), 0))) {
return state;
}
last = state.int("last");
for (i = 0; (i < Tokens.within(act.n, 1, 100)); i++) {
spins = (counts.reduce((sum, one) => sum + one, 0));
if ((spins < Spinner.MOST_SPINS)) {
last = Seeded.at(set.int("seed"), (spins + 1), (counts.length));
counts[last]++;
}
}
return state.with("counts", counts).with("last", last);
},
draw(set, state, sketch) {
let names, counts, each, fill, piece, x, y, within, degrees, labels, i, name;
names = Spinner.names(set);
counts = state.list("counts");
sketch.size(560, (2 * Spinner.RADIUS));
each = (360 / (names.length));
for ([i, name] of names.entries()) {
fill = ((same(((names.length) % 4), 1) && same(i, ((names.length) - 1))) ? "pale" : Spinner.FILLS[(i % 4)]);
piece = Turn.sector(Spinner.RADIUS, Spinner.RADIUS, Spinner.RADIUS, (i * each), ((i + 1) * each));
sketch.polygon(piece, fill);
[x, y] = Turn.at(Spinner.RADIUS, Spinner.RADIUS, (Spinner.RADIUS * 0.68), ((i + 0.5) * each));
sketch.words(x, y, name, ((([...name].length) > 3) ? 20 : 28));
if (((names.length) <= 9)) {
sketch.words(340, (20 + (i * 32)), name, 24, "slate", "start");
sketch.words(540, (20 + (i * 32)), String((counts[i] ?? 0)), 24, "slate", "end");
}
}
if (((counts.reduce((sum, one) => sum + one, 0)) > 0)) {
within = (0.15 + (Seeded.at(set.int("seed"), ((counts.reduce((sum, one) => sum + one, 0)) + 5000), 70) / 100));
degrees = ((state.int("last") + within) * each);
[x, y] = Turn.at(Spinner.RADIUS, Spinner.RADIUS, (Spinner.RADIUS - 26), degrees);
sketch.line([Spinner.RADIUS, Spinner.RADIUS, x, y], "rust", 8);
}
sketch.circle(Spinner.RADIUS, Spinner.RADIUS, 14, "slate");
labels = [Said.of("Spin"), Said.of("Spin 10"), Said.of("Spin 100")];
Seeded.buttons(sketch, "spin", labels, ((2 * Spinner.RADIUS) + 12));
},
says(set, state) {
let spins;
spins = (state.list("counts").reduce((sum, one) => sum + one, 0));
return (same(spins, 0) ? Said.of("Not spun yet") : Said.of("Landed on :name, spin :n", { "name": (Spinner.names(set)[state.int("last")] ?? ""), "n": spins }));
},
};

export const SumTable = {
WIDE: 130,
HIGH: 64,
settings() {
return [Setting.whole("rows", "Rows", 2, 1, 6), Setting.whole("columns", "Columns", 3, 1, 6), Setting.words("names", "Names of the columns, with commas", "A, B, C"), Setting.choice("sums", "Totals", ["Worked out", "Typed"])];
},
fields() {
return [Field.list("cells", 49, (-99999), 99999)];
},
start(set) {
return Values.of({ "cells": (Array(((set.int("rows") + 1) * (set.int("columns") + 1))).fill(0)) });
},
after(set, state, act) {
let cells;
cells = state.list("cells");
if ((((!same(act.part, "cell") || same(act.to, null)) || (act.n < 0)) || (act.n >= (cells.length)))) {
return state;
}
if ((SumTable.isTotal(set, act.n) && same(set.int("sums"), 0))) {
return state;
}
cells[act.n] = Tokens.within(act.to, (-99999), 99999);
return state.with("cells", cells);
},
isTotal(set, n) {
let across;
across = (set.int("columns") + 1);
return (same((n % across), (across - 1)) || (n >= (set.int("rows") * across)));
},
sum(set, state, n) {
let across, sum, isOver, isBeside, i, cell;
across = (set.int("columns") + 1);
sum = 0;
for ([i, cell] of state.list("cells").entries()) {
isOver = (same((n % across), (across - 1)) || same((i % across), (n % across)));
isBeside = ((n >= (set.int("rows") * across)) || same((Math.trunc(i / across)), (Math.trunc(n / across))));
sum += (((!SumTable.isTotal(set, i) && isOver) && isBeside) ? cell : 0);
}
return sum;
},
draw(set, state, sketch) {
let across, names, cells, i, name, x, y, isTotal, value, with_, label, n, cell;
across = (set.int("columns") + 1);
names = Written.parts(set.words("names"));
cells = state.list("cells");
sketch.size((across * SumTable.WIDE), (((set.int("rows") + 1) * SumTable.HIGH) + 44));
for (i = 0; (i < across); i++) {
name = (same(i, (across - 1)) ? "Σ" : (names[i] ?? ""));
sketch.words(((i + 0.5) * SumTable.WIDE), 22, name, 26);
}
for ([n, cell] of cells.entries()) {
x = ((n % across) * SumTable.WIDE);
y = (44 + ((Math.trunc(n / across)) * SumTable.HIGH));
isTotal = SumTable.isTotal(set, n);
value = ((isTotal && same(set.int("sums"), 0)) ? SumTable.sum(set, state, n) : cell);
sketch.rect(x, y, SumTable.WIDE, SumTable.HIGH, (isTotal ? "pale" : "paper"), "stone");
sketch.words((x + (SumTable.WIDE / 2)), (y + (SumTable.HIGH / 2)), Written.whole(value), 30);
with_ = { "row": ((Math.trunc(n / across)) + 1), "column": ((n % across) + 1) };
label = (isTotal ? Said.of("Total, row :row column :column", with_) : Said.of("Row :row, column :column", with_));
if ((!isTotal || same(set.int("sums"), 1))) {
sketch.type("cell", n, label, x, y, SumTable.WIDE, SumTable.HIGH, value);
}
}
},
addsUp(set, state) {
let n, cell;
for ([n, cell] of state.list("cells").entries()) {
if (((same(set.int("sums"), 1) && SumTable.isTotal(set, n)) && !same(cell, SumTable.sum(set, state, n)))) {
return false;
}
}
return true;
},
says(set, state) {
let total;
total = Written.whole(SumTable.sum(set, state, ((state.list("cells").length) - 1)));
return (SumTable.addsUp(set, state) ? Said.of("Adds up to :total", { "total": total }) : Said.of("The totals don’t add up yet"));
},
};

export const BarChart = {
HIGH: 320,
MOST_BARS: 10,
settings() {
return [Setting.words("names", "Names, with commas between them", "A, B, C, D"), Setting.whole("most", "The scale goes up to", 10, 5, 200), Setting.choice("look", "Drawn as", ["Bars", "Dots"]), Setting.words("title", "Title", "")];
},
fields() {
return [Field.list("values", BarChart.MOST_BARS, 0, 200)];
},
names(set) {
let names;
names = Written.parts(set.words("names")).slice(0, (0) + (BarChart.MOST_BARS));
return (same(names, []) ? ["A"] : names);
},
start(set) {
return Values.of({ "values": (Array((BarChart.names(set).length)).fill(0)) });
},
after(set, state, act) {
let values, high;
values = state.list("values");
if (((act.n < 0) || (act.n >= (values.length)))) {
return state;
}
if ((same(act.part, "bar") && !same(act.y, null))) {
high = Math.trunc(Number((Math.floor((((((BarChart.HIGH + 40) - act.y) * set.int("most")) / BarChart.HIGH) + 0.5)))));
values[act.n] = Tokens.within(high, 0, set.int("most"));
} else if ((same(act.part, "value") && !same(act.to, null))) {
values[act.n] = Tokens.within(act.to, 0, set.int("most"));
}
return state.with("values", values);
},
draw(set, state, sketch) {
let names, most, wide, floor, every, i, y, value, x, high, radius, step, label, typed, n, name;
names = BarChart.names(set);
most = set.int("most");
wide = (((names.length) * 90) + 60);
floor = (BarChart.HIGH + 40);
sketch.size(wide, (BarChart.HIGH + 124));
sketch.words((wide / 2), 16, set.words("title"), 26);
every = ((most <= 12) ? 1 : ((most <= 25) ? 2 : ((most <= 60) ? 5 : 20)));
for (i = 0; (i <= most); i += every) {
y = (floor - ((i * BarChart.HIGH) / most));
sketch.line([50, y, wide, y], "pale", 1);
sketch.words(42, y, String(i), 20, "slate", "end");
}
for ([n, name] of names.entries()) {
value = (state.list("values")[n] ?? 0);
x = (60 + (n * 90));
high = ((value * BarChart.HIGH) / most);
if (same(set.int("look"), 0)) {
sketch.rect(x, (floor - high), 70, high, "sky");
} else {
for (i = 0; (i < value); i++) {
radius = (Math.min(16, (((BarChart.HIGH / most) / 2) - 1)));
sketch.circle((x + 35), (floor - (((i + 0.5) * BarChart.HIGH) / most)), radius, "lake", "");
}
}
sketch.words((x + 35), (floor + 22), name, ((([...name].length) > 6) ? 18 : 24));
sketch.words((x + 35), (floor + 58), String(value), 26, "lake");
step = Math.trunc(Number((Math.ceil((BarChart.HIGH / most)))));
label = Said.of(":name: :n", { "name": name, "n": value });
sketch.drag("bar", n, label, x, ((floor - high) - 36), 70, 72, step);
typed = Said.of("Number for :name", { "name": name });
sketch.type("value", n, typed, x, (floor + 38), 70, 44, value);
}
sketch.line([50, 40, 50, floor, wide, floor], "slate", 3);
},
says(set, state) {
let all, n, name;
all = [];
for ([n, name] of BarChart.names(set).entries()) {
all.push((String((String(name) + String(" "))) + String((state.list("values")[n] ?? 0))));
}
return Said.of("Chart: :all", { "all": (all.join(", ")) });
},
};

export const DataLine = {
WIDE: 840,
LINE: 300,
MOST: 60,
MOST_PLACES: 60,
settings() {
return [Setting.whole("from", "From", 0, (-100), 1000), Setting.whole("to", "To", 20, (-100), 1000), Setting.choice("look", "Drawn as", ["Dots", "Box plot", "Histogram"]), Setting.whole("class", "Width of a class (histogram)", 5, 1, 50), Setting.words("values", "Values, with commas between them", "")];
},
fields() {
return [Field.list("values", DataLine.MOST, (-100), 1000)];
},
length(set) {
return Tokens.within((Math.abs((set.int("to") - set.int("from")))), 1, DataLine.MOST_PLACES);
},
least(set) {
return (Math.min(set.int("from"), set.int("to")));
},
start(set) {
let values, least, part;
values = [];
for (part of Written.parts(set.words("values"))) {
least = DataLine.least(set);
if ((((/^[0-9]+$/.test(part)) && ((part.length) < 5)) && ((values.length) < DataLine.MOST))) {
values.push(Tokens.within(Math.trunc(Number(part)), least, (least + DataLine.length(set))));
}
}
return Values.of({ "values": DataLine.sorted(values) });
},
after(set, state, act) {
let values, place;
values = state.list("values");
place = (act.n - DataLine.least(set));
if ((((same(act.part, "add") && (place >= 0)) && (place <= DataLine.length(set))) && ((values.length) < DataLine.MOST))) {
return state.with("values", DataLine.sorted([...values, act.n]));
}
if (((same(act.part, "dot") && (act.n >= 0)) && (act.n < (values.length)))) {
return state.with("values", [...values.slice(0, (0) + (act.n)), ...values.slice((act.n + 1))]);
}
if (same(act.part, "clear")) {
return state.with("values", []);
}
return state;
},
sorted(values) {
let i, value, j;
for (i = 1; (i < (values.length)); i++) {
value = values[i];
j = (i - 1);
while (((j >= 0) && (values[j] > value))) {
values[(j + 1)] = values[j];
j--;
}
values[(j + 1)] = value;
}
return ([...values]);
},
twiceMedian(sorted) {
let count;
count = (sorted.length);
if (same(count, 0)) {
return 0;
}
return (sorted[(Math.trunc((count - 1) / 2))] + sorted[(Math.trunc(count / 2))]);
},
quartiles(sorted) {
let count;
count = (sorted.length);
if ((count < 2)) {
return [DataLine.twiceMedian(sorted), DataLine.twiceMedian(sorted), DataLine.twiceMedian(sorted)];
}
return [DataLine.twiceMedian(sorted.slice(0, (0) + ((Math.trunc(count / 2))))), DataLine.twiceMedian(sorted), DataLine.twiceMedian(sorted.slice((Math.trunc((count + 1) / 2))))];
},
at(set, value) {
return (20 + (((value - DataLine.least(set)) * (DataLine.WIDE - 40)) / DataLine.length(set)));
},
draw(set, state, sketch) {
let values, least, length, every, wide, i, x, label;
values = state.list("values");
least = DataLine.least(set);
length = DataLine.length(set);
sketch.size(DataLine.WIDE, (DataLine.LINE + 60));
sketch.line([0, DataLine.LINE, DataLine.WIDE, DataLine.LINE], "slate", 3);
every = ((length <= 20) ? 1 : ((length <= 40) ? 2 : 5));
wide = ((DataLine.WIDE - 40) / length);
for (i = 0; (i <= length); i++) {
x = DataLine.at(set, (least + i));
sketch.line([x, DataLine.LINE, x, (DataLine.LINE + (same((i % every), 0) ? 12 : 6))], "slate", 2);
if (same((i % every), 0)) {
sketch.words(x, (DataLine.LINE + 32), Written.whole((least + i)), 22);
}
label = Said.of("Add :n", { "n": Written.whole((least + i)) });
sketch.press("add", (least + i), label, (x - (wide / 2)), (DataLine.LINE - 10), wide, 68);
}
if (same(set.int("look"), 0)) {
DataLine.dots(set, state, sketch);
} else if ((same(set.int("look"), 1) && !same(values, []))) {
DataLine.box(set, state, sketch);
} else if (same(set.int("look"), 2)) {
DataLine.histogram(set, state, sketch);
}
sketch.button("clear", 0, Said.of("Clear"), 0, (DataLine.LINE + 72), 110);
},
dots(set, state, sketch) {
let before, high, x, y, label, n, value;
before = 0;
high = 0;
for ([n, value] of state.list("values").entries()) {
high = (((n > 0) && same(value, before)) ? (high + 1) : 0);
before = value;
x = DataLine.at(set, value);
y = ((DataLine.LINE - 20) - (high * 28));
sketch.circle(x, y, 12, "lake");
label = Said.of("Take :n away", { "n": Written.whole(value) });
sketch.press("dot", n, label, (x - 14), (y - 14), 28, 28);
}
},
box(set, state, sketch) {
let values, lower, median, upper, left, right, from, middle;
values = state.list("values");
[lower, median, upper] = DataLine.quartiles(values);
left = DataLine.at(set, values[0]);
right = DataLine.at(set, values[((values.length) - 1)]);
sketch.line([left, 180, right, 180], "slate", 3);
sketch.line([left, 150, left, 210], "slate", 3);
sketch.line([right, 150, right, 210], "slate", 3);
from = DataLine.at(set, (lower / 2));
sketch.rect(from, 130, (DataLine.at(set, (upper / 2)) - from), 100, "sky");
middle = DataLine.at(set, (median / 2));
sketch.line([middle, 130, middle, 230], "rust", 5);
},
histogram(set, state, sketch) {
let least, end, class_, from, count, isLast, x, high, wide, value;
least = DataLine.least(set);
end = (least + DataLine.length(set));
class_ = set.int("class");
for (from = least; (from < end); from += class_) {
count = 0;
for (value of state.list("values")) {
isLast = (same(value, end) && ((from + class_) >= end));
count += (((value >= from) && ((value < (from + class_)) || isLast)) ? 1 : 0);
}
x = DataLine.at(set, from);
high = (Math.min(270, (count * 28)));
if ((count > 0)) {
wide = (DataLine.at(set, (Math.min(end, (from + class_)))) - x);
sketch.rect(x, (DataLine.LINE - high), wide, high, "sky");
sketch.words((x + (wide / 2)), ((DataLine.LINE - high) - 16), String(count), 22);
}
}
},
says(set, state) {
let values;
values = state.list("values");
if (same(values, [])) {
return Said.of("No values yet");
}
return Said.of("Values: :n, median :median, from :least to :most", { "n": (values.length), "median": Written.hundredths((DataLine.twiceMedian(values) * 50)), "least": Written.whole(values[0]), "most": Written.whole(values[((values.length) - 1)]) });
},
};

export const VennSets = {
WIDE: 820,
HIGH: 520,
MOST: 24,
TWO: [[300, 260], [520, 260]],
THREE: [[300, 200], [520, 200], [410, 350]],
RADII: [190, 160],
settings() {
return [Setting.words("names", "Two or three names, with commas", "Even, Multiple of 3"), Setting.words("items", "What is laid into them, with commas", "1, 2, 3, 4, 5, 6, 8, 9, 12")];
},
fields() {
return [Field.list("tokens", VennSets.MOST, 0, 1000, Tokens.BY)];
},
start(set) {
let tokens, n, item;
tokens = [];
for ([n, item] of Written.parts(set.words("items")).slice(0, (0) + (VennSets.MOST)).entries()) {
tokens = Mat.added(tokens, n, 11, 74, VennSets.HIGH);
}
return Values.of({ "tokens": tokens });
},
after(set, state, act) {
let tokens, x, y;
tokens = state.list("tokens");
if ((((!same(act.part, "token") || same(act.x, null)) || (act.n < 0)) || (act.n >= Tokens.count(tokens)))) {
return state;
}
x = Tokens.within(act.x, 20, (VennSets.WIDE - 20));
y = Tokens.within((act.y ?? 0), 20, (VennSets.HIGH + 190));
return state.with("tokens", Tokens.moved(tokens, act.n, x, y));
},
circles(set) {
return (((Written.parts(set.words("names")).length) > 2) ? VennSets.THREE : VennSets.TWO);
},
radius(set) {
return VennSets.RADII[((VennSets.circles(set).length) - 2)];
},
region(set, x, y) {
let region, bit, isIn, atX, atY;
if ((y > VennSets.HIGH)) {
return (-1);
}
region = 0;
bit = 1;
for ([atX, atY] of VennSets.circles(set)) {
isIn = ((((x - atX) ** 2) + ((y - atY) ** 2)) <= (VennSets.radius(set) ** 2));
region += (isIn ? bit : 0);
bit *= 2;
}
return region;
},
draw(set, state, sketch) {
let tokens, names, items, rows, colour, isThird, n, item, x, y, i;
tokens = state.list("tokens");
names = Written.parts(set.words("names"));
items = Written.parts(set.words("items"));
rows = (Math.trunc(((Math.min(VennSets.MOST, (items.length))) + 10) / 11));
sketch.size(VennSets.WIDE, ((VennSets.HIGH + 20) + (rows * 74)));
sketch.rect(0, 0, VennSets.WIDE, VennSets.HIGH, "paper", "stone", 8);
for ([i, [x, y]] of VennSets.circles(set).entries()) {
colour = ["lake", "rust", "lichen"][i];
sketch.circle(x, y, VennSets.radius(set), "", colour);
isThird = same(i, 2);
sketch.words((isThird ? x : (same(i, 0) ? 30 : (VennSets.WIDE - 30))), (isThird ? 500 : 34), (names[i] ?? ""), 26, colour, (isThird ? "middle" : (same(i, 0) ? "start" : "end")));
}
for (n = 0; (n < Tokens.count(tokens)); n++) {
item = (items[tokens[(3 * n)]] ?? "");
x = tokens[((3 * n) + 1)];
y = tokens[((3 * n) + 2)];
sketch.rect((x - 33), (y - 22), 66, 44, "sand", "slate", 8);
sketch.words(x, y, item, ((([...item].length) > 4) ? 15 : 24));
sketch.drag("token", n, Said.of(":item", { "item": item }), (x - 33), (y - 26), 66, 52, 37);
}
},
in(set, state, region) {
let tokens, items, found, n;
tokens = state.list("tokens");
items = Written.parts(set.words("items"));
found = [];
for (n = 0; (n < Tokens.count(tokens)); n++) {
if (same(VennSets.region(set, tokens[((3 * n) + 1)], tokens[((3 * n) + 2)]), region)) {
found.push((items[tokens[(3 * n)]] ?? ""));
}
}
return (found.join(", "));
},
says(set, state) {
let tokens, laid, n, with_;
tokens = state.list("tokens");
laid = 0;
for (n = 0; (n < Tokens.count(tokens)); n++) {
laid += ((VennSets.region(set, tokens[((3 * n) + 1)], tokens[((3 * n) + 2)]) >= 0) ? 1 : 0);
}
with_ = { "laid": laid, "all": Tokens.count(tokens), "both": VennSets.in(set, state, 3) };
return (same(with_["both"], "") ? Said.of(":laid of :all laid, none in both", with_) : Said.of(":laid of :all laid, in both: :both", with_));
},
};

export const TreeDiagram = {
HIGH: 480,
WIDE: 210,
settings() {
return [Setting.words("names", "Two or three outcomes, with commas", "head, tail"), Setting.whole("stages", "Stages", 2, 1, 3), Setting.whole("whole", "Denominator", 2, 2, 100)];
},
fields() {
return [Field.list("branches", 39, 0, 100)];
},
names(set) {
let names;
names = Written.parts(set.words("names")).slice(0, (0) + (3));
return (((names.length) < 2) ? ["A", "B"] : names);
},
before(set, stage) {
let count, i;
count = 0;
for (i = 1; (i <= stage); i++) {
count += ((TreeDiagram.names(set).length) ** i);
}
return count;
},
start(set) {
let count, branches, i, even;
count = (TreeDiagram.names(set).length);
branches = [];
for (i = 0; (i < TreeDiagram.before(set, set.int("stages"))); i++) {
even = (Math.trunc(set.int("whole") / count));
branches.push((same((i % count), 0) ? (set.int("whole") - (even * (count - 1))) : even));
}
return Values.of({ "branches": branches });
},
after(set, state, act) {
let branches;
branches = state.list("branches");
if ((((!same(act.part, "branch") || same(act.to, null)) || (act.n < 0)) || (act.n >= (branches.length)))) {
return state;
}
branches[act.n] = Tokens.within(act.to, 0, set.int("whole"));
return state.with("branches", branches);
},
y(set, stage, i) {
return (same(stage, 0) ? (TreeDiagram.HIGH / 2) : (((i + 0.5) * TreeDiagram.HIGH) / ((TreeDiagram.names(set).length) ** stage)));
},
draw(set, state, sketch) {
let names, stages, size, stage, i, n, fromX, fromY, x, y, name, value, atX, atY, label, chance;
names = TreeDiagram.names(set);
stages = set.int("stages");
sketch.size((((stages + 1) * TreeDiagram.WIDE) + 60), TreeDiagram.HIGH);
size = ((((names.length) ** stages) > 9) ? 14 : 22);
for (stage = 1; (stage <= stages); stage++) {
for (i = 0; (i < ((names.length) ** stage)); i++) {
n = (TreeDiagram.before(set, (stage - 1)) + i);
fromX = (((stage - 1) * TreeDiagram.WIDE) + (same(stage, 1) ? 8 : 100));
fromY = TreeDiagram.y(set, (stage - 1), (Math.trunc(i / (names.length))));
x = (stage * TreeDiagram.WIDE);
y = TreeDiagram.y(set, stage, i);
sketch.line([fromX, fromY, (x - 8), y], "slate", 2);
name = (names[(i % (names.length))] ?? "");
sketch.words(x, y, name, size, "slate", "start");
value = (state.list("branches")[n] ?? 0);
atX = ((fromX + x) / 2);
atY = ((fromY + y) / 2);
sketch.rect((atX - 32), ((atY - (size / 2)) - 4), 64, (size + 8), "paper", "pale", 4);
sketch.words(atX, atY, (String((String(value) + String("/"))) + String(set.int("whole"))), size, "lake");
label = Said.of("Chance of :name, stage :stage", { "name": name, "stage": stage });
sketch.type("branch", n, label, (atX - 36), (atY - size), 72, (2 * size), value);
if (same(stage, stages)) {
chance = (String("= ") + String(TreeDiagram.chance(set, state, i)));
sketch.words((x + 110), y, chance, size, "lichen", "start");
}
}
}
},
product(set, state, end) {
let count, product, stage;
count = (TreeDiagram.names(set).length);
product = 1;
for (stage = set.int("stages"); (stage > 0); stage--) {
product *= (state.list("branches")[(TreeDiagram.before(set, (stage - 1)) + end)] ?? 0);
end = (Math.trunc(end / count));
}
return product;
},
chance(set, state, end) {
return Written.fraction(TreeDiagram.product(set, state, end), (set.int("whole") ** set.int("stages")));
},
isWhole(set, state) {
let count, branches, i;
count = (TreeDiagram.names(set).length);
branches = state.list("branches");
for (i = 0; (i < (branches.length)); i += count) {
if (!same((branches.slice(i, (i) + (count)).reduce((sum, one) => sum + one, 0)), set.int("whole"))) {
return false;
}
}
return true;
},
says(set, state) {
let ends, i, with_;
ends = [];
for (i = 0; (i < (Math.min(9, ((TreeDiagram.names(set).length) ** set.int("stages"))))); i++) {
ends.push(TreeDiagram.chance(set, state, i));
}
with_ = { "ends": (ends.join(", ")) };
return (TreeDiagram.isWhole(set, state) ? Said.of("Ends: :ends", with_) : Said.of("Some branches don’t add up to 1. Ends: :ends", with_));
},
};

export const LoadedBeam = {
APART: 70,
MOST: 8,
settings() {
return [Setting.whole("arms", "Hooks on each side", 5, 2, 8), Setting.whole("weight", "One load, in newtons", 10, 1, 100), Setting.choice("moments", "Show the moments", ["No", "Yes"])];
},
fields() {
return [Field.list("loads", 17, 0, LoadedBeam.MOST)];
},
start(set) {
return Values.of({ "loads": (Array(((2 * set.int("arms")) + 1)).fill(0)) });
},
after(set, state, act) {
let loads, arms, n, to;
loads = state.list("loads");
arms = set.int("arms");
if (same(act.part, "clear")) {
return LoadedBeam.start(set);
}
n = (act.n + arms);
if ((((n < 0) || (n >= (loads.length))) || same(n, arms))) {
return state;
}
if ((same(act.part, "hook") && (loads[n] < LoadedBeam.MOST))) {
loads[n]++;
} else if ((same(act.part, "load") && (loads[n] > 0))) {
loads[n]--;
to = (same(act.x, null) ? (-1) : Math.trunc(Number((Math.floor((((act.x - 40) / LoadedBeam.APART) + 0.5))))));
if (((((to >= 0) && (to < (loads.length))) && !same(to, arms)) && (loads[to] < LoadedBeam.MOST))) {
loads[to]++;
}
}
return state.with("loads", loads);
},
moment(set, state, side) {
let sum, place, n, load;
sum = 0;
for ([n, load] of state.list("loads").entries()) {
place = (n - set.int("arms"));
sum += (((place * side) > 0) ? (((Math.abs(place)) * load) * set.int("weight")) : 0);
}
return sum;
},
draw(set, state, sketch) {
let arms, wide, middle, left, right, drop, place, x, y, i, hook, taken, n, load;
arms = set.int("arms");
wide = (((2 * arms) * LoadedBeam.APART) + 80);
middle = ((arms * LoadedBeam.APART) + 40);
left = LoadedBeam.moment(set, state, (-1));
right = LoadedBeam.moment(set, state, 1);
drop = (same(left, right) ? 0 : ((left > right) ? 8 : (-8)));
sketch.size(wide, 420);
sketch.polygon([middle, 90, (middle + 50), 400, (middle - 50), 400], "wood");
sketch.line([10, (80 + (drop * arms)), (wide - 10), (80 - (drop * arms))], "slate", 14);
sketch.circle(middle, 80, 12, "ochre");
for ([n, load] of state.list("loads").entries()) {
place = (n - arms);
if (!same(place, 0)) {
x = (40 + (n * LoadedBeam.APART));
y = (80 - (drop * place));
sketch.words(x, (y - 26), String((Math.abs(place))), 22);
sketch.line([x, y, x, (y + 28)], "stone", 3);
for (i = 0; (i < load); i++) {
sketch.rect((x - 26), ((y + 28) + (i * 30)), 52, 28, "clay", "slate", 4);
sketch.words(x, ((y + 43) + (i * 30)), String(set.int("weight")), 18);
}
hook = Said.of("Hang a load at :n", { "n": Written.whole(place) });
sketch.press("hook", place, hook, (x - 35), (y - 44), 70, 72);
if ((load > 0)) {
taken = Said.of("Loads at :n: :load", { "load": load, "n": Written.whole(place) });
sketch.drag("load", place, taken, (x - 30), (y + 28), 60, (load * 30), LoadedBeam.APART);
}
}
}
if (same(set.int("moments"), 1)) {
sketch.words(20, 400, String(left), 30, "lake", "start");
sketch.words((wide - 20), 400, String(right), 30, "lake", "end");
}
sketch.button("clear", 0, Said.of("Clear"), 0, 432, 110);
},
says(set, state) {
let left, right, with_;
left = LoadedBeam.moment(set, state, (-1));
right = LoadedBeam.moment(set, state, 1);
with_ = { "left": left, "right": right };
if (same(left, right)) {
return (same(left, 0) ? Said.of("No loads yet") : Said.of("Balanced: moments :left and :right", with_));
}
return ((left > right) ? Said.of("Tips left: moments :left and :right", with_) : Said.of("Tips right: moments :left and :right", with_));
},
};

export const Spring = {
MOST: 12,
settings() {
return [Setting.whole("stretch", "Stretches by this for each newton, in millimetres", 5, 1, 20), Setting.whole("weight", "One load, in newtons", 1, 1, 10), Setting.whole("length", "Length without a load, in millimetres", 80, 40, 150)];
},
fields() {
return [Field.whole("loads", 0, Spring.MOST)];
},
start(set) {
return Values.of({ "loads": 0 });
},
after(set, state, act) {
let by;
by = (same(act.part, "add") ? 1 : (same(act.part, "take") ? (-1) : 0));
return state.with("loads", Tokens.within((state.int("loads") + by), 0, Spring.MOST));
},
extension(set, state) {
return ((state.int("loads") * set.int("weight")) * set.int("stretch"));
},
draw(set, state, sketch) {
let all, scale, length, points, i, every, mark;
all = (set.int("length") + ((Spring.MOST * set.int("weight")) * set.int("stretch")));
scale = (Math.min(1.6, (380 / all)));
length = ((set.int("length") + Spring.extension(set, state)) * scale);
sketch.size(340, 560);
sketch.rect(20, 0, 220, 18, "wood");
points = [130, 18, 130, 30];
for (i = 0; (i < 16); i++) {
points = [...points, (same((i % 2), 0) ? 100 : 160), (30 + (((i + 0.5) * (length - 24)) / 16))];
}
sketch.line([...points, 130, (length + 6), 130, (length + 18)], "slate", 3);
for (i = 0; (i < state.int("loads")); i++) {
sketch.rect(98, ((length + 18) + (i * 11)), 64, 10, "clay", "slate", 2);
}
every = (((scale * 10) >= 24) ? 10 : (((scale * 20) >= 24) ? 20 : (((scale * 50) >= 24) ? 50 : 200)));
sketch.line([270, 18, 270, (18 + (all * scale))], "slate", 2);
for (mark = 0; (mark <= all); mark += every) {
sketch.line([262, (18 + (mark * scale)), 278, (18 + (mark * scale))], "slate", 2);
sketch.words(286, (18 + (mark * scale)), String(mark), 18, "slate", "start");
}
sketch.line([168, (18 + length), 262, (18 + length)], "rust", 2, true);
sketch.button("add", 0, Said.of("+ load"), 0, 572, 120);
sketch.button("take", 0, Said.of("− load"), 130, 572, 120);
},
says(set, state) {
return Said.of(":force N stretches it by :by mm", { "force": (state.int("loads") * set.int("weight")), "by": Spring.extension(set, state) });
},
};

export const Pulley = {
MOST_PULLED: 120,
settings() {
return [Setting.whole("ropes", "Ropes that carry the load", 2, 1, 4), Setting.whole("load", "Load, in newtons", 60, 1, 1000)];
},
fields() {
return [Field.whole("pulled", 0, Pulley.MOST_PULLED)];
},
start(set) {
return Values.of({ "pulled": 0 });
},
after(set, state, act) {
if ((same(act.part, "rope") && !same(act.y, null))) {
return state.with("pulled", Tokens.within((act.y - 300), 0, Pulley.MOST_PULLED));
}
if (same(act.part, "pull")) {
return state.with("pulled", Tokens.within((state.int("pulled") + act.n), 0, Pulley.MOST_PULLED));
}
return state;
},
draw(set, state, sketch) {
let ropes, pulled, floor, left, i, x, handX;
ropes = set.int("ropes");
pulled = state.int("pulled");
floor = (330 - (pulled / ropes));
sketch.size(440, 460);
sketch.rect(20, 0, 400, 18, "wood");
left = (150 - (ropes * 22));
for (i = 0; (i < ropes); i++) {
x = (left + (i * 44));
sketch.line([x, 60, x, floor], "slate", 3);
sketch.circle((x + 22), 56, 22, "pale");
if ((((i > 0) && same((i % 2), 0)) || ((ropes > 1) && same(i, (ropes - 1))))) {
sketch.circle((x - 22), floor, 22, "pale");
}
}
handX = (left + (ropes * 44));
sketch.line([handX, 56, handX, (300 + pulled)], "slate", 3);
sketch.circle(handX, (300 + pulled), 18, "ochre");
sketch.rect((left - 30), (floor + 20), ((ropes * 44) + 20), 76, "clay", "slate", 6);
sketch.words(((left - 20) + (ropes * 22)), (floor + 58), (String(set.int("load")) + String(" N")), 26);
sketch.words((handX + 30), (300 + pulled), (String(Pulley.effort(set)) + String(" N")), 26, "slate", "start");
sketch.drag("rope", 0, Said.of("End of the rope"), (handX - 36), (264 + pulled), 72, 72, 10);
sketch.button("pull", 10, Said.of("Pull 10 cm"), 0, 472, 150);
sketch.button("pull", (-10), Said.of("Let go 10 cm"), 160, 472, 170);
},
effort(set) {
return Written.fraction(set.int("load"), set.int("ropes"));
},
says(set, state) {
return Said.of("Pulled :pulled cm with :effort N, the load is up :up cm", { "pulled": state.int("pulled"), "effort": Pulley.effort(set), "up": Written.fraction(state.int("pulled"), set.int("ropes")) });
},
};

export const Circuit = {
WIRE: 0,
CELL: 1,
LAMP: 2,
OPEN: 3,
SHUT: 4,
GAP: 5,
MAIN: 4,
PLACES: [[140, 330], [300, 330], [60, 245], [380, 245], [140, 60], [300, 60], [140, 160], [300, 160]],
WORDS: ["wire", "cell", "lamp", "open switch", "shut switch", "gap"],
settings() {
return [Setting.choice("branches", "Branches side by side", ["No", "Two"])];
},
fields() {
return [Field.list("parts", 8, 0, 5)];
},
start(set) {
let main;
main = [Circuit.CELL, Circuit.WIRE, Circuit.WIRE, Circuit.OPEN];
return Values.of({ "parts": [...main, Circuit.LAMP, Circuit.WIRE, Circuit.WIRE, Circuit.WIRE] });
},
after(set, state, act) {
let parts, part, next, isBranch;
parts = state.list("parts");
if ((((act.n < 0) || (act.n >= Circuit.count(set))) || !same((parts.length), 8))) {
return state;
}
part = parts[act.n];
if (same(act.part, "place")) {
next = (same(part, Circuit.OPEN) ? Circuit.GAP : ((part + 1) % 6));
isBranch = ((act.n >= Circuit.MAIN) && same(set.int("branches"), 1));
parts[act.n] = ((same(next, Circuit.CELL) && isBranch) ? Circuit.LAMP : next);
} else if ((same(act.part, "switch") && (same(part, Circuit.OPEN) || same(part, Circuit.SHUT)))) {
parts[act.n] = (same(part, Circuit.OPEN) ? Circuit.SHUT : Circuit.OPEN);
}
return state.with("parts", parts);
},
count(set) {
return (same(set.int("branches"), 1) ? 8 : 6);
},
stretch(parts, from, to) {
let cells, lamps, broken, i;
[cells, lamps, broken] = [0, 0, 0];
for (i = from; (i < to); i++) {
cells += (same(parts[i], Circuit.CELL) ? 1 : 0);
lamps += (same(parts[i], Circuit.LAMP) ? 1 : 0);
broken = ((same(parts[i], Circuit.OPEN) || same(parts[i], Circuit.GAP)) ? 1 : broken);
}
return [cells, lamps, broken];
},
currents(set, state) {
let parts, cells, lamps, broken, current, first, firstBroken, second, secondBroken, isShort, isFirst, a, b;
parts = state.list("parts");
if (!same((parts.length), 8)) {
return [0, 0, 0];
}
if (same(set.int("branches"), 0)) {
[cells, lamps, broken] = Circuit.stretch(parts, 0, 6);
current = ((same(broken, 1) || same(cells, 0)) ? 0 : (same(lamps, 0) ? (-1) : (Math.trunc((60 * cells) / lamps))));
return [current, current, 0];
}
[cells, lamps, broken] = Circuit.stretch(parts, 0, Circuit.MAIN);
[, first, firstBroken] = Circuit.stretch(parts, 4, 6);
[, second, secondBroken] = Circuit.stretch(parts, 6, 8);
if (((same(cells, 0) || same(broken, 1)) || same((firstBroken + secondBroken), 2))) {
return [0, 0, 0];
}
isShort = ((same(first, 0) && same(firstBroken, 0)) || (same(second, 0) && same(secondBroken, 0)));
if (isShort) {
current = (same(lamps, 0) ? (-1) : (Math.trunc((60 * cells) / lamps)));
isFirst = (same(first, 0) && same(firstBroken, 0));
return [current, (isFirst ? current : 0), (isFirst ? 0 : current)];
}
a = (same(firstBroken, 1) ? 0 : (1 / first));
b = (same(secondBroken, 1) ? 0 : (1 / second));
current = ((60 * cells) / (lamps + (1 / (a + b))));
return [Math.trunc(Number((Math.floor((current + 0.5))))), Math.trunc(Number((Math.floor((((current * a) / (a + b)) + 0.5))))), Math.trunc(Number((Math.floor((((current * b) / (a + b)) + 0.5)))))];
},
currentAt(set, state, n) {
return Circuit.currents(set, state)[((n < Circuit.MAIN) ? 0 : ((n < 6) ? 1 : 2))];
},
draw(set, state, sketch) {
let parts, n, x, y, part, isUpright, label, does, left, top;
sketch.size(440, 390);
sketch.line([60, 60, 380, 60, 380, 330, 60, 330, 60, 60], "slate", 3);
if (same(set.int("branches"), 1)) {
sketch.line([60, 160, 380, 160], "slate", 3);
}
parts = state.list("parts");
for (n = 0; (n < (Math.min((parts.length), Circuit.count(set)))); n++) {
[x, y] = Circuit.PLACES[n];
part = parts[n];
isUpright = (same(n, 2) || same(n, 3));
Circuit.part(sketch, part, x, y, isUpright, Circuit.currentAt(set, state, n));
label = Said.of("Place :n: :part", { "n": (n + 1), "part": (Circuit.WORDS[part] ?? "") });
sketch.press("place", n, label, (x - 40), (y - 40), 80, 80);
if ((same(part, Circuit.OPEN) || same(part, Circuit.SHUT))) {
does = (same(part, Circuit.OPEN) ? Said.of("Shut the switch") : Said.of("Open the switch"));
left = (isUpright ? ((x > 200) ? (x - 210) : (x + 45)) : (x - 80));
top = (isUpright ? (y - 26) : ((y > 300) ? (y - 92) : (y + 40)));
sketch.button("switch", n, does, left, top, 165, 52);
}
}
},
part(sketch, part, x, y, isUpright, current) {
let arm, knobs;
if (same(part, Circuit.WIRE)) {
sketch.circle(x, y, 6, "slate");
return;
}
sketch.rect((x - 30), (y - 30), 60, 60, "paper", "");
if (same(part, Circuit.LAMP)) {
if ((current >= 60)) {
sketch.circle(x, y, 38, "sand", "");
}
sketch.circle(x, y, 28, ((current <= 0) ? "paper" : ((current < 60) ? "sand" : "ochre")));
sketch.line([(x - 19), (y - 19), (x + 19), (y + 19)], "slate", 2);
sketch.line([(x - 19), (y + 19), (x + 19), (y - 19)], "slate", 2);
} else if (same(part, Circuit.CELL)) {
sketch.line(Circuit.ends(x, y, isUpright, (-30), 0, (-8), 0), "slate", 3);
sketch.line(Circuit.ends(x, y, isUpright, 8, 0, 30, 0), "slate", 3);
sketch.line(Circuit.ends(x, y, isUpright, (-8), (-28), (-8), 28), "slate", 3);
sketch.line(Circuit.ends(x, y, isUpright, 8, (-14), 8, 14), "slate", 7);
} else if (same(part, Circuit.GAP)) {
sketch.line(Circuit.ends(x, y, isUpright, (-26), (-14), (-26), 14), "stone", 2);
sketch.line(Circuit.ends(x, y, isUpright, 26, (-14), 26, 14), "stone", 2);
} else {
arm = Circuit.ends(x, y, isUpright, (-28), 0, 28, (same(part, Circuit.OPEN) ? (-26) : 0));
sketch.line(arm, "slate", 4);
knobs = Circuit.ends(x, y, isUpright, (-28), 0, 28, 0);
sketch.circle(knobs[0], knobs[1], 5, "slate");
sketch.circle(knobs[2], knobs[3], 5, "slate");
}
},
ends(x, y, isUpright, a, b, c, d) {
return (isUpright ? [(x + b), (y + a), (x + d), (y + c)] : [(x + a), (y + b), (x + c), (y + d)]);
},
lamps(set, state, onlyLit) {
let count, n, isLamp;
count = 0;
for (n = 0; (n < (Math.min((state.list("parts").length), Circuit.count(set)))); n++) {
isLamp = same(state.list("parts")[n], Circuit.LAMP);
count += ((isLamp && (!onlyLit || (Circuit.currentAt(set, state, n) > 0))) ? 1 : 0);
}
return count;
},
says(set, state) {
if ((Circuit.currents(set, state)[0] < 0)) {
return Said.of("Short circuit");
}
return Said.of("Lamps lit: :lit of :all", { "lit": Circuit.lamps(set, state, true), "all": Circuit.lamps(set, state, false) });
},
};

export const Atoms = {
WIDE: 760,
HIGH: 440,
MOST: 24,
SYMBOLS: ["H", "C", "N", "O", "Cl", "S"],
VALENCES: [1, 4, 3, 2, 1, 2],
FILLS: ["paper", "stone", "sky", "clay", "moss", "sand"],
HILL: [1, 0, 4, 2, 3, 5],
settings() {
return [Setting.choice("ring", "Show whose bonds are all used", ["Yes", "No"])];
},
fields() {
return [Field.list("tokens", Atoms.MOST, 0, 1000, Tokens.BY), Field.list("bonds", 40, 0, Atoms.MOST, 3), Field.whole("chosen", 0, Atoms.MOST)];
},
start(set) {
return Values.of({ "tokens": [], "bonds": [], "chosen": 0 });
},
after(set, state, act) {
let tokens, count, chosen;
tokens = state.list("tokens");
count = Tokens.count(tokens);
if (same(act.part, "clear")) {
return Atoms.start(set);
}
if ((((same(act.part, "add") && (act.n >= 0)) && (act.n < 6)) && (count < Atoms.MOST))) {
return state.with("tokens", Mat.added(tokens, act.n, 7, 110));
}
if (((!same(act.part, "token") || (act.n < 0)) || (act.n >= count))) {
return state;
}
if ((!same(act.x, null) && Mat.isOff(act, Atoms.WIDE, Atoms.HIGH))) {
return state.with("tokens", Tokens.without(tokens, act.n)).with("bonds", Atoms.bondsWithout(state.list("bonds"), act.n)).with("chosen", 0);
}
if (!same(act.x, null)) {
return state.with("tokens", Mat.dragged(tokens, act, Atoms.WIDE, Atoms.HIGH));
}
chosen = (state.int("chosen") - 1);
if ((((chosen < 0) || (chosen >= count)) || same(chosen, act.n))) {
return state.with("chosen", (same(chosen, act.n) ? 0 : (act.n + 1)));
}
return state.with("bonds", Atoms.bonded(state.list("bonds"), (Math.min(chosen, act.n)), (Math.max(chosen, act.n)))).with("chosen", 0);
},
bonded(bonds, a, b) {
let rest, order, i;
rest = [];
order = 0;
for (i = 0; ((i + 2) < (bonds.length)); i += 3) {
if ((same(bonds[i], a) && same(bonds[(i + 1)], b))) {
order = bonds[(i + 2)];
} else {
rest = [...rest, bonds[i], bonds[(i + 1)], bonds[(i + 2)]];
}
}
return (((order >= 3) || ((rest.length) >= 120)) ? rest : [...rest, a, b, (order + 1)]);
},
bondsWithout(bonds, gone) {
let rest, i, a, b;
rest = [];
for (i = 0; ((i + 2) < (bonds.length)); i += 3) {
[a, b] = [bonds[i], bonds[(i + 1)]];
if ((!same(a, gone) && !same(b, gone))) {
rest = [...rest, ((a > gone) ? (a - 1) : a), ((b > gone) ? (b - 1) : b), bonds[(i + 2)]];
}
}
return rest;
},
used(state, n) {
let bonds, used, i;
bonds = state.list("bonds");
used = 0;
for (i = 0; ((i + 2) < (bonds.length)); i += 3) {
used += ((same(bonds[i], n) || same(bonds[(i + 1)], n)) ? bonds[(i + 2)] : 0);
}
return used;
},
draw(set, state, sketch) {
let tokens, bonds, count, i, n, kind, x, y, used, label, symbol;
tokens = state.list("tokens");
bonds = state.list("bonds");
count = Tokens.count(tokens);
sketch.size(Atoms.WIDE, Atoms.HIGH);
sketch.rect(0, 0, Atoms.WIDE, Atoms.HIGH, "paper", "stone", 12);
for (i = 0; ((i + 2) < (bonds.length)); i += 3) {
if (((bonds[i] < count) && (bonds[(i + 1)] < count))) {
Atoms.bond(sketch, tokens, bonds[i], bonds[(i + 1)], bonds[(i + 2)]);
}
}
for (n = 0; (n < count); n++) {
kind = Tokens.within(tokens[(3 * n)], 0, 5);
x = tokens[((3 * n) + 1)];
y = tokens[((3 * n) + 2)];
used = Atoms.used(state, n);
if ((same(set.int("ring"), 0) && (used >= Atoms.VALENCES[kind]))) {
sketch.circle(x, y, 34, (same(used, Atoms.VALENCES[kind]) ? "moss" : "rust"), "");
}
sketch.circle(x, y, 28, Atoms.FILLS[kind], (same(state.int("chosen"), (n + 1)) ? "rust" : "slate"));
sketch.words(x, y, Atoms.SYMBOLS[kind], 28);
label = Said.of("Atom :n: :symbol, bonds: :used of :all", { "n": (n + 1), "symbol": Atoms.SYMBOLS[kind], "used": used, "all": Atoms.VALENCES[kind] });
sketch.drag("token", n, label, (x - 34), (y - 34), 68, 68, 40);
}
for ([n, symbol] of Atoms.SYMBOLS.entries()) {
sketch.button("add", n, Said.of("+ :n", { "n": symbol }), (n * 90), (Atoms.HIGH + 12), 84);
}
sketch.button("clear", 0, Said.of("Clear"), 560, (Atoms.HIGH + 12), 110);
},
bond(sketch, tokens, a, b, order) {
let fromX, fromY, toX, toY, far, i, aside, dx, dy;
[fromX, fromY] = [tokens[((3 * a) + 1)], tokens[((3 * a) + 2)]];
[toX, toY] = [tokens[((3 * b) + 1)], tokens[((3 * b) + 2)]];
far = (Math.max(1, (Math.sqrt((((toX - fromX) ** 2) + ((toY - fromY) ** 2))))));
for (i = 0; (i < order); i++) {
aside = (((i - ((order - 1) / 2)) * 9) / far);
[dx, dy] = [((fromY - toY) * aside), ((toX - fromX) * aside)];
sketch.line([(fromX + dx), (fromY + dy), (toX + dx), (toY + dy)], "slate", 4);
}
},
formula(state) {
let formula, count, kind;
formula = "";
for (kind of Atoms.HILL) {
count = Tokens.countOf(state.list("tokens"), kind);
formula = (String(formula) + String((same(count, 0) ? "" : (String(Atoms.SYMBOLS[kind]) + String((same(count, 1) ? "" : count))))));
}
return formula;
},
isContent(state) {
let tokens, n;
tokens = state.list("tokens");
for (n = 0; (n < Tokens.count(tokens)); n++) {
if (!same(Atoms.used(state, n), Atoms.VALENCES[Tokens.within(tokens[(3 * n)], 0, 5)])) {
return false;
}
}
return true;
},
says(set, state) {
let with_;
with_ = { "formula": Atoms.formula(state) };
if (same(with_["formula"], "")) {
return Said.of("No atoms yet");
}
return (Atoms.isContent(state) ? Said.of(":formula, all bonds used", with_) : Said.of(":formula, bonds don’t fit yet", with_));
},
};

export const Staff = {
LINE: 26,
TOP: 90,
MOST: 16,
STEPS: 13,
NAMES: ["C", "D", "E", "F", "G", "A", "B"],
LOWEST: [[0, 4], [2, 2]],
settings() {
return [Setting.choice("clef", "Clef", ["Treble", "Bass"])];
},
fields() {
return [Field.list("notes", Staff.MOST, 0, 16, 2)];
},
start(set) {
return Values.of({ "notes": [] });
},
after(set, state, act) {
let notes, step, length;
notes = state.list("notes");
if ((((same(act.part, "step") && (act.n >= 0)) && (act.n < Staff.STEPS)) && ((notes.length) < (2 * Staff.MOST)))) {
return state.with("notes", [...notes, act.n, 4]);
}
if (same(act.part, "back")) {
return state.with("notes", notes.slice(0, (0) + ((Math.max(0, ((notes.length) - 2))))));
}
if (((same(act.part, "note") && (act.n >= 0)) && (((2 * act.n) + 1) < (notes.length)))) {
if (!same(act.y, null)) {
step = Math.trunc(Number((Math.floor(((((Staff.y(0) - act.y) * 2) / Staff.LINE) + 0.5)))));
notes[(2 * act.n)] = Tokens.within(step, 0, (Staff.STEPS - 1));
} else {
length = notes[((2 * act.n) + 1)];
notes[((2 * act.n) + 1)] = ((length >= 16) ? 1 : (length * 2));
}
return state.with("notes", notes);
}
return state;
},
y(step) {
return ((Staff.TOP + (5 * Staff.LINE)) - ((step * Staff.LINE) / 2));
},
draw(set, state, sketch) {
let notes, wide, line, isTreble, clef, step, label, n;
notes = state.list("notes");
wide = (150 + (Staff.MOST * 52));
sketch.size(wide, 300);
for (line = 0; (line < 5); line++) {
sketch.line([0, (Staff.TOP + (line * Staff.LINE)), wide, (Staff.TOP + (line * Staff.LINE))], "slate", 2);
}
isTreble = same(set.int("clef"), 0);
clef = (isTreble ? Staff.y(4) : Staff.y(8));
sketch.circle(28, clef, 15, "sand");
sketch.words(28, clef, (isTreble ? "G" : "F"), 20);
for (step = 0; (step < Staff.STEPS); step++) {
label = Said.of("Add :note", { "note": Staff.name(set, step) });
sketch.press("step", step, label, 60, (Staff.y(step) - 6.5), (wide - 60), 13);
}
for (n = 0; (((2 * n) + 1) < (notes.length)); n++) {
Staff.note(set, sketch, n, notes[(2 * n)], notes[((2 * n) + 1)]);
}
sketch.button("play", 0, Said.of("Play"), 0, 312, 110);
sketch.button("back", 0, Said.of("Undo a note"), 120, 312, 150);
},
note(set, sketch, n, step, length) {
let x, y, isUp, stem, end, flag, at, label;
x = (100 + (n * 52));
y = Staff.y(step);
if ((same(step, 0) || same(step, 12))) {
sketch.line([(x - 22), y, (x + 22), y], "slate", 2);
}
sketch.circle(x, y, 12, ((length >= 8) ? "paper" : "slate"));
if ((length < 16)) {
isUp = (step < 6);
stem = (isUp ? (x + 11) : (x - 11));
end = (isUp ? (y - 70) : (y + 70));
sketch.line([stem, y, stem, end], "slate", 3);
for (flag = (Math.max(1, length)); (flag < 4); flag *= 2) {
at = (end + ((isUp ? 1 : (-1)) * (same(flag, 1) ? 14 : 0)));
sketch.line([stem, at, (stem + 16), (at + (isUp ? 18 : (-18)))], "slate", 3);
}
}
label = Said.of("Note :n: :note, beats: :beats", { "n": (n + 1), "note": Staff.name(set, step), "beats": Written.fraction(length, 4) });
sketch.drag("note", n, label, (x - 24), (y - 24), 48, 48, (Math.trunc(Staff.LINE / 2)));
},
name(set, step) {
let first, octave;
[first, octave] = (Staff.LOWEST[set.int("clef")] ?? Staff.LOWEST[0]);
return (String(Staff.NAMES[((first + step) % 7)]) + String((octave + (Math.trunc((first + step) / 7)))));
},
says(set, state) {
let notes;
notes = Staff.written(set, state);
return (same(notes, "") ? Said.of("No notes yet") : Said.of("Notes: :notes", { "notes": notes }));
},
written(set, state) {
let notes, names, n;
notes = state.list("notes");
names = [];
for (n = 0; (((2 * n) + 1) < (notes.length)); n++) {
names.push(Staff.name(set, notes[(2 * n)]));
}
return (names.join(" "));
},
sounds(set, state) {
let notes, sounds, n, first, octave, step, semitones;
notes = state.list("notes");
sounds = [];
for (n = 0; (((2 * n) + 1) < (notes.length)); n++) {
[first, octave] = (Staff.LOWEST[set.int("clef")] ?? Staff.LOWEST[0]);
step = (first + notes[(2 * n)]);
semitones = (([0, 2, 4, 5, 7, 9, 11][(step % 7)] + (12 * (octave + (Math.trunc(step / 7))))) - 57);
sounds.push([(440 * (2 ** (semitones / 12))), notes[((2 * n) + 1)]]);
}
return sounds;
},
};

export const Solid = {
SIZE: 460,
WORDS: ["Cuboid", "Prism", "Pyramid", "Cylinder", "Cone"],
settings() {
return [Setting.choice("shape", "Solid", ["Cuboid", "Prism", "Pyramid", "Cylinder", "Cone"]), Setting.whole("sides", "Sides of the base (prism, pyramid)", 4, 3, 8), Setting.whole("wide", "Width, in centimetres", 6, 1, 20), Setting.whole("deep", "Depth (cuboid), in centimetres", 4, 1, 20), Setting.whole("high", "Height, in centimetres", 5, 1, 20)];
},
fields() {
return [Field.whole("turn", 0, 359), Field.whole("tilt", (-90), 90), Field.list("points", 3, 0, 60)];
},
start(set) {
return Values.of({ "turn": 325, "tilt": 20, "points": [] });
},
isRound(set) {
return (same(set.int("shape"), Solids.CYLINDER) || same(set.int("shape"), Solids.CONE));
},
corners(set) {
return Solids.corners(set.int("shape"), set.int("sides"), set.int("wide"), set.int("deep"), set.int("high"));
},
edges(set) {
return Solids.edges(Solids.faces(set.int("shape"), set.int("sides")));
},
places(set) {
let places, edge;
if (Solid.isRound(set)) {
return [];
}
places = Solid.corners(set);
for (edge of Solid.edges(set)) {
places.push(Solids.middle([places[edge[0]], places[edge[1]]]));
}
return places;
},
after(set, state, act) {
let points, rest, point;
if (((same(act.part, "turn") && !same(act.x, null)) && !same(act.y, null))) {
return Solids.turned(state, (act.x - (Math.trunc(Solid.SIZE / 2))), (act.y - (Math.trunc(Solid.SIZE / 2))));
}
if (same(act.part, "clear")) {
return state.with("points", []);
}
points = state.list("points");
if (((!same(act.part, "point") || (act.n < 0)) || (act.n >= (Solid.places(set).length)))) {
return state;
}
if ((points.includes(act.n))) {
rest = [];
for (point of points) {
if (!same(point, act.n)) {
rest.push(point);
}
}
return state.with("points", rest);
}
return (((points.length) < 3) ? state.with("points", [...points, act.n]) : state);
},
chosen(set, state) {
let places, chosen, point;
places = Solid.places(set);
chosen = [];
for (point of state.list("points")) {
if ((point < (places.length))) {
chosen.push(places[point]);
}
}
return chosen;
},
cut(set, state) {
let points, normal;
points = Solid.chosen(set, state);
if (((points.length) < 3)) {
return [];
}
normal = Solids.cross(Solids.minus(points[1], points[0]), Solids.minus(points[2], points[0]));
return ((Solids.dot(normal, normal) < 1.0E-9) ? [] : Solids.section(Solid.corners(set), Solid.edges(set), normal, points[0]));
},
scale(set) {
let deep, longest;
deep = (same(set.int("shape"), Solids.CUBOID) ? set.int("deep") : set.int("wide"));
longest = (Math.sqrt((((set.int("wide") ** 2) + (deep ** 2)) + (set.int("high") ** 2))));
return ((Solid.SIZE - 60) / longest);
},
on(set, state, point) {
let x, y, scale;
[x, y] = Solids.seen(point, state.int("turn"), state.int("tilt"));
scale = Solid.scale(set);
return [((Solid.SIZE / 2) + (x * scale)), ((Solid.SIZE / 2) + (y * scale))];
},
front(set, state) {
let corners, front, middle, normal, out, seen, face;
corners = Solid.corners(set);
front = [];
for (face of Solids.faces(set.int("shape"), set.int("sides"))) {
middle = Solids.middle((face.map(((i) => corners[i]))));
normal = Solids.cross(Solids.minus(corners[face[1]], corners[face[0]]), Solids.minus(corners[face[2]], corners[face[0]]));
out = ((Solids.dot(normal, middle) < 0) ? (-1) : 1);
seen = Solids.seen(normal, state.int("turn"), state.int("tilt"));
front.push(((out * seen[2]) > 1.0E-9));
}
return front;
},
draw(set, state, sketch) {
let corners, front, points, cut, isStrip, isSeen, line, f, face, corner, one, a, b, g;
sketch.size(Solid.SIZE, Solid.SIZE);
sketch.drag("turn", 0, Said.of("Turn it"), 0, 0, Solid.SIZE, Solid.SIZE, 20);
corners = (Solid.corners(set).map(((one) => Solid.on(set, state, one))));
front = Solid.front(set, state);
for ([f, face] of Solids.faces(set.int("shape"), set.int("sides")).entries()) {
if (front[f]) {
points = [];
for (corner of face) {
points = [...points, ...corners[corner]];
}
sketch.polygon(points, "glass", "");
}
}
cut = Solid.cut(set, state);
if (((cut.length) > 2)) {
points = [];
for (one of cut) {
points = [...points, ...Solid.on(set, state, one)];
}
sketch.polygon(points, "sand", "ochre");
}
for ([a, b, f, g] of Solid.edges(set)) {
isStrip = ((Solid.isRound(set) && (f > 0)) && (g <= Solids.ROUND));
if ((!isStrip || !same(front[f], front[g]))) {
isSeen = (front[f] || front[g]);
line = [...corners[a], ...corners[b]];
sketch.line(line, (isSeen ? "slate" : "stone"), (isSeen ? 3 : 2), !isSeen);
}
}
Solid.drawPoints(set, state, sketch);
sketch.button("clear", 0, Said.of("Clear the points"), 0, (Solid.SIZE + 12), 190);
},
drawPoints(set, state, sketch) {
let points, x, y, isChosen, label, n, place;
points = (Solid.chosen(set, state).map(((one) => Solid.on(set, state, one))));
if (same((points.length), 2)) {
sketch.line([...points[0], ...points[1]], "rust", 4);
}
for ([n, place] of Solid.places(set).entries()) {
[x, y] = Solid.on(set, state, place);
isChosen = (state.list("points").includes(n));
sketch.circle(x, y, (isChosen ? 9 : 4), (isChosen ? "rust" : "stone"), "");
label = (isChosen ? Said.of("Point :n, set", { "n": (n + 1) }) : Said.of("Point :n", { "n": (n + 1) }));
sketch.press("point", n, label, (x - 18), (y - 18), 36, 36);
}
},
volume(set) {
let shape, radius, sides, isRound, polygon, base;
shape = set.int("shape");
radius = (set.int("wide") / 2);
sides = set.int("sides");
isRound = Solid.isRound(set);
polygon = (((sides / 2) * (radius ** 2)) * (Math.sin(((2 * Math.PI) / sides))));
base = (same(shape, Solids.CUBOID) ? (set.int("wide") * set.int("deep")) : (isRound ? (Math.PI * (radius ** 2)) : polygon));
return ((base * set.int("high")) / (Solids.isPointed(shape) ? 3 : 1));
},
length(set, state) {
let points, way;
points = Solid.chosen(set, state);
if (!same((points.length), 2)) {
return 0;
}
way = Solids.minus(points[1], points[0]);
return (Math.sqrt(Solids.dot(way, way)));
},
says(set, state) {
let cut, length;
cut = Solid.cut(set, state);
if (((cut.length) > 2)) {
return Said.of("Cut with :n corners, area :area cm²", { "n": (cut.length), "area": Solids.written(Solids.area(cut)) });
}
length = Solid.length(set, state);
return ((length > 0) ? Said.of("Length :n cm", { "n": Solids.written(length) }) : Said.of(":what, turned :turn°, tilted :tilt°", { "what": (Solid.WORDS[set.int("shape")] ?? ""), "turn": state.int("turn"), "tilt": state.int("tilt") }));
},
};

export const Sphere = {
SIZE: 420,
RADIUS: 180,
settings() {
return [Setting.whole("radius", "Radius, in centimetres", 5, 1, 20), Setting.whole("cut", "Cut at this height, in centimetres above the middle", 2, (-20), 20)];
},
fields() {
return [Field.whole("turn", 0, 359), Field.whole("tilt", (-90), 90)];
},
start(set) {
return Values.of({ "turn": 0, "tilt": 20 });
},
after(set, state, act) {
return (((same(act.part, "turn") && !same(act.x, null)) && !same(act.y, null)) ? Solids.turned(state, (act.x - (Math.trunc(Sphere.SIZE / 2))), (act.y - (Math.trunc(Sphere.SIZE / 2)))) : state);
},
parallel(sketch, state, high, colour) {
let radius, i, line, near, angle, point, seen, degrees;
radius = (Math.sqrt((Math.max(0, (1 - (high ** 2))))));
for (i = 0; (i < 60); i++) {
line = [];
near = 0;
for (degrees of [(i * 6), ((i * 6) + 6)]) {
angle = ((degrees * Math.PI) / 180);
point = [(radius * (Math.cos(angle))), high, (radius * (Math.sin(angle)))];
seen = Solids.seen(point, state.int("turn"), state.int("tilt"));
line = [...line, ((Sphere.SIZE / 2) + (seen[0] * Sphere.RADIUS)), ((Sphere.SIZE / 2) + (seen[1] * Sphere.RADIUS))];
near += seen[2];
}
if (((near >= 0) || same((i % 2), 0))) {
sketch.line(line, ((near >= 0) ? colour : "stone"), ((near >= 0) ? 3 : 2));
}
}
},
cut(set) {
return (Tokens.within(set.int("cut"), (-set.int("radius")), set.int("radius")) / set.int("radius"));
},
draw(set, state, sketch) {
let seen, x, pole;
sketch.size(Sphere.SIZE, Sphere.SIZE);
sketch.circle((Sphere.SIZE / 2), (Sphere.SIZE / 2), Sphere.RADIUS, "glass");
Sphere.parallel(sketch, state, 0, "slate");
Sphere.parallel(sketch, state, Sphere.cut(set), "rust");
for (pole of [1, (-1)]) {
seen = Solids.seen([0, (pole + 0), 0], state.int("turn"), state.int("tilt"));
x = ((Sphere.SIZE / 2) + (seen[0] * Sphere.RADIUS));
sketch.circle(x, ((Sphere.SIZE / 2) + (seen[1] * Sphere.RADIUS)), 5, ((seen[2] >= 0) ? "slate" : "pale"), "");
}
sketch.drag("turn", 0, Said.of("Turn it"), 0, 0, Sphere.SIZE, Sphere.SIZE, 20);
},
area(set) {
return ((Math.PI * (set.int("radius") ** 2)) * (1 - (Sphere.cut(set) ** 2)));
},
says(set, state) {
return Said.of("Sphere, tilted :tilt°: the cut is a circle of :area cm²", { "tilt": state.int("tilt"), "area": Solids.written(Sphere.area(set)) });
},
};

export const FoldedNet = {
SIZE: 520,
FILLS: ["sand", "sky", "moss", "clay", "sky", "moss", "clay", "sky", "moss", "sand"],
settings() {
return [Setting.choice("shape", "Solid", ["Cuboid", "Prism", "Pyramid"]), Setting.whole("sides", "Sides of the base (prism, pyramid)", 4, 3, 8), Setting.whole("wide", "Width, in centimetres", 4, 1, 12), Setting.whole("deep", "Depth (cuboid), in centimetres", 3, 1, 12), Setting.whole("high", "Height, in centimetres", 5, 1, 12)];
},
fields() {
return [Field.whole("turn", 0, 359), Field.whole("tilt", (-90), 90), Field.whole("folded", 0, 100)];
},
start(set) {
return Values.of({ "turn": 340, "tilt": 50, "folded": 0 });
},
after(set, state, act) {
if (((same(act.part, "turn") && !same(act.x, null)) && !same(act.y, null))) {
return Solids.turned(state, (act.x - (Math.trunc(FoldedNet.SIZE / 2))), (act.y - (Math.trunc(FoldedNet.SIZE / 2))));
}
if (same(act.part, "fold")) {
return state.with("folded", Tokens.within((state.int("folded") + act.n), 0, 100));
}
return state;
},
about(point, on, axis, angle) {
let v, cross, dot, cos, sin;
v = Solids.minus(point, on);
cross = Solids.cross(axis, v);
dot = Solids.dot(axis, v);
[cos, sin] = [(Math.cos(angle)), (Math.sin(angle))];
return [(((on[0] + (v[0] * cos)) + (cross[0] * sin)) + ((axis[0] * dot) * (1 - cos))), (((on[1] + (v[1] * cos)) + (cross[1] * sin)) + ((axis[1] * dot) * (1 - cos))), (((on[2] + (v[2] * cos)) + (cross[2] * sin)) + ((axis[2] * dot) * (1 - cos)))];
},
faces(set, state) {
let shape, corners, isPointed, faces, open, points, isTop, up, f, face;
shape = set.int("shape");
corners = Solids.corners(shape, set.int("sides"), set.int("wide"), set.int("deep"), set.int("high"));
isPointed = Solids.isPointed(shape);
faces = [];
open = ((100 - state.int("folded")) / 100);
for ([f, face] of Solids.faces(shape, set.int("sides")).entries()) {
points = (face.map(((i) => corners[i])));
isTop = (!isPointed && same(f, (Solids.sides(shape, set.int("sides")) + 1)));
if (isTop) {
points = FoldedNet.opened(points, points[0], points[1], ((open * Math.PI) / 2));
points = FoldedNet.opened(points, corners[0], corners[1], ((open * Math.PI) / 2));
} else if ((f > 0)) {
up = FoldedNet.slope(points, isPointed);
points = FoldedNet.opened(points, points[0], points[1], (open * up));
}
faces.push(points);
}
return faces;
},
slope(side, isPointed) {
let foot, way;
if (!isPointed) {
return (Math.PI / 2);
}
foot = Solids.middle([side[0], side[1]]);
way = Solids.minus(side[2], foot);
return (Math.PI - (Math.atan2(way[1], (Math.sqrt(((way[0] ** 2) + (way[2] ** 2)))))));
},
opened(points, from, to, angle) {
let way, length, axis;
way = Solids.minus(to, from);
length = (Math.max(1.0E-9, (Math.sqrt(Solids.dot(way, way)))));
axis = [(way[0] / length), (way[1] / length), (way[2] / length)];
return (points.map(((one) => FoldedNet.about(one, from, axis, (-angle)))));
},
draw(set, state, sketch) {
let wide, scale, faces, near, drawn, step, next, points, x, y, steps, f, depth, corner, i, n, label;
sketch.size(FoldedNet.SIZE, FoldedNet.SIZE);
sketch.drag("turn", 0, Said.of("Turn it"), 0, 0, FoldedNet.SIZE, FoldedNet.SIZE, 20);
wide = (Math.max(set.int("wide"), (same(set.int("shape"), Solids.CUBOID) ? set.int("deep") : 0)));
scale = (FoldedNet.SIZE / (((3 * wide) + (2 * set.int("high"))) + 1));
faces = FoldedNet.faces(set, state);
near = (faces.map(((face) => (Math.floor(((Solids.seen(Solids.middle(face), state.int("turn"), state.int("tilt"))[2] * 1000) + 0.5))))));
drawn = [];
for (step = 0; (step < (faces.length)); step++) {
next = (-1);
for ([f, depth] of near.entries()) {
if ((!(drawn.includes(f)) && ((next < 0) || (depth < near[next])))) {
next = f;
}
}
drawn.push(next);
points = [];
for (corner of faces[next]) {
[x, y] = Solids.seen(corner, state.int("turn"), state.int("tilt"));
points = [...points, ((FoldedNet.SIZE / 2) + (x * scale)), ((FoldedNet.SIZE / 2) + (y * scale))];
}
sketch.polygon(points, FoldedNet.FILLS[(next % 10)]);
}
steps = [[(-10), Said.of("Unfold")], [10, Said.of("Fold")], [100, Said.of("Fold it up")]];
for ([i, [n, label]] of steps.entries()) {
sketch.button("fold", n, label, (i * 130), (FoldedNet.SIZE + 12), 124);
}
},
surface(set, state) {
let sum, face;
sum = 0;
for (face of FoldedNet.faces(set, state)) {
sum += Solids.area(face);
}
return sum;
},
says(set, state) {
return Said.of("Net, folded :n %, surface :area cm²", { "n": state.int("folded"), "area": Solids.written(FoldedNet.surface(set, state)) });
},
};

export const CoordinateCube = {
SIZE: 500,
NAMES: ["A", "B", "C"],
settings() {
return [Setting.whole("size", "The axes go up to", 5, 2, 10), Setting.choice("points", "Points", ["One", "Two and a line", "Three and a plane"], 2)];
},
fields() {
return [Field.whole("turn", 0, 359), Field.whole("tilt", (-90), 90), Field.list("points", 3, (-10), 10, 3)];
},
start(set) {
let points;
points = [3, 0, 0, 0, 3, 0, 0, 0, 3];
return Values.of({ "turn": 320, "tilt": 22, "points": points.slice(0, (0) + ((3 * (set.int("points") + 1)))) });
},
after(set, state, act) {
let points;
points = state.list("points");
if (((same(act.part, "turn") && !same(act.x, null)) && !same(act.y, null))) {
return Solids.turned(state, (act.x - (Math.trunc(CoordinateCube.SIZE / 2))), (act.y - (Math.trunc(CoordinateCube.SIZE / 2))));
}
if ((((same(act.part, "place") && !same(act.to, null)) && (act.n >= 0)) && (act.n < (points.length)))) {
points[act.n] = Tokens.within(act.to, 0, set.int("size"));
return state.with("points", points);
}
return state;
},
inSpace(set, at) {
let half;
half = (set.int("size") / 2);
return [(at[0] - half), (at[2] - half), (half - at[1])];
},
on(set, state, at) {
let x, y, scale;
[x, y] = Solids.seen(CoordinateCube.inSpace(set, at), state.int("turn"), state.int("tilt"));
scale = (((CoordinateCube.SIZE - 110) / set.int("size")) / 1.75);
return [((CoordinateCube.SIZE / 2) + (x * scale)), ((CoordinateCube.SIZE / 2) + (y * scale))];
},
points(state) {
let list, points, i;
list = state.list("points");
points = [];
for (i = 0; ((i + 2) < (list.length)); i += 3) {
points.push([list[i], list[(i + 1)], list[(i + 2)]]);
}
return points;
},
plane(state) {
let points, p, q, r, u, v, a, b, c, d, common, leads, sign;
points = CoordinateCube.points(state);
if (((points.length) < 3)) {
return [];
}
[p, q, r] = points;
u = [(q[0] - p[0]), (q[1] - p[1]), (q[2] - p[2])];
v = [(r[0] - p[0]), (r[1] - p[1]), (r[2] - p[2])];
a = ((u[1] * v[2]) - (u[2] * v[1]));
b = ((u[2] * v[0]) - (u[0] * v[2]));
c = ((u[0] * v[1]) - (u[1] * v[0]));
if (((same(a, 0) && same(b, 0)) && same(c, 0))) {
return [];
}
d = (((a * p[0]) + (b * p[1])) + (c * p[2]));
common = Written.gcd(Written.gcd((Math.abs(a)), (Math.abs(b))), Written.gcd((Math.abs(c)), (Math.abs(d))));
leads = (!same(a, 0) ? a : (!same(b, 0) ? b : c));
sign = ((leads < 0) ? (-common) : common);
return [(Math.trunc(a / sign)), (Math.trunc(b / sign)), (Math.trunc(c / sign)), (Math.trunc(d / sign))];
},
draw(set, state, sketch) {
let size, points, end, i, x, y, line, downX, downY, top, left, label, a, b, axis, way, n, point, value;
size = set.int("size");
points = CoordinateCube.points(state);
sketch.size(CoordinateCube.SIZE, CoordinateCube.SIZE);
sketch.drag("turn", 0, Said.of("Turn it"), 0, 0, CoordinateCube.SIZE, CoordinateCube.SIZE, 20);
for ([a, b] of [[0, 0], [size, 0], [0, size], [size, size]]) {
CoordinateCube.line(set, state, sketch, [0, a, b], [size, a, b]);
CoordinateCube.line(set, state, sketch, [a, 0, b], [a, size, b]);
CoordinateCube.line(set, state, sketch, [a, b, 0], [a, b, size]);
}
CoordinateCube.drawPlane(set, state, sketch);
for ([axis, way] of [[1, 0, 0], [0, 1, 0], [0, 0, 1]].entries()) {
end = [(way[0] * size), (way[1] * size), (way[2] * size)];
sketch.line([...CoordinateCube.on(set, state, [0, 0, 0]), ...CoordinateCube.on(set, state, end)], "slate", 3);
for (i = 1; (i <= size); i++) {
[x, y] = CoordinateCube.on(set, state, [(way[0] * i), (way[1] * i), (way[2] * i)]);
sketch.circle(x, y, 3, "slate", "");
if (same(i, size)) {
sketch.words((x + 14), (y - 14), ["x", "y", "z"][axis], 24);
}
}
}
if (same((points.length), 2)) {
line = [...CoordinateCube.on(set, state, points[0]), ...CoordinateCube.on(set, state, points[1])];
sketch.line(line, "rust", 4);
}
for ([n, point] of points.entries()) {
[x, y] = CoordinateCube.on(set, state, point);
[downX, downY] = CoordinateCube.on(set, state, [point[0], point[1], 0]);
sketch.line([x, y, downX, downY], "stone", 1, true);
sketch.circle(x, y, 8, "rust");
sketch.words((x + 18), (y - 16), CoordinateCube.NAMES[n], 26);
top = (CoordinateCube.SIZE + 12);
sketch.words(((n * 175) + 14), (top + 24), CoordinateCube.NAMES[n], 26);
for ([i, value] of point.entries()) {
left = (((n * 175) + 34) + (i * 44));
sketch.rect(left, top, 42, 46, "paper", "stone", 4);
sketch.words((left + 21), (top + 24), String(value), 24);
label = Said.of(":axis of :point", { "axis": ["x", "y", "z"][i], "point": CoordinateCube.NAMES[n] });
sketch.type("place", ((3 * n) + i), label, left, top, 42, 46, value);
}
}
sketch.size(CoordinateCube.SIZE, (CoordinateCube.SIZE + 62));
},
line(set, state, sketch, from, to) {
sketch.line([...CoordinateCube.on(set, state, from), ...CoordinateCube.on(set, state, to)], "pale", 2);
},
drawPlane(set, state, sketch) {
let plane, size, corners, cut, points, z, x, y, one;
plane = CoordinateCube.plane(state);
if (same(plane, [])) {
return;
}
size = set.int("size");
corners = [];
for (z of [0, size]) {
for ([x, y] of [[0, 0], [size, 0], [size, size], [0, size]]) {
corners.push([(x + 0), (y + 0), (z + 0)]);
}
}
cut = Solids.section(corners, Solids.edges(Solids.faces(Solids.CUBOID, 4)), [(plane[0] + 0), (plane[1] + 0), (plane[2] + 0)], (CoordinateCube.points(state)[0].map(((one) => (one + 0)))));
points = [];
for (one of cut) {
points = [...points, ...CoordinateCube.on(set, state, one)];
}
if (((cut.length) > 2)) {
sketch.polygon(points, "glass", "lake");
}
},
equation(state) {
let plane, words, count, sign, i, letter;
plane = CoordinateCube.plane(state);
words = "";
for ([i, letter] of ["x", "y", "z"].entries()) {
count = (plane[i] ?? 0);
if (!same(count, 0)) {
sign = ((count < 0) ? (same(words, "") ? "−" : " − ") : (same(words, "") ? "" : " + "));
words = (String((String((String(words) + String(sign))) + String((same((Math.abs(count)), 1) ? "" : String((Math.abs(count))))))) + String(letter));
}
}
return (same(words, "") ? "" : (String((String(words) + String(" = "))) + String(Written.whole(plane[3]))));
},
length(state) {
let points, sum, i;
points = CoordinateCube.points(state);
if (((points.length) < 2)) {
return 0;
}
sum = 0;
for (i of [0, 1, 2]) {
sum += ((points[1][i] - points[0][i]) ** 2);
}
return (Math.sqrt(sum));
},
says(set, state) {
let equation, points;
equation = CoordinateCube.equation(state);
if (!same(equation, "")) {
return Said.of("Plane :equation", { "equation": equation });
}
points = (CoordinateCube.points(state).map(((one) => (String((String("(") + String((one.join(", "))))) + String(")")))));
return Said.of("Points :points", { "points": (points.join(" ")) });
},
};

export const Ruler = {
HIGH: 96,
settings() {
return [Setting.whole("length", "Length, in centimetres", 12, 5, 25)];
},
fields() {
return Laid.fields();
},
start(set) {
return Laid.start();
},
length(set) {
return ((set.int("length") + 0.6) * Laid.CENTIMETRE);
},
after(set, state, act) {
let length;
length = Ruler.length(set);
return Laid.after(state, act, Laid.inside(0, 0, length, Ruler.HIGH), (length - 50), 62);
},
draw(set, state, sketch) {
let length, outline, mm, along, high, x, y;
length = Ruler.length(set);
outline = [0, 0, length, 0, length, Ruler.HIGH, 0, Ruler.HIGH];
Laid.draw(sketch, state, outline, Laid.inside(0, 0, length, Ruler.HIGH), (length - 50), 62);
for (mm = 0; (mm <= (set.int("length") * 10)); mm++) {
along = (((mm / 10) + 0.3) * Laid.CENTIMETRE);
high = (same((mm % 10), 0) ? 26 : (same((mm % 5), 0) ? 19 : 12));
sketch.line(Laid.all(state, [along, 0, along, high]), "slate", (same((mm % 10), 0) ? 2 : 1));
if (same((mm % 10), 0)) {
[x, y] = Laid.at(state, along, 44);
sketch.words(x, y, String((Math.trunc(mm / 10))), 20);
}
}
},
guides(set, state) {
let length;
length = Ruler.length(set);
return [Laid.all(state, [0, 0, length, 0]), Laid.all(state, [0, Ruler.HIGH, length, Ruler.HIGH])];
},
says(set, state) {
return Said.of("Ruler at :n°", { "n": Laid.degrees(state) });
},
};

export const Protractor = {
RADIUS: 250,
settings() {
return [Setting.choice("degrees", "Counted", ["From both sides", "From the right"])];
},
fields() {
return Laid.fields();
},
start(set) {
return Laid.start();
},
half(radius) {
let points, degrees;
points = [];
for (degrees = 0; (degrees <= 180); degrees += 6) {
points = [...points, ...Protractor.polar(radius, degrees)];
}
return [...points, (-radius), 24, radius, 24];
},
polar(radius, degrees) {
return [(radius * (Math.cos(((degrees * Math.PI) / 180)))), ((-radius) * (Math.sin(((degrees * Math.PI) / 180))))];
},
body() {
let points, degrees;
points = [];
for (degrees = 10; (degrees <= 170); degrees += 10) {
points = [...points, ...Protractor.polar((Protractor.RADIUS - 70), degrees)];
}
return [...points, (-(Protractor.RADIUS - 90)), (-24), (Protractor.RADIUS - 90), (-24)];
},
after(set, state, act) {
return Laid.after(state, act, Protractor.body(), 140, (-34));
},
draw(set, state, sketch) {
let degrees, deep, mark, at, x, y, in_, inX, inY;
Laid.draw(sketch, state, Protractor.half(Protractor.RADIUS), Protractor.body(), 140, (-34));
sketch.line(Laid.all(state, [(-Protractor.RADIUS), 0, Protractor.RADIUS, 0]), "slate", 2);
sketch.line(Laid.all(state, [0, 12, 0, (-40)]), "slate", 2);
for (degrees = 0; (degrees <= 180); degrees++) {
deep = (same((degrees % 10), 0) ? 24 : (same((degrees % 5), 0) ? 17 : 10));
mark = [...Protractor.polar(Protractor.RADIUS, degrees), ...Protractor.polar((Protractor.RADIUS - deep), degrees)];
sketch.line(Laid.all(state, mark), "slate", (same((degrees % 10), 0) ? 2 : 1));
if (((same((degrees % 10), 0) && (degrees > 0)) && (degrees < 180))) {
at = Protractor.polar((Protractor.RADIUS - 38), degrees);
[x, y] = Laid.at(state, at[0], at[1]);
sketch.words(x, y, String(degrees), 15);
if (same(set.int("degrees"), 0)) {
in_ = Protractor.polar((Protractor.RADIUS - 72), degrees);
[inX, inY] = Laid.at(state, in_[0], in_[1]);
sketch.words(inX, inY, String((180 - degrees)), 13, "lake");
}
}
}
},
guides(set, state) {
return [Laid.all(state, [(-Protractor.RADIUS), 24, Protractor.RADIUS, 24])];
},
says(set, state) {
return Said.of("Protractor at :n°", { "n": Laid.degrees(state) });
},
};

export const SetSquare = {
LONG: 380,
settings() {
return [Setting.choice("angles", "Angles", ["45°, 45°, 90°", "30°, 60°, 90°"])];
},
fields() {
return Laid.fields();
},
start(set) {
return Laid.start();
},
high(set) {
return (same(set.int("angles"), 0) ? SetSquare.LONG : (SetSquare.LONG / (Math.sqrt(3))));
},
triangle(set, share) {
let midAlong, midAside, points, along, aside;
[midAlong, midAside] = [(SetSquare.LONG / 3), ((-SetSquare.high(set)) / 3)];
points = [];
for ([along, aside] of [[0, 0], [SetSquare.LONG, 0], [0, (-SetSquare.high(set))]]) {
points.push((midAlong + ((along - midAlong) * share)));
points.push((midAside + ((aside - midAside) * share)));
}
return points;
},
after(set, state, act) {
return Laid.after(state, act, SetSquare.triangle(set, 0.76), (SetSquare.LONG * 0.62), (-32));
},
draw(set, state, sketch) {
let outline;
outline = SetSquare.triangle(set, 1);
Laid.draw(sketch, state, outline, SetSquare.triangle(set, 0.76), (SetSquare.LONG * 0.62), (-32));
sketch.polygon(Laid.all(state, SetSquare.triangle(set, 0.32)), "paper", "stone");
sketch.line(Laid.all(state, [0, (-26), 26, (-26), 26, 0]), "stone", 2);
},
guides(set, state) {
let high;
high = SetSquare.high(set);
return [Laid.all(state, [0, 0, SetSquare.LONG, 0]), Laid.all(state, [0, 0, 0, (-high)]), Laid.all(state, [SetSquare.LONG, 0, 0, (-high)])];
},
says(set, state) {
return Said.of("Set square at :n°", { "n": Laid.degrees(state) });
},
};

export const Compass = {
LEG: 300,
WIDEST: 590,
settings() {
return [Setting.whole("opening", "Opening, in millimetres", 40, 5, 100)];
},
fields() {
return [...Laid.fields(), Field.whole("radius", 20, Compass.WIDEST)];
},
start(set) {
return Laid.start().with("radius", Compass.units(set.int("opening")));
},
units(millimetres) {
return Tokens.within(Math.trunc(Number((Math.floor((((millimetres * Laid.CENTIMETRE) / 10) + 0.5))))), 20, Compass.WIDEST);
},
millimetres(state) {
return Math.trunc(Number((Math.floor((((state.int("radius") * 10) / Laid.CENTIMETRE) + 0.5)))));
},
after(set, state, act) {
let dx, dy, turn, angle, along;
if ((same(act.part, "radius") && !same(act.to, null))) {
return state.with("radius", Compass.units(Tokens.within(act.to, 1, 200)));
}
if ((same(act.x, null) || same(act.y, null))) {
return state;
}
dx = (act.x - state.int("x"));
dy = (act.y - state.int("y"));
if (same(act.part, "needle")) {
return state.with("x", act.x).with("y", act.y);
}
if (same(act.part, "pencil")) {
turn = Math.trunc(Number((Math.floor(((((Math.atan2(dy, dx)) * 1800) / Math.PI) + 0.5)))));
return state.with("turn", (((turn % 3600) + 3600) % 3600));
}
if (same(act.part, "hinge")) {
angle = ((state.int("turn") * Math.PI) / 1800);
along = ((dx * (Math.cos(angle))) + (dy * (Math.sin(angle))));
return state.with("radius", Tokens.within(Math.trunc(Number((Math.floor(((2 * along) + 0.5))))), 20, Compass.WIDEST));
}
return state;
},
draw(set, state, sketch) {
let radius, high, x, y, pencilX, pencilY, hingeX, hingeY, typedX, typedY, label;
radius = state.int("radius");
high = (Math.sqrt(((Compass.LEG ** 2) - ((radius / 2) ** 2))));
[x, y] = Laid.at(state, 0, 0);
[pencilX, pencilY] = Laid.at(state, radius, 0);
[hingeX, hingeY] = Laid.at(state, (radius / 2), (-high));
sketch.around([x, y, pencilX, pencilY, hingeX, hingeY]);
sketch.line([x, y, hingeX, hingeY], "stone", 10);
sketch.line([pencilX, pencilY, hingeX, hingeY], "wood", 10);
sketch.circle(hingeX, hingeY, 20, "paper", "lake");
sketch.circle(x, y, 6, "slate");
sketch.circle(pencilX, pencilY, 9, "ochre");
[typedX, typedY] = Laid.at(state, (radius / 2), ((-high) / 2));
sketch.words(typedX, typedY, (String(Compass.millimetres(state)) + String(" mm")), 22);
sketch.drag("needle", 0, Said.of("Needle"), (x - 30), (y - 30), 60, 60, 10);
sketch.drag("hinge", 0, Said.of("Open or close it"), (hingeX - 32), (hingeY - 32), 64, 64, 6);
sketch.drag("pencil", 0, Said.of("Turn the pencil"), (pencilX - 24), (pencilY - 24), 48, 48, 12);
label = Said.of("Opening, in millimetres");
sketch.type("radius", 0, label, (typedX - 50), (typedY - 20), 100, 40, Compass.millimetres(state));
},
guides(set, state) {
let x, y;
[x, y] = Laid.at(state, 0, 0);
return [[x, y, (state.int("radius") + 0)]];
},
says(set, state) {
return Said.of("Compasses open :n mm", { "n": Compass.millimetres(state) });
},
};

export const RULES = {
    fraction_bar: FractionBar,
    fraction_circle: FractionCircle,
    base_ten: BaseTen,
    place_value: PlaceValue,
    number_line: NumberLine,
    counters: Counters,
    ten_frame: TenFrame,
    hundred_square: HundredSquare,
    number_cards: NumberCards,
    algebra_tiles: AlgebraTiles,
    balance: Balance,
    bar_model: BarModel,
    clock: Clock,
    coins: Coins,
    geoboard: Geoboard,
    dice: Dice,
    coin_toss: CoinToss,
    spinner: Spinner,
    sum_table: SumTable,
    bar_chart: BarChart,
    data_line: DataLine,
    venn_sets: VennSets,
    tree_diagram: TreeDiagram,
    loaded_beam: LoadedBeam,
    spring: Spring,
    pulley: Pulley,
    circuit: Circuit,
    atoms: Atoms,
    staff: Staff,
    solid: Solid,
    sphere: Sphere,
    folded_net: FoldedNet,
    coordinate_cube: CoordinateCube,
    ruler: Ruler,
    protractor: Protractor,
    set_square: SetSquare,
    compass: Compass,
};
