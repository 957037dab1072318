import { beforeEach, expect, test } from 'vitest';
import { listAt, numberAt, rememberDrill, textAt, unkeptDrill, withValue } from './fields';

const drill = { name: 'Zigzag', layout: { kind: 'zigzag', spacing: { value: 4, unit: 'yd' } }, points: ['Slow in.', 'Quick out.'] };

test('a change by path leaves everything else as it was', () => {
  const wider = withValue(drill, ['layout', 'spacing', 'value'], 5);
  expect(wider).toEqual({ ...drill, layout: { kind: 'zigzag', spacing: { value: 5, unit: 'yd' } } });
  expect(drill.layout.spacing.value).toBe(4);
});

test('what is not there yet is made on the way, and nothing leaves a field out', () => {
  expect(withValue(drill, ['touches', 'most'], 2)).toMatchObject({ touches: { most: 2 } });
  expect(withValue(drill, ['layout', 'spacing'], undefined)).toEqual({ ...drill, layout: { kind: 'zigzag' } });
  expect(withValue(drill, ['points', 0], undefined)).toEqual({ ...drill, points: ['Quick out.'] });
});

test('a field of another kind reads as nothing, not as a fault', () => {
  expect([textAt(drill, ['name']), textAt(drill, ['layout']), numberAt(drill, ['name']), listAt(drill, ['nothing', 'at', 'all'])]).toEqual([
    'Zigzag',
    '',
    null,
    [],
  ]);
});

beforeEach(() => {
  const kept = new Map<string, string>();
  globalThis.localStorage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  } as unknown as Storage;
});

test('what was typed is remembered for its drill and act until it is kept', () => {
  rememberDrill(1, 'zigzag', 'copy', drill);
  expect(unkeptDrill(1, 'zigzag', 'copy')).toEqual(drill);
  expect(unkeptDrill(2, 'zigzag', 'copy')).toBeUndefined();
  expect(unkeptDrill(1, 'zigzag', 'change')).toBeUndefined();
  rememberDrill(1, 'zigzag', 'copy', undefined);
  expect(unkeptDrill(1, 'zigzag', 'copy')).toBeUndefined();
});
