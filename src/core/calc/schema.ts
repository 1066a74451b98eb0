import { Ajv2020, type ErrorObject, type ValidateFunction } from 'ajv/dist/2020.js';
import type { TSchema } from 'typebox';
import { fits, isRecord, type Node } from './fits';
import { nearest } from './nearest';

export interface Fault {
  /** dotted path from the root, `items[0].mass`; empty for the root itself */
  path: string;
  /** one sentence with the value and the remedy */
  error: string;
}

/** Validity is asked at the first fault; leaves are told in full. */
// The schemas are ours and held against the meta-schema by a test; a validator is made the fast way, there are some hundred of them.
const made = { strictTypes: false, validateSchema: false, code: { optimize: false } } as const;
const quick = new Ajv2020({ allErrors: false, verbose: false, ...made });
const telling = new Ajv2020({ allErrors: true, verbose: true, ...made });
for (const ajv of [quick, telling]) ajv.addKeyword('unit');

const compiled = new Map<Ajv2020, WeakMap<object, ValidateFunction>>([
  [quick, new WeakMap()],
  [telling, new WeakMap()],
]);

/** Validators by what they ask, whatever it is called: the same text or length is asked for in many places. */
const alike = new Map<string, ValidateFunction>();
const SAID: ReadonlySet<string> = new Set(['description', 'title', 'unit', '$id']);
const asks = (schema: TSchema): string => JSON.stringify(schema, (key, value: unknown) => (SAID.has(key) && typeof value === 'string' ? undefined : value));

function validatorOf(ajv: Ajv2020, schema: TSchema): ValidateFunction {
  const known = compiled.get(ajv)!;
  let validate = known.get(schema);
  if (!validate) {
    // Where a fault is told the schema says what the figure is called and in what unit.
    const text = ajv === quick ? asks(schema) : null;
    validate = (text === null ? undefined : alike.get(text)) ?? ajv.compile(schema);
    if (text !== null) alike.set(text, validate);
    known.set(schema, validate);
  }
  return validate;
}

/** After this many faults nobody reads on, and the rest of the value is not looked at. */
export const MOST_FAULTS = 100;

/** Every fault of a value against a schema, in words; empty when it fits. Linear in the size of the value, and no more than a hundred. */
export function faultsOf(schema: TSchema, value: unknown): Fault[] {
  if (fits(schema, value, (node, part) => validatorOf(quick, node)(part))) return [];
  const faults: Fault[] = [];
  explain(schema as Node, value, '', faults, MOST_FAULTS);
  // The walk below and the validator read one schema; should they ever differ, the validator is right.
  if (faults.length === 0) faults.push({ path: '', error: 'The input does not have the form asked for.' });
  if (faults.length >= MOST_FAULTS) faults.push({ path: '', error: `and more: only the first ${MOST_FAULTS} faults are told.` });
  return faults;
}

const at = (path: string, leaf: string | number): string => (typeof leaf === 'number' ? `${path}[${leaf}]` : path ? `${path}.${leaf}` : leaf);

/** Walks value and schema together, so that an object of a thousand wrong entries costs a thousand looks; stops when `most` is reached. */
function explain(node: Node, value: unknown, path: string, out: Fault[], most: number): void {
  if (out.length >= most) return;
  if (node.anyOf) return explain(branchOf(node.anyOf, value), value, path, out, most);
  if (node.type === 'object' && isRecord(value) && (node.properties ?? node.patternProperties)) return explainObject(node, value, path, out, most);
  if (node.type === 'array' && Array.isArray(value) && node.items) {
    const [few, many] = [node.minItems ?? 0, node.maxItems ?? Infinity];
    if (value.length < few) out.push({ path, error: `${path || 'the input'} has ${value.length} entries: give at least ${few}.` });
    if (value.length > many) {
      out.push({ path, error: `${path || 'the input'} has ${value.length} entries: give at most ${many}.` });
      return;
    }
    for (let i = 0; i < value.length && out.length < most; i += 1) explain(node.items, value[i], at(path, i), out, most);
    return;
  }
  const validate = validatorOf(telling, node);
  if (validate(value)) return;
  for (const error of (validate.errors ?? []).slice(0, most - out.length)) out.push(describe(error, path));
}

function explainObject(node: Node, value: Record<string, unknown>, path: string, out: Fault[], most: number): void {
  const properties = node.properties ?? {};
  for (const field of node.required ?? [])
    if (!Object.hasOwn(value, field) && out.length < most)
      out.push({ path: at(path, field), error: `“${field}” is missing${path ? ` in ${path}` : ''}: give it.` });
  const anyKey = Object.values(node.patternProperties ?? {})[0];
  for (const field in value) {
    if (out.length >= most) return;
    const inner = Object.hasOwn(properties, field) ? properties[field] : anyKey;
    if (inner) explain(inner, value[field], at(path, field), out, most);
    else if (node.additionalProperties === false) {
      const guess = nearest(clipped(field), Object.keys(properties), 1)[0];
      out.push({
        path: at(path, clipped(field)),
        error: `“${clipped(field)}” is not a field ${path ? `of ${path}` : 'here'}: remove it${guess ? `, or did you mean “${guess}”?` : '.'}`,
      });
    }
  }
}

const clipped = (text: string): string => (text.length > 60 ? `${text.slice(0, 57)}…` : text);

/** Of a union, the branch whose fixed words the value has; else the one of its kind with the fewest faults. */
function branchOf(branches: readonly Node[], value: unknown): Node {
  const ofKind = branches.filter((branch) =>
    isRecord(value) ? branch.type === 'object' : Array.isArray(value) ? branch.type === 'array' : branch.type !== 'object' && branch.type !== 'array',
  );
  if (isRecord(value)) {
    const named = ofKind.find((branch) =>
      Object.entries(branch.properties ?? {}).some(([key, field]) => field.const !== undefined && value[key] === field.const),
    );
    if (named) return named;
  }
  const sized = (ofKind.length > 0 ? ofKind : branches.filter((branch) => branch.type !== 'null')).map((branch) => {
    const found: Fault[] = [];
    explain(branch, value, '', found, 10);
    return { branch, faults: found.length };
  });
  return sized.sort((a, b) => a.faults - b.faults)[0]?.branch ?? branches[0]!;
}

/** The pattern of every text: NUL and half of a surrogate pair are no characters, and no database holds them. */
export const PLAIN_TEXT = '^[^\\u0000\\uD800-\\uDFFF]*$';

const dotted = (pointer: string): string => {
  const parts = pointer
    .split('/')
    .slice(1)
    .map((part) => part.replace(/~1/g, '/').replace(/~0/g, '~'));
  return parts.reduce((path, part) => (/^\d+$/.test(part) ? `${path}[${part}]` : path ? `${path}.${part}` : part), '');
};

/** A value in a few letters, whatever its size and depth. */
function show(value: unknown): string {
  if (Array.isArray(value)) return value.length === 0 ? '[]' : `a list of ${value.length}`;
  if (typeof value === 'object' && value !== null) {
    const keys = Object.keys(value);
    return keys.length === 0 ? '{}' : `an object with ${clipped(keys.slice(0, 3).join(', '))}`;
  }
  return clipped(typeof value === 'string' ? JSON.stringify(value.slice(0, 80)) : String(value));
}

function describe(error: ErrorObject, base: string): Fault {
  const parameters = error.params as Record<string, unknown>;
  const schema = (error.parentSchema ?? {}) as { unit?: string; properties?: Record<string, unknown> };
  const inner = dotted(error.instancePath);
  const path = inner === '' ? base : base === '' ? inner : inner.startsWith('[') ? base + inner : `${base}.${inner}`;
  const name = path || 'the input';
  const unit = schema.unit && schema.unit !== '1' ? ` ${schema.unit}` : '';
  const stated = `${name} is ${show(error.data)}${typeof error.data === 'number' ? unit : ''}`;
  switch (error.keyword) {
    case 'minimum':
      return { path, error: `${stated}: give ${String(parameters.limit)}${unit} or more.` };
    case 'maximum':
      return { path, error: `${stated}: give ${String(parameters.limit)}${unit} or less.` };
    case 'exclusiveMinimum':
      return { path, error: `${stated}: give more than ${String(parameters.limit)}${unit}.` };
    case 'exclusiveMaximum':
      return { path, error: `${stated}: give less than ${String(parameters.limit)}${unit}.` };
    case 'type':
      return { path, error: `${name} is ${show(error.data)}: give ${describeType(parameters.type)}${unit ? ` in${unit}` : ''}.` };
    case 'enum':
      return { path, error: `${stated}: give one of ${(parameters.allowedValues as unknown[]).map(show).join(', ')}.` };
    case 'const':
      return { path, error: `${stated}: give ${show(parameters.allowedValue)}.` };
    case 'minItems':
      return { path, error: `${name} has ${(error.data as unknown[]).length} entries: give at least ${String(parameters.limit)}.` };
    case 'maxItems':
      return { path, error: `${name} has ${(error.data as unknown[]).length} entries: give at most ${String(parameters.limit)}.` };
    case 'maxLength':
      return { path, error: `${name} is ${String((error.data as string).length)} letters long: give at most ${String(parameters.limit)}.` };
    case 'minLength':
      return { path, error: `${name} is empty: write something.` };
    case 'pattern':
      if (parameters.pattern === PLAIN_TEXT) return { path, error: `${name} has a character no text holds (NUL, or half of a pair): take it out.` };
      return { path, error: `${stated}: it does not have the form asked for (${String(parameters.pattern)}).` };
    default:
      return { path, error: `${stated}: it ${error.message ?? 'does not fit'}.` };
  }
}

function describeType(type: unknown): string {
  const names: Record<string, string> = {
    number: 'a number',
    integer: 'a whole number',
    string: 'text',
    object: 'an object',
    array: 'a list',
    boolean: 'true or false',
    null: 'null',
  };
  return (Array.isArray(type) ? type : [type]).map((one) => names[String(one)] ?? String(one)).join(' or ');
}
