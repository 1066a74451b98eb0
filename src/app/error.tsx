'use client';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-xl px-6 py-20">
      <h1 className="text-[32px]">Something broke on this page</h1>
      <p className="mt-2">What was saved is safe. If it happens again, check that the database runs: npm run db status.</p>
      <button type="button" onClick={reset} className="sign mt-4 border-2 border-ink px-4 py-1.5 text-[16px]">
        Try again
      </button>
    </main>
  );
}
