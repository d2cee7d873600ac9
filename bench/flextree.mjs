import { readFileSync } from 'node:fs';
import { flextree } from 'd3-flextree';

const { parents, widths, heights } = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const children = new Map();
parents.forEach((parent, i) => (children.get(parent) ?? children.set(parent, []).get(parent)).push(i));
const build = (i) => ({ size: i < 0 ? [24, 120] : [heights[i] + 7, widths[i] + 54], children: (children.get(i) ?? []).map(build) });
const data = build(-1);
const layout = flextree();
const times = [];
for (let i = 0; i < 40; i++) {
    const tree = layout.hierarchy(data);
    const start = performance.now();
    layout(tree);
    times.push(performance.now() - start);
}
times.splice(0, 15);
console.log(Math.min(...times));
