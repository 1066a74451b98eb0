/** Writes what is derived from data/ and from the types: the section tables the core reads, schema/, docs/calculations.md. Run after either changes. */
import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { readSectionTables } from './lib/section-tables';
import { calculationsPage } from './lib/calculations-page';
import { planSchema } from '../src/core/document/schema';

const root = resolve(import.meta.dirname, '..');
const csv = (name: string) => readFileSync(resolve(root, 'data', name), 'utf8');

const sections = readSectionTables(csv('sections-us.csv'), csv('sections-eu.csv'));
const rows = sections.map((row) => '  ' + JSON.stringify(row)).join(',\n');
writeFileSync(resolve(root, 'src/core/steel/sections.json'), `[\n${rows}\n]\n`);
writeFileSync(resolve(root, 'schema/plan.schema.json'), JSON.stringify(planSchema, null, 2) + '\n');
writeFileSync(resolve(root, 'docs/calculations.md'), calculationsPage());
