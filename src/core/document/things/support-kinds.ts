export const supportKinds = ['bearing', 'pocket', 'post', 'bent', 'anchors', 'jack', 'roller', 'prop', 'block', 'deck'] as const;
/** Those that stand for a time only. */
export const temporarySupports: readonly (typeof supportKinds)[number][] = ['bent', 'jack', 'prop', 'block', 'roller'];
