import type { Bent, ShoreRow, ShoreWall, ShoredLine, StockLine, Storey, StrikeStep, Watch } from '../schema';
import { asked, goes, none, onLinks, type Thing } from './thing';

export const shoredLines: Thing<ShoredLine> = {
  word: 'shored line',
  refs: ({ opening }) => asked<ShoredLine>('opening', opening, 'opening', (thing) => (thing.opening = null)),
};
export const storeys: Thing<Storey> = { word: 'storey', refs: none };
// What stands in a storey goes with it, and so do the steps that strike what is gone.
export const shoreWalls: Thing<ShoreWall> = { word: 'temporary wall', refs: (one) => [goes('storey', one.storey, 'storey'), ...onLinks(one)] };
export const shoreRows: Thing<ShoreRow> = { word: 'row of props', refs: (one) => [goes('storey', one.storey, 'storey'), ...onLinks(one)] };
export const strike: Thing<StrikeStep> = { word: 'step of the strike', refs: ({ shore }) => [goes('shore', shore, 'shore')] };
export const watch: Thing<Watch> = { word: 'reading', refs: none };
export const bents: Thing<Bent> = { word: 'bent', refs: (one) => onLinks(one) };
export const stock: Thing<StockLine> = { word: 'line of the stock', refs: none };
