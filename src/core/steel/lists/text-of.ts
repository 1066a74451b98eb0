/**
 * Bytes of a text file as other programs write them: UTF-8 with or without its mark, UTF-16 with its mark (a spreadsheet’s
 * “Unicode text”), and otherwise the Windows code page of western Europe, which reads every byte.
 */
export function textOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** What a file is by its first bytes, when that is no text. */
export function notATable(bytes: Uint8Array): string | null {
  const begins = (...first: number[]) => first.every((byte, i) => bytes[i] === byte);
  if (begins(0x50, 0x4b, 3, 4) || begins(0xd0, 0xcf, 0x11, 0xe0)) return 'It is a workbook, not text: save it as CSV, or copy its cells and paste them here.';
  if (begins(0x25, 0x50, 0x44, 0x46)) return 'It is a PDF: the list it was printed from is wanted, as CSV or as cells.';
  return null;
}
