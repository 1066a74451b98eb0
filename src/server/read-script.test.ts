import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'lists-'));
const run = (name: string, text: string): { code: number | null; out: Record<string, unknown> } => {
  const path = join(folder, name);
  writeFileSync(path, text);
  const { status, stdout } = spawnSync('node_modules/.bin/tsx', ['scripts/read.ts', path], { encoding: 'utf8' });
  return { code: status, out: JSON.parse(stdout) as Record<string, unknown> };
};

describe('what the importers read, printed', () => {
  test('a list read: 0; in SI, the weight of one piece', () => {
    const { code, out } = run('a.csv', 'Mark,Section,Length (mm),Qty,Total weight (kg)\nB1,HEB 200,6000,2,735.6\n');
    expect([code, out.kind]).toEqual([0, 'csv']);
    expect(out.rows).toMatchObject([{ mark: 'B1', section: 'HEB 200', length: 6, count: 2, mass: 367.8 }]);
  });
  test('a list asked about: 1; the field is null and named', () => {
    const { code, out } = run('b.csv', 'Mark,Section,Length (mm),Weight (tons)\nB1,HEB 200,6000,0.4\n');
    expect(code).toBe(1);
    expect(out).toMatchObject({ rows: [{ mark: 'B1', mass: null }], asked: [{ about: 'mass' }] });
  });
  test('a chart, told from a list; nothing known: 2', () => {
    expect(run('c.csv', 'm / kg,10,14\n4,9000,8200\n6,5200,5000\n')).toMatchObject({
      code: 0,
      out: { kind: 'chart', rows: [{ radius: 4, boom: 10, capacity: 9000 }, {}, {}, {}] },
    });
    expect(run('d.nc1', 'hello')).toMatchObject({ code: 2, out: { kind: 'nc1', notRead: [{ what: 'd.nc1' }] } });
    expect(run('e.ifc', 'ISO-10303-21;\nHEADER;')).toMatchObject({ code: 2, out: { kind: 'ifc', rows: [] } });
  });
});
