/** Numbers in a list such as “3, 7”; anything else is dropped. */
export const numbersIn = (text: string): number[] => [...new Set((text.match(/\d+/g) ?? []).map(Number).filter((n) => n >= 1))].sort((a, b) => a - b);
