/** Each station is read when it is first opened; the run sheet, where a job opens, comes with the page. */
export const stations = {
  measure: () => import('./measure'),
  steel: () => import('./steel'),
  wayIn: () => import('./way-in'),
  shores: () => import('./shores'),
  gear: () => import('./gear'),
  picks: () => import('./picks'),
  list: () => import('./piece-list'),
};
/** Each dialog, the same. */
export const dialogs = {
  rules: () => import('./rules-dialog'),
  revisions: () => import('./revisions-dialog'),
  keys: () => import('./keys-dialog'),
  offer: () => import('./offer-banner'),
  palette: () => import('./command-palette'),
};
/** Read ahead with the stations and the dialogs: what a press on a check wants. */
export const others = [() => import('./check-fields'), () => import('./go-to'), () => import('@/ui/workings/traces'), () => import('./structure-move-fields')];
