'use client';
import { DateTime } from 'luxon';
import { PlainButton } from '@/ui/plain-button';
import { useJob } from '@/job/job-context';

/** An edit of an earlier visit that never reached the server: offered, and taken up only when the person says so. */
export function OfferBanner() {
  const offer = useJob((state) => state.offer);
  const revision = useJob((state) => state.revision);
  const answerOffer = useJob((state) => state.answerOffer);
  if (!offer) return null;
  const when = DateTime.fromISO(offer.at);
  return (
    <div role="alertdialog" aria-label="An edit was not saved" className="flex flex-wrap items-center gap-3 border-b-4 border-tight bg-[#fbf1df] px-4 py-2">
      <p className="min-w-0 flex-1">
        <strong>Changes made here{when.isValid ? ` on ${when.toFormat('d LLL yyyy, HH:mm')}` : ''} never reached the server.</strong> They were made on revision{' '}
        {offer.revision}
        {offer.revision === revision ? '.' : `; revision ${revision} has been saved since.`}
      </p>
      <PlainButton onClick={() => answerOffer(false)}>Throw them away</PlainButton>
      <PlainButton strong onClick={() => answerOffer(true)}>
        Take them up
      </PlainButton>
    </div>
  );
}
