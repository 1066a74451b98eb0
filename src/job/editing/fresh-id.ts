/** A new id inside a plan. Works on plain http too, where crypto.randomUUID is not to be had. */
export function freshId(prefix: string): string {
  const bytes = crypto.getRandomValues(new Uint8Array(6));
  return prefix + [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}
