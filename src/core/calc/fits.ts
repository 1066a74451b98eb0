import type { TSchema } from 'typebox';

/** A schema as far as it is walked here. */
export interface Node extends TSchema {
  type?: string;
  anyOf?: Node[];
  items?: Node;
  properties?: Record<string, Node>;
  patternProperties?: Record<string, Node>;
  required?: string[];
  additionalProperties?: boolean | Node;
  const?: unknown;
  minItems?: number;
  maxItems?: number;
}

export const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);

/** What the walk below knows; a node that says more goes to the validator whole. */
const KNOWN: ReadonlySet<string> = new Set([
  '$id',
  'title',
  'type',
  'anyOf',
  'items',
  'properties',
  'required',
  'additionalProperties',
  'minItems',
  'maxItems',
  'description',
  'unit',
]);
/** Nodes of a schema with no more inside are handed to the validator whole: a validator is made in the time it takes to walk some thousand values. */
const WHOLE = 15;

const sizes = new WeakMap<object, number>();
function sizeOf(node: Node): number {
  let size = sizes.get(node);
  if (size === undefined) {
    const inner = [
      ...Object.values(node.properties ?? {}),
      ...Object.values(node.patternProperties ?? {}),
      ...(node.anyOf ?? []),
      ...(node.items ? [node.items] : []),
    ];
    sizes.set(node, (size = inner.reduce((sum, one) => sum + sizeOf(one), 1)));
  }
  return size;
}

/** Whether a branch of a union is ruled out by a word it fixes. */
const ruledOut = ({ properties = {}, required = [] }: Node, value: unknown): boolean =>
  isRecord(value) &&
  Object.entries(properties).some(
    ([key, { const: fixed }]) => fixed !== undefined && value[key] !== fixed && (value[key] !== undefined || required.includes(key)),
  );

/**
 * Whether a value fits a schema, asked of the validator part by part: of a large schema only the parts are made into validators that the
 * value has, as most plans have few of all the things a plan may have.
 */
export function fits(schema: TSchema, value: unknown, valid: (part: TSchema, value: unknown) => boolean): boolean {
  const node = schema as Node;
  // Nothing of a list that is empty, or of a thing that is not there, has to be known.
  if (value === null && node.anyOf?.some(({ type }) => type === 'null')) return true;
  if (node.type === 'array' && Array.isArray(value) && value.length === 0 && Object.keys(node).every((key) => KNOWN.has(key))) return !node.minItems;
  if (sizeOf(node) <= WHOLE || !Object.keys(node).every((key) => KNOWN.has(key))) return valid(node, value);
  if (node.anyOf) return node.type === undefined && node.anyOf.some((branch) => !ruledOut(branch, value) && fits(branch, value, valid));
  if (node.type === 'array' && node.items) {
    const { items, minItems = 0, maxItems = Infinity } = node;
    if (!Array.isArray(value) || value.length < minItems || value.length > maxItems) return false;
    // Also what is not there in the midst of a list.
    for (let i = 0; i < value.length; i += 1) if (!fits(items, value[i], valid)) return false;
    return true;
  }
  if (node.type !== 'object' || !node.properties || typeof node.additionalProperties === 'object') return valid(node, value);
  if (!isRecord(value)) return false;
  const { properties, required = [], additionalProperties = true } = node;
  if (required.some((key) => value[key] === undefined)) return false;
  for (const key in value) {
    const inner = Object.hasOwn(properties, key) ? properties[key] : undefined;
    if (inner ? value[key] !== undefined && !fits(inner, value[key], valid) : !additionalProperties) return false;
  }
  return true;
}
