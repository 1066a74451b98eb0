'use client';

interface Round {
  azimuthDeg: number;
  most: number | null;
}

const SIZE = 260;
const MIDDLE = SIZE / 2;
/** Of the middle to the edge, what the greatest takes up. */
const REACH = 92;

/** Load under a crane by the way its boom points, seen from above, front up: all round, on its way, and what may be. */
export function PolarLoad({
  round,
  way,
  limit,
  base,
  told,
}: {
  round: readonly Round[];
  way: readonly Round[];
  limit: number | null;
  base: { length: number; width: number };
  /** of what a ring stands for */ told: (value: number) => string;
}) {
  const known = [...round, ...way].flatMap(({ most }) => (most === null ? [] : [most]));
  const most = Math.max(...known, limit ?? 0, 1);
  const spot = (azimuthDeg: number, value: number): [number, number] => {
    const turn = (azimuthDeg * Math.PI) / 180;
    const out = (value / most) * REACH;
    return [MIDDLE - out * Math.sin(turn), MIDDLE - out * Math.cos(turn)];
  };
  const draw = (list: readonly Round[], closed: boolean): string => {
    let pen = 'M';
    const parts = list.map(({ azimuthDeg, most: value }) => {
      if (value === null) {
        pen = 'M';
        return '';
      }
      const [x, y] = spot(azimuthDeg, value);
      const part = `${pen}${x.toFixed(1)} ${y.toFixed(1)}`;
      pen = 'L';
      return part;
    });
    return parts.join('') + (closed && list.every(({ most: value }) => value !== null) ? 'Z' : '');
  };
  const worst = way.reduce<Round | null>((a, b) => (b.most !== null && (a === null || b.most > a.most!) ? b : a), null);
  const bad = worst !== null && limit !== null && worst.most! > limit;
  const scale = 30 / Math.max(base.length, base.width);
  const rings = [most / 2, most];
  return (
    <svg viewBox={`0 0 ${SIZE} ${SIZE}`} className="block h-[260px] w-full max-w-[300px]" aria-hidden>
      {rings.map((value) => (
        <circle key={value} cx={MIDDLE} cy={MIDDLE} r={(value / most) * REACH} fill="none" stroke="#d8d0bd" />
      ))}
      {(
        [
          ['front', MIDDLE, 16, 'middle'],
          ['rear', MIDDLE, SIZE - 8, 'middle'],
          ['left', 4, MIDDLE + 4, 'start'],
          ['right', SIZE - 4, MIDDLE + 4, 'end'],
        ] as const
      ).map(([word, x, y, anchor]) => (
        <text key={word} x={x} y={y} fontSize="12" fill="#5c6367" textAnchor={anchor}>
          {word}
        </text>
      ))}
      <rect
        x={MIDDLE - (base.width * scale) / 2}
        y={MIDDLE - (base.length * scale) / 2}
        width={base.width * scale}
        height={base.length * scale}
        fill="#e2dbcb"
        stroke="#5c6367"
      />
      {limit !== null && <circle cx={MIDDLE} cy={MIDDLE} r={(limit / most) * REACH} fill="none" stroke="#22282c" strokeWidth="2" strokeDasharray="6 3" />}
      <path d={draw(round, true)} fill="none" stroke="#7d8f99" strokeWidth="1.5" />
      <path d={draw(way, false)} fill="none" stroke="#3d5a6c" strokeWidth="4" strokeLinejoin="round" />
      {round
        .filter(({ most: value }) => value === null)
        .map(({ azimuthDeg }) => {
          const [x, y] = spot(azimuthDeg, most);
          return <circle key={azimuthDeg} cx={x} cy={y} r="3" fill="#b3261e" />;
        })}
      {rings.map((value) => (
        <text
          key={value}
          x={MIDDLE + 3}
          y={MIDDLE + (value / most) * REACH - 4}
          fontSize="11"
          fill="#5c6367"
          stroke="#fbf9f4"
          strokeWidth="3"
          paintOrder="stroke"
        >
          {told(value)}
        </text>
      ))}
      {worst && (
        <circle
          cx={spot(worst.azimuthDeg, worst.most!)[0]}
          cy={spot(worst.azimuthDeg, worst.most!)[1]}
          r="5"
          fill={bad ? '#b3261e' : '#22282c'}
          stroke="#fbf9f4"
        />
      )}
    </svg>
  );
}
