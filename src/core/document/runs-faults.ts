import type { Fault } from '../calc/schema';
import type { Plan } from './schema';

/** What runs backwards, or past the end of the thing it is on. */
export function runsFaults(plan: Plan): Fault[] {
  return [...shoringFaults(plan), ...memberFaults(plan), ...pieceFaults(plan), ...structureFaults(plan)];
}

function shoringFaults({ shoring }: Plan): Fault[] {
  return [
    ...shoring.lines.flatMap((line, n) =>
      line.walls.flatMap((one, i) =>
        one.gaps.flatMap(({ from, to }, j) =>
          to < from
            ? [
                {
                  path: `shoring.lines[${n}].walls[${i}].gaps[${j}].to`,
                  error: `${one.name}: the gap runs from joist ${from} to ${to}: make “to” no less than “from”.`,
                },
              ]
            : [],
        ),
      ),
    ),
    ...shoring.bents.flatMap((one, i) =>
      [...one.posts.map((at, j) => ({ at, path: `posts[${j}]` })), ...one.loads.map(({ at }, j) => ({ at, path: `loads[${j}].at` }))].flatMap(({ at, path }) =>
        at > one.header.length
          ? [
              {
                path: `shoring.bents[${i}].${path}`,
                error: `${one.name}: ${at} m is past the header of ${one.header.length} m: keep it on the header.`,
              },
            ]
          : [],
      ),
    ),
  ];
}

function memberFaults({ members }: Plan): Fault[] {
  return members.flatMap(({ make, mark }, i) =>
    make.kind === 'parts'
      ? make.parts.flatMap(({ from, to, what }, j) =>
          to < from
            ? [
                {
                  path: `members[${i}].make.parts[${j}].to`,
                  error: `${what || 'A part'} of ${mark} runs from ${from} m to ${to} m: make “to” no less than “from”.`,
                },
              ]
            : [],
        )
      : [],
  );
}

function pieceFaults({ pieces }: Plan): Fault[] {
  return pieces.flatMap((piece, i) => [
    ...piece.packing.flatMap((one, j): Fault[] => {
      const path = `pieces[${i}].packing[${j}]`;
      if (!(one.to > one.from)) return [{ path: `${path}.to`, error: `Packing “${one.what}” runs from ${one.from} m to ${one.to} m: make “to” the larger.` }];
      if (one.from < 0 || one.to > piece.length + 1e-9)
        return [
          {
            path: `${path}.${one.from < 0 ? 'from' : 'to'}`,
            error: `Packing “${one.what}” from ${one.from} m to ${one.to} m is past the end of ${piece.mark}, ${piece.length} m long: keep it on the piece.`,
          },
        ];
      return [];
    }),
    ...piece.attachments.flatMap((one, j): Fault[] =>
      one.at < 0 || one.at > piece.length + 1e-9
        ? [
            {
              path: `pieces[${i}].attachments[${j}].at`,
              error: `“${one.what}” at ${one.at} m is past the end of ${piece.mark}, ${piece.length} m long: keep it on the piece.`,
            },
          ]
        : [],
    ),
  ]);
}

function structureFaults({ structure }: Plan): Fault[] {
  const faults: Fault[] = [];
  const makes = new Map(structure.makes.map((one) => [one.id, one]));
  const lengths = new Map(structure.pieces.map((one) => [one.id, makes.get(one.make)?.length ?? Infinity]));
  const onPiece = (one: { piece: string; at: number }, path: string) => {
    const length = lengths.get(one.piece) ?? Infinity;
    if (one.at > length + 0.05) faults.push({ path: `${path}.at`, error: `${one.at} m is past the end of the piece, ${length} m long: keep it on the piece.` });
  };
  structure.makes.forEach((one, i) =>
    one.attachments.forEach(({ at, what }, j) => {
      if (at > one.length)
        faults.push({
          path: `structure.makes[${i}].attachments[${j}].at`,
          error: `“${what}” at ${at} m is past the end of ${one.mark}, ${one.length} m long: keep it on the piece.`,
        });
    }),
  );
  structure.supports.forEach((one, i) => {
    one.seats.forEach((seat, j) => onPiece(seat, `structure.supports[${i}].seats[${j}]`));
  });
  structure.joints.forEach((one, i) => {
    onPiece(one.a, `structure.joints[${i}].a`);
    onPiece(one.b, `structure.joints[${i}].b`);
    if (one.a.piece === one.b.piece)
      faults.push({ path: `structure.joints[${i}].b.piece`, error: `${one.name}: a piece is joined to itself. Name two pieces.` });
  });
  structure.loads.forEach((one, i) => onPiece(one, `structure.loads[${i}]`));
  structure.braces.forEach((one, i) => {
    onPiece(one.a, `structure.braces[${i}].a`);
    if (one.b !== null) onPiece(one.b, `structure.braces[${i}].b`);
  });
  return faults;
}
