/** What an edit is made and checked with: read once the page stands, before the first edit. */
export { openPlan } from '@/core/document/open';
export { perform, redo, undo } from '@/core/edit/perform';
