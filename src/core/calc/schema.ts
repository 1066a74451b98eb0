import { Ajv2020, type ErrorObject, type ValidateFunction } from 'ajv/dist/2020.js';
import type { TSchema } from 'typebox';
import { nearest } from './nearest';

export interface Fault {
  /** dotted path from the root, `items[0].mass`; empty for the root itself */
  path: string;
  /** one sentence with the value and the remedy */
  error: string;
}

const ajv = new Ajv2020({ allErrors: true, verbose: true, strictTypes: false });
ajv.addKeyword('unit');

const compiled = new WeakMap<object, ValidateFunction>();

function validatorOf(schema: TSchema): ValidateFunction {
  let validate = compiled.get(schema);
  if (!validate) {
    validate = ajv.compile(schema);
    compiled.set(schema, validate);
  }
  return validate;
}

/** Every fault of a value against a schema, in words; empty when it fits. */
export function faultsOf(schema: TSchema, value: unknown): Fault[] {
  const validate = validatorOf(schema);
  if (validate(value)) return [];
  return pickBranches(validate.errors ?? []).map(describe);
}

const dotted = (pointer: string, leaf = ''): string => {
  const parts = pointer
    .split('/')
    .slice(1)
    .map((part) => part.replace(/~1/g, '/').replace(/~0/g, '~'));
  if (leaf) parts.push(leaf);
  return parts.reduce((path, part) => (/^\d+$/.test(part) ? `${path}[${part}]` : path ? `${path}.${part}` : part), '');
};

/** Of a union, only the branch that comes nearest is worth complaining about. */
function pickBranches(errors: ErrorObject[]): ErrorObject[] {
  const unions = errors.filter((error) => error.keyword === 'anyOf');
  let kept = errors;
  for (const union of unions) {
    const inside = kept.filter((error) => error !== union && error.schemaPath.startsWith(union.schemaPath + '/'));
    if (inside.length === 0) continue;
    const branches = new Map<string, ErrorObject[]>();
    for (const error of inside) {
      const branch = error.schemaPath.slice(union.schemaPath.length + 1).split('/')[0] ?? '';
      branches.set(branch, [...(branches.get(branch) ?? []), error]);
    }
    const cost = (list: ErrorObject[]) => list.length + (list.some((e) => e.keyword === 'type' && e.instancePath === union.instancePath) ? 100 : 0);
    const best = [...branches.values()].sort((a, b) => cost(a) - cost(b))[0] ?? [];
    kept = kept.filter((error) => error !== union && (!inside.includes(error) || best.includes(error)));
  }
  return kept;
}

function show(value: unknown): string {
  const text = JSON.stringify(value) ?? String(value);
  return text.length > 60 ? text.slice(0, 57) + '…' : text;
}

function describe(error: ErrorObject): Fault {
  const parameters = error.params as Record<string, unknown>;
  const schema = (error.parentSchema ?? {}) as { unit?: string; properties?: Record<string, unknown> };
  const path = dotted(error.instancePath);
  const name = path || 'the input';
  const unit = schema.unit && schema.unit !== '1' ? ` ${schema.unit}` : '';
  const stated = `${name} is ${show(error.data)}${typeof error.data === 'number' ? unit : ''}`;
  switch (error.keyword) {
    case 'required': {
      const field = String(parameters.missingProperty);
      return { path: dotted(error.instancePath, field), error: `“${field}” is missing${path ? ` in ${path}` : ''}: give it.` };
    }
    case 'additionalProperties':
    case 'unevaluatedProperties': {
      const field = String(parameters.additionalProperty ?? parameters.unevaluatedProperty);
      const known = Object.keys(schema.properties ?? {});
      const guess = nearest(field, known, 1)[0];
      return {
        path: dotted(error.instancePath, field),
        error: `“${field}” is not a field ${path ? `of ${path}` : 'here'}: remove it${guess ? `, or did you mean “${guess}”?` : '.'}`,
      };
    }
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
    case 'minLength':
      return { path, error: `${name} is empty: write something.` };
    case 'pattern':
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
