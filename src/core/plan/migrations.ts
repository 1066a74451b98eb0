/** migrations[n] brings a plan of version n to version n + 1. Version 1 is the first released: nothing to bring forward yet. */
export const migrations: Record<number, (plan: unknown) => unknown> = {};
