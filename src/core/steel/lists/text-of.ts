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
