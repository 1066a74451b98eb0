import { createHash } from 'node:crypto';
import { canonicalJson } from '@/core/document/canonical';

export const sha256 = (value: unknown): string => createHash('sha256').update(canonicalJson(value)).digest('hex');
