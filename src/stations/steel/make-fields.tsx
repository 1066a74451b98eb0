'use client';
import { Fragment } from 'react';
import type { Make } from '@/core/document/schema';
import { Fold, Pair } from '@/ui/workings/fold';
import { SubjectMark } from '../shared/subject-mark';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

type Made = Make['made'];
const kinds = { section: 'a listed section', girder: 'three plates', plain: 'no section (truss, slab)' } as const;

/** Begun anew when it is made of another thing: nothing is said of that yet. Plates come with the girder lines that have them. */
const begun = (kind: Made['kind'], made: Made): Made => (kind === 'section' ? { kind, section: '' } : kind === 'plain' ? { kind, what: '' } : made);

/** What alike pieces are made of. */
export function MakeFields({ make }: { make: Make }) {
  const edit = useEdit('makes', make.id);
  const { open, figure, words, choice } = useInputs();
  const { made } = make;
  return (
    <Fold
      thing={make.id}
      title={`Make ${make.mark}`}
      note={made.kind === 'section' ? made.section : made.kind === 'girder' ? 'welded plates' : made.what}
      tools={<SubjectMark station="steel" about={{ kind: 'make', id: make.id }} />}
    >
      <Pair>
        {words('Mark', make.mark, (mark) => edit({ mark }, 'mark'))}
        {figure('Length', 'length', make.length, (length) => edit({ length }, 'length'))}
        {choice<Made['kind']>(
          'Made of',
          made.kind,
          (Object.keys(kinds) as Made['kind'][]).filter((kind) => kind !== 'girder' || made.kind === kind).map((kind) => [kind, kinds[kind]] as const),
          (kind) => edit({ made: begun(kind, made) }, 'made'),
        )}
        <MadeFields make={make} />
        {made.kind !== 'plain' && words('Grade', make.grade, (grade) => edit({ grade }, 'grade'))}
        {made.kind !== 'plain' &&
          open('Yield strength', 'stress', make.yield, (strength) => edit({ yield: strength }, 'yield'), { placeholder: 'by its grade' })}
        {open('Bare weight by drawing', 'mass', make.mass, (mass) => edit({ mass }, 'mass'))}
        {made.kind !== 'plain' &&
          choice<'yes' | 'no'>(
            'An open web steel joist',
            make.joist ? 'yes' : 'no',
            [
              ['no', 'no'],
              ['yes', 'yes: bridged by its span'],
            ],
            (answer) => edit({ joist: answer === 'yes' }, 'joist'),
          )}
        {make.joist &&
          words('Set another way, designed by', make.otherWayBy ?? '', (otherWayBy) => edit({ otherWayBy }, 'other way'), { placeholder: 'in tandem' })}
        {make.attachments.map((one) => (
          <Fragment key={one.id}>
            {figure(`${one.what} weigh`, 'mass', one.mass, (mass) =>
              edit({ attachments: make.attachments.map((other) => (other.id === one.id ? { ...other, mass } : other)) }, `attachment ${one.id}`),
            )}
          </Fragment>
        ))}
      </Pair>
    </Fold>
  );
}

function MadeFields({ make: { id, made } }: { make: Make }) {
  const edit = useEdit('makes', id);
  const { open, figure, words, section } = useInputs();
  switch (made.kind) {
    case 'section':
      return section('Section', made.section, (value) => edit({ made: { kind: 'section', section: value } }, 'section'));
    case 'girder': {
      const put = (changes: Partial<typeof made>, what: string) => edit({ made: { ...made, ...changes } }, what);
      const flange = (name: string, key: 'topFlange' | 'bottomFlange') => (
        <Fragment key={key}>
          {figure(`${name} flange, wide`, 'dimension', made[key].width, (width) => put({ [key]: { ...made[key], width } }, `${key} width`))}
          {figure(`${name} flange, thick`, 'dimension', made[key].thickness, (thickness) => put({ [key]: { ...made[key], thickness } }, `${key} thickness`))}
        </Fragment>
      );
      return (
        <>
          {figure('Web, deep', 'dimension', made.webDepth, (webDepth) => put({ webDepth }, 'web depth'))}
          {figure('Web, thick', 'dimension', made.web, (web) => put({ web }, 'web'))}
          {flange('Top', 'topFlange')}
          {flange('Bottom', 'bottomFlange')}
        </>
      );
    }
    case 'plain': {
      const put = (changes: Partial<typeof made>, what: string) => edit({ made: { ...made, ...changes } }, what);
      return (
        <>
          {words('What it is', made.what, (what) => put({ what }, 'what'))}
          {open('Deep, outside to outside', 'dimension', made.depth ?? null, (depth) => put({ depth }, 'depth'))}
          {open('Wide, outside to outside', 'dimension', made.width ?? null, (width) => put({ width }, 'width'))}
          {open('Balances, from its first end', 'length', made.balance ?? null, (balance) => put({ balance }, 'balance'))}
          {open('Chords together, area', 'area', made.chords ?? null, (chords) => put({ chords }, 'chords'), { placeholder: 'for a frame' })}
          {words('Checked as it hangs by', made.hangsBy ?? '', (hangsBy) => put({ hangsBy }, 'hangs'))}
          {words('Checked as it stands by', made.standsBy ?? '', (standsBy) => put({ standsBy }, 'stands'))}
        </>
      );
    }
  }
}
