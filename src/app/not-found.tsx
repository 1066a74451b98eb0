import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl px-6 py-20">
      <h1 className="text-[32px]">There is no such page here</h1>
      <p className="mt-2">
        The job may have been made on another machine.{' '}
        <Link href="/" className="underline">
          Back to the jobs.
        </Link>
      </p>
    </main>
  );
}
