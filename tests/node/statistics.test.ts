import { execFileSync } from 'node:child_process';
import jstat from 'jstat';
import { median, sampleStandardDeviation } from 'simple-statistics';
import { beforeAll, expect, test } from 'vitest';
import golden from '../../core/tests/golden/lines-in-r.json';

/** The core's statistics beside two libraries of another language that know nothing of it: jstat and simple-statistics. */
const t: [number, number][] = [-4, -1.5, -0.2, 0, 0.7, 1.77, 2.6, 8].flatMap((at) => [1, 3, 7.5, 13, 40].map((degrees): [number, number] => [at, degrees]));
const q: [number, number][] = [0.01, 0.05, 0.25, 0.5, 0.6, 0.9, 0.975, 0.999].flatMap((share) =>
  [1, 3, 7, 13, 40].map((degrees): [number, number] => [share, degrees]),
);
const lines = golden.cases.map(({ values }) => values);
const hits: [number, number][] = [
  [0, 5],
  [3, 10],
  [7, 9],
  [81, 263],
  [20, 20],
];

interface Said {
  t: number[];
  q: number[];
  normal: number[];
  error: number[];
  median: number[];
  high: number[];
}
let said: Said;
beforeAll(() => {
  said = JSON.parse(execFileSync('php', ['core/tests/say-statistics.php'], { input: JSON.stringify({ t, q, lines, hits }), encoding: 'utf8' })) as Said;
});
const close = (value: number | undefined, expected: number) => expect(Math.abs((value ?? NaN) - expected)).toBeLessThan(1e-6 * Math.max(1, Math.abs(expected)));

test('Student’s t and its quantiles, and the normal’s, are those of jstat', () => {
  t.forEach(([at, degrees], i) => close(said.t[i], jstat.studentt.cdf(at, degrees)));
  q.forEach(([share, degrees], i) => close(said.q[i], jstat.studentt.inv(share, degrees)));
  q.forEach(([share], i) => close(said.normal[i], jstat.normal.inv(share, 0, 1)));
});

test('typical error and median are those of simple-statistics', () => {
  lines.forEach((values, i) => {
    const differences = values.slice(1).map((value, n) => value - (values[n] ?? 0));
    close(said.error[i], sampleStandardDeviation(differences) / Math.SQRT2);
    close(said.median[i], median(values));
  });
});

test('the upper end of a share solves Wilson’s equation, z from jstat', () => {
  const z = jstat.normal.inv(0.975, 0, 1);
  hits.forEach(([made, tried], i) => {
    const high = said.high[i] ?? NaN;
    // |p − π| = z · √(π(1 − π) / n) at the ends of the interval.
    close(Math.abs(made / tried - high), z * Math.sqrt((high * (1 - high)) / tried));
  });
});
