import type { Member } from './schema';

/** What a member is made of, in a word for a list. */
export function madeOf({ make }: Member): string {
  switch (make.kind) {
    case 'section':
      return make.section;
    case 'girder':
      return 'plate girder';
    case 'plain':
    case 'parts':
      return make.what;
  }
}
