import { readdirSync, readFileSync } from 'node:fs';
import { byCheck } from './check-fields';

/** All that the fields of the stations are called, in the sources of the stations. */
const written = readdirSync('src/stations', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.tsx'))
  .map((file) => readFileSync(`src/stations/${file}`, 'utf8'))
  .join('\n');

const labels = Object.entries(byCheck).flatMap(([check, fields]) => fields.map(({ label }) => [check, label] as const));

test.each(labels)('%s takes one to a field that is there: %s', (_, label) => {
  // As the words of a label, or their beginning.
  expect(["'", '"', '`', '>'].some((mark) => written.includes(`${mark}${label}`))).toBe(true);
});
