import type { TSchema } from 'typebox';
import { registry } from '../../src/core/catalogue/registry';

interface Shown {
  type?: string;
  unit?: string;
  description?: string;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
  enum?: string[];
  anyOf?: Shown[];
  items?: Shown;
  properties?: Record<string, Shown>;
}

const basis = {
  published: 'published',
  statics: 'statics',
  geometry: 'geometry',
  practice: 'common practice',
  memory: 'from memory',
  record: 'record',
} as const;

function range(s: Shown): string {
  const low = s.exclusiveMinimum !== undefined ? `> ${s.exclusiveMinimum}` : s.minimum !== undefined ? `≥ ${s.minimum}` : '';
  const high = s.exclusiveMaximum !== undefined ? `< ${s.exclusiveMaximum}` : s.maximum !== undefined ? `≤ ${s.maximum}` : '';
  return [low, high].filter(Boolean).join(', ');
}

function shape(s: Shown): string {
  if (s.anyOf) return s.anyOf.map(shape).join(' or ');
  if (s.enum) return s.enum.join(', ');
  if (s.type === 'array' && s.items) return `list of ${shape(s.items)}`;
  if (s.type === 'object' && s.properties)
    return `{ ${Object.entries(s.properties)
      .map(([key, inner]) => `${key}${inner.unit && inner.unit !== '1' ? ` [${inner.unit}]` : ''}`)
      .join(', ')} }`;
  return s.type ?? '';
}

function rows(schema: TSchema): string[] {
  const { properties = {}, required = [] } = schema as unknown as { properties?: Record<string, Shown>; required?: string[] };
  return Object.entries(properties).map(([name, s]) => {
    const what = [s.description, s.type === 'number' || s.type === 'integer' ? '' : shape(s)].filter(Boolean).join('; ');
    return `| \`${name}\`${required.includes(name) ? '' : ' (may be left out)'} | ${s.unit && s.unit !== '1' ? s.unit : ''} | ${range(s)} | ${what.replace(/\|/g, '\\|')} |`;
  });
}

/** docs/calculations.md, written from the registry so that it cannot differ from what runs. */
export function calculationsPage(): string {
  const sections = [...registry.values()].map((calc) =>
    [
      `## \`${calc.id}\``,
      '',
      `${calc.title}.`,
      '',
      `Source (${basis[calc.source.basis]}): ${calc.source.text}.`,
      '',
      '| input | unit | range | what |',
      '| --- | --- | --- | --- |',
      ...rows(calc.input),
      '',
      '| output | unit | range | what |',
      '| --- | --- | --- | --- |',
      ...rows(calc.output),
      '',
    ].join('\n'),
  );
  return [
    '# The calculations',
    '',
    'SI base units: m, kg, N, Pa, s; angles in degrees, their names ending in `Deg`. An input that is missing, unknown, of the wrong kind or outside its range, and geometry that cannot be,',
    'gives `{ "error", "path" }` with one sentence that names the value and the remedy. Equations stand in the working of each check and in the file that computes it.',
    '',
    ...sections,
  ].join('\n');
}
