/** Each station is read when it is first opened; the run sheet, where a job opens, comes with the page. */
export const stations = {
  measure: () => import('../measure/index'),
  steel: () => import('../steel/index'),
  wayIn: () => import('../way-in/index'),
  shores: () => import('../shores/index'),
  gear: () => import('../gear/index'),
  picks: () => import('../picks/index'),
  list: () => import('../steel/piece-list'),
};
/** Each dialog, the same. */
export const dialogs = {
  rules: () => import('./rules-dialog'),
  revisions: () => import('./revisions-dialog'),
  keys: () => import('./keys-dialog'),
  offer: () => import('./offer-banner'),
  conflict: () => import('./conflict-banner'),
  palette: () => import('./command-palette'),
};
/** Read ahead with the stations and the dialogs: what a press on a check wants. */
export const others = [
  () => import('@/job/view/check-fields'),
  () => import('@/job/view/go-to'),
  () => import('@/ui/workings/traces'),
  () => import('@/ui/fields/date-field'),
  () => import('../run-sheet/structure-move-fields'),
];
