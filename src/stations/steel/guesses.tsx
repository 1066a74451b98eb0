'use client';

/** So many of a list are shown; all of them are taken or refused together. */
export const SHOWN = 300;

/** What was found, each with its reason and a tick. */
export function Guesses({
  label,
  list,
  refused,
  onRefused,
}: {
  label: string;
  list: readonly { text: string; why: string }[];
  refused: ReadonlySet<number>;
  onRefused: (next: ReadonlySet<number>) => void;
}) {
  if (list.length === 0) return null;
  const all = refused.size === 0;
  return (
    <fieldset className="border border-line bg-white px-2 py-1 text-[13px]">
      <legend className="px-1 text-soft">
        {label}, {list.length - refused.size} of {list.length} taken{' '}
        <button type="button" className="underline" onClick={() => onRefused(all ? new Set(list.keys()) : new Set())}>
          {all ? 'take none' : 'take all'}
        </button>
      </legend>
      <ul className="max-h-[180px] overflow-auto">
        {list.slice(0, SHOWN).map(({ text, why }, i) => (
          <li key={i}>
            <label className="flex min-h-[27px] items-baseline gap-2 py-0.5">
              <input
                type="checkbox"
                checked={!refused.has(i)}
                onChange={(event) => {
                  const next = new Set(refused);
                  if (event.target.checked) next.delete(i);
                  else next.add(i);
                  onRefused(next);
                }}
              />
              <span>
                <b className="font-semibold">{text}</b> <span className="text-soft">{why}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {list.length > SHOWN && <p className="text-soft">and {list.length - SHOWN} more, taken as they are</p>}
    </fieldset>
  );
}
