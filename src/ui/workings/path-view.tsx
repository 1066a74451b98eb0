import type { PathBox, PathPicture } from '@/core/view/path-picture';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { VerdictMark, verdictWord } from '../verdict/verdict-mark';

const WIDTH = 322;
const ROW = 66;
const TALL = 44;

/** The path to ground, drawn: loads run down the lines into boxes, to the hatched ground. */
export function PathView({ picture, system }: { picture: PathPicture; system: UnitSystem }) {
  const inRow = (row: number) => picture.boxes.filter((box) => box.row === row).length;
  const wide = (box: PathBox) => WIDTH / inRow(box.row) - 6;
  const left = (box: PathBox) => (box.column * WIDTH) / inRow(box.row) + 3;
  const middle = (box: PathBox) => left(box) + wide(box) / 2;
  const boxes = new Map(picture.boxes.map((box) => [box.id, box]));
  const height = picture.rows * ROW;
  return (
    <div className="relative mb-2" style={{ height, width: WIDTH }} role="group" aria-label="Path to ground, drawn">
      <svg width={WIDTH} height={height} className="absolute inset-0" aria-hidden>
        {picture.lines.map((line) => {
          const [from, to] = [boxes.get(line.from), boxes.get(line.to)];
          if (!from || !to) return null;
          const [x1, y1, x2, y2] = [middle(from), from.row * ROW + TALL, middle(to), to.row * ROW];
          return (
            <g key={`${line.from} ${line.to}`} stroke="var(--color-gear)" fill="var(--color-gear)">
              <line x1={x1} y1={y1} x2={x2} y2={y2 - 4} strokeWidth={1 + 2 * line.share} />
              <path d={`M${x2 - 4} ${y2 - 6}L${x2 + 4} ${y2 - 6}L${x2} ${y2}z`} stroke="none" />
              {line.share < 0.9995 && (
                <text x={(x1 + x2) / 2 + 5} y={(y1 + y2) / 2 + 4} fontSize="11" stroke="none" fill="var(--color-ink)">
                  {Math.round(line.share * 100)} %
                </text>
              )}
            </g>
          );
        })}
        {picture.boxes
          .filter((box) => box.ground)
          .map((box) => (
            <g key={box.id} stroke="var(--color-ink)">
              <line x1={left(box)} x2={left(box) + wide(box)} y1={box.row * ROW + TALL + 2} y2={box.row * ROW + TALL + 2} strokeWidth="2" />
              {Array.from({ length: Math.floor(wide(box) / 9) }, (_, i) => (
                <line key={i} x1={left(box) + 9 * i + 8} x2={left(box) + 9 * i + 2} y1={box.row * ROW + TALL + 3} y2={box.row * ROW + TALL + 9} />
              ))}
            </g>
          ))}
      </svg>
      {picture.boxes.map((box) => (
        <div
          key={box.id}
          data-path={box.name}
          className={`absolute flex flex-col justify-center overflow-hidden border px-1.5 leading-[1.15] ${box.verdict === 'stop' ? 'border-stop bg-stop text-white' : box.verdict === 'missing' ? 'border-dashed border-missing bg-white' : 'border-ink bg-white'}`}
          style={{ left: left(box), width: wide(box), top: box.row * ROW, height: TALL }}
          title={`${box.name}${box.verdict ? `: ${verdictWord[box.verdict]}` : ''}`}
        >
          <span className="truncate text-[12.5px]">{box.name}</span>
          <span className="flex items-center gap-1 text-[13px] font-semibold whitespace-nowrap">
            {box.verdict && <VerdictMark verdict={box.verdict} size={12} />}
            {box.load !== null && formatQuantity(box.load, 'force', system)}
          </span>
        </div>
      ))}
    </div>
  );
}
