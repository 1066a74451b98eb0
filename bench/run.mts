/**
 * npm run bench: the core against a yardstick of plain arithmetic done in the same run, then what a person waits for, in
 * Chromium against the built app.
 */
import { browser } from './browser.mts';
import { core } from './core.mts';

core();
await browser();
