/** Brings a worker thread up while the first page is being asked for. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { inPool } = await import('./server/pool');
  void inPool('warm', null).catch((problem: unknown) => console.error(problem));
}
