'use client';
import type { Trace } from '@/core/calc/evidence';
import { registry } from '@/core/catalogue/registry';
import type { WorkLine } from '@/core/calc/work';
import { formatQuantity, type Quantity, type UnitSystem } from '@/core/units';

function show(result: Quantity | string, system: UnitSystem): string {
  return typeof result === 'string' ? result : formatQuantity(result.value, result.kind, system);
}

/** The working of each calculation behind a figure, line by line. */
export default function Traces({ traces, system, sources }: { traces: readonly Trace[]; system: UnitSystem; sources?: boolean }) {
  return traces.map((trace, i) => {
    const calc = registry.get(trace.calc);
    if (!calc) return null;
    return (
      <section key={i} className="mb-1.5" aria-label={calc.title}>
        <h4 className="sign text-[14px] text-gear">{calc.title}</h4>
        <WorkTable lines={calc.work(trace.input as never, trace.output as never)} system={system} />
        {sources && <p className="mt-1 text-[12.5px] text-soft">{calc.source.text}</p>}
      </section>
    );
  });
}

/** `x_h` is written with h below the line. */
function Formula({ text }: { text: string }) {
  const parts = text.split(/_([\p{L}\d]+)/u);
  return <span className="block text-soft italic">{parts.map((part, i) => (i % 2 === 1 ? <sub key={i}>{part}</sub> : part))}</span>;
}

function WorkTable({ lines, system }: { lines: WorkLine[]; system: UnitSystem }) {
  return (
    <table className="w-full text-[12.5px] leading-[1.3]">
      <tbody>
        {lines.map((line, i) => (
          <tr key={i} className="border-b border-dotted border-line align-baseline last:border-0">
            <td className="py-1 pr-2">
              {line.label}
              {line.formula && <Formula text={line.formula} />}
              {line.numbers && <span className="block">= {line.numbers.map((part) => show(part, system)).join('')}</span>}
            </td>
            <td className="py-1 text-right font-semibold whitespace-nowrap [&:has(span)]:whitespace-normal">
              {typeof line.result === 'string' ? <span className="block max-w-[130px] text-left font-normal">{line.result}</span> : show(line.result, system)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
