import { resolve } from 'node:path';
import { Font } from '@react-pdf/renderer';

/** DejaVu has every glyph the workings need (≤ ≥ ² ⁴ √ → − × Δ σ φ); a missing glyph would be replaced in silence. */
export const SHEET_FONT = 'DejaVu Sans Condensed';

let registered = false;

export function registerFonts(): void {
  if (registered) return;
  const file = (name: string) => resolve(process.cwd(), 'node_modules/dejavu-fonts-ttf/ttf', name);
  Font.register({ family: SHEET_FONT, fonts: [{ src: file('DejaVuSansCondensed.ttf') }, { src: file('DejaVuSansCondensed-Bold.ttf'), fontWeight: 700 }] });
  Font.registerHyphenationCallback((word) => [word]);
  registered = true;
}
