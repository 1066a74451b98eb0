/** Header that names a download, safe for any job name (RFC 6266). */
export function attachment(name: string): Record<string, string> {
  const plain = name.replace(/[^\w .,()-]+/g, '_');
  return { 'Content-Disposition': `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name)}` };
}
