'use client';
import { Fragment, useState } from 'react';
import { later } from '@/ui/later';
import { Forklift, MapPinned, Plus } from 'lucide-react';
import { chartsOf, counterweightOf } from '@/core/settle/duties';
import type { Assembly } from '@/core/document/things/assembly';
import type { Tower } from '@/core/document/things/tower';
import { newAssembly } from '@/core/document/new-assembly';
import { MastHolds } from './mast-holds';
import { newTower } from '@/core/document/new-tower';
import type { Fault } from '@/core/calc/schema';
import { saidOf } from '@/core/document/things/unsaid';
import { markLifted, standsOfPick } from '@/core/document/lookups';
import { unknownCrane } from '@/core/document/new-plan';
import type { Crane, Stand } from '@/core/document/schema';
import { again } from '@/ui/again';
import { ChartFields } from './chart-fields';
import { Fold } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, usePlan } from '@/job/job-context';
import { Group, Panel } from '../shared/panel';
import { SiteFields } from './site-fields';
import { CostFields } from './cost-fields';
import { inspectedOf, YardFields } from './yard-fields';
import { TakeGearDialog } from './take-gear-dialog';
import { ThingTools } from '../shared/thing-tools';
import { same, useInputs } from '@/job/editing/use-inputs';

/** Read when it is opened. */
const StandMapDialog = later(() => again(() => import('./stand-map-dialog')).then((part) => part.StandMapDialog));

/** The cranes, their charts, where they stand, and what is in their way. */
export function GearStation() {
  const plan = usePlan();
  const { cranes, stands } = plan;
  if (cranes.length === 0)
    return (
      <Panel title="Gear" about="No crane in this job: lifted by hand or by lifts" station="gear">
        <NewGear key="new" />
        <YardFields />
        <CostFields />
        <SiteFields />
      </Panel>
    );
  const [crane, ...more] = cranes;
  const [stand, ...places] = stands;
  if (crane && stand && more.length + places.length === 0)
    return (
      <Panel title={`Gear · ${crane.name}`} about={`At ${stand.name}; drag it on the plan`} station="gear">
        <StandFields stand={stand} />
        <ChartFields crane={crane} />
        <CraneFields crane={crane} />
        <NewGear key="new" />
        <YardFields />
        <CostFields />
        <SiteFields />
      </Panel>
    );
  return (
    <Panel
      title="Gear"
      about={`${cranes.length === 1 ? 'One crane' : `${cranes.length} cranes`} at ${stands.length} stands; drag them on the plan`}
      station="gear"
    >
      <div className="border-b border-line">
        {stands.map((one) => (
          <Fold
            key={one.id}
            thing={one.id}
            title={one.name || 'Stand'}
            note={cranes.find(({ id }) => id === one.crane)?.name}
            tools={<ThingTools station="gear" list="stands" thing={one} needed={plan.picks.some((pick) => standsOfPick(pick).includes(one.id))} />}
          >
            <div className="pb-3">
              <StandFields stand={one} />
            </div>
          </Fold>
        ))}
        {cranes.map((one) => (
          <Fold
            key={one.id}
            thing={one.id}
            title={one.name || 'Crane'}
            note={one.chart ? one.chartSource : 'no chart yet'}
            tools={<ThingTools station="gear" list="cranes" thing={one} needed={stands.some(({ crane: of }) => of === one.id)} />}
          >
            <div className="space-y-4 pb-3">
              <ChartFields crane={one} />
              <CraneFields crane={one} />
            </div>
          </Fold>
        ))}
      </div>
      <NewGear key="new" />
      <YardFields />
      <CostFields />
      <SiteFields />
    </Panel>
  );
}

/** Another stand of a crane, another crane. What a new one measures is asked. */
function NewGear() {
  const plan = usePlan();
  const act = useAct();
  const [mapped, setMapped] = useState<string | null>(null);
  const [taking, setTaking] = useState(false);
  const onMap = plan.cranes.find(({ id }) => id === mapped);
  const addCrane = () => act('addTo', { list: 'cranes', thing: { ...unknownCrane(), id: freshId('c'), name: `Crane ${plan.cranes.length + 1}` } });
  const addStand = (crane: Crane) =>
    act('addTo', {
      list: 'stands',
      thing: {
        id: freshId('s'),
        unsaid: ['at', 'azimuthDeg'],
        name: `Stand ${plan.stands.length + 1}`,
        crane: crane.id,
        at: { x: (plan.stands[plan.stands.length - 1]?.at.x ?? 0) + 8, y: plan.stands[plan.stands.length - 1]?.at.y ?? -8 },
        azimuthDeg: 0,
        padArea: null,
        groundAllowable: null,
      },
    });
  return (
    <div className="flex flex-wrap gap-1.5">
      {plan.cranes.map((crane) => (
        <SmallButton key={crane.id} onClick={() => addStand(crane)}>
          <Plus size={13} aria-hidden /> Another stand of {crane.name}
        </SmallButton>
      ))}
      {plan.cranes
        .filter((crane) => plan.stands.some((one) => one.crane === crane.id) && plan.picks.length > 0)
        .map((crane) => (
          <SmallButton key={`map ${crane.id}`} onClick={() => setMapped(crane.id)}>
            <MapPinned size={13} aria-hidden /> Where may {crane.name} stand?
          </SmallButton>
        ))}
      {onMap && <StandMapDialog crane={onMap} onClose={() => setMapped(null)} />}
      <SmallButton onClick={addCrane}>
        <Plus size={13} aria-hidden /> {plan.cranes.length === 0 ? 'A crane' : 'Another crane'}
      </SmallButton>
      <SmallButton onClick={() => setTaking(true)}>
        <Forklift size={13} aria-hidden /> Models, gear of other jobs
      </SmallButton>
      <TakeGearDialog open={taking} onOpenChange={setTaking} />
    </div>
  );
}

/** The booms of more picks than this stand with the picks alone. */
const FEW = 4;

function StandFields({ stand }: { stand: Stand }) {
  const plan = usePlan();
  const act = useAct();
  const { open, figure, choice } = useInputs();
  const picks = plan.picks.filter((one) => one.stand === stand.id);
  const edit = (changes: Partial<Omit<Stand, 'id'>>, field: string) => act('editStand', { id: stand.id, changes }, field);
  const base = (changes: { length?: number | null; width?: number | null }) => {
    const next = { length: stand.base?.length ?? null, width: stand.base?.width ?? null, ...changes };
    return edit({ base: next.length === null && next.width === null ? null : next }, 'base');
  };
  const waits = { boom: null, bearingDeg: null, radius: null, ...stand.waits };
  const wait = (changes: Partial<typeof waits>) => {
    const next = { ...waits, ...changes };
    const said = [next.bearingDeg, next.radius, next.boom].some((one) => one !== null);
    return edit({ waits: said ? next : null }, 'waits');
  };
  const asCrane = { placeholder: 'as the crane' };
  const own = plan.cranes.find(({ id }) => id === stand.crane);
  const tracks = own?.tracks != null;
  const mast = own?.tower != null;
  return (
    <Group title={`Stand ${stand.name}`}>
      {figure('East', 'length', saidOf(stand, 'at', stand.at.x), (x) => edit({ at: { ...stand.at, x } }, 'stand x'))}
      {figure('North', 'length', saidOf(stand, 'at', stand.at.y), (y) => edit({ at: { ...stand.at, y } }, 'stand y'))}
      {plan.cranes.length > 1 &&
        choice(
          'Crane here',
          stand.crane,
          plan.cranes.map(({ id, name }) => [id, name] as const),
          (crane) => edit({ crane }, 'crane'),
        )}
      {figure('Front turned from east', 'angle', saidOf(stand, 'azimuthDeg', stand.azimuthDeg), (azimuthDeg) => edit({ azimuthDeg }, 'stand turn'))}
      {picks.length <= FEW &&
        picks.map((pick) => (
          <Fragment key={pick.id}>
            {figure(
              picks.length > 1 ? `${mast ? 'Jib' : 'Boom'} for ${markLifted(plan, pick)}` : mast ? 'Jib' : 'Boom',
              'length',
              saidOf(pick, 'boom', pick.boom),
              (boom) => act('editPick', { id: pick.id, changes: { boom } }, `boom ${pick.id}`),
            )}
          </Fragment>
        ))}
      {!tracks && !mast && open('Mat under each outrigger', 'floorArea', stand.padArea, (padArea) => edit({ padArea }, 'pad'))}
      {!mast && open('Ground may take', 'pressure', stand.groundAllowable, (groundAllowable) => edit({ groundAllowable }, 'ground'))}
      {!mast && (
        <>
          {open(
            tracks ? 'Tracks here, front to rear' : 'Outriggers here, front to rear',
            'length',
            stand.base?.length ?? null,
            (length) => base({ length }),
            asCrane,
          )}
          {open(
            tracks ? 'Tracks here, side to side' : 'Outriggers here, side to side',
            'length',
            stand.base?.width ?? null,
            (width) => base({ width }),
            asCrane,
          )}
        </>
      )}
      {open('Counterweight on it here', 'mass', stand.counterweight ?? null, (counterweight) => edit({ counterweight }, 'counterweight'), asCrane)}
      {open('Parts of line', 'count', stand.falls ?? null, (falls) => edit({ falls: falls === null ? null : Math.max(1, Math.round(falls)) }, 'falls'), {
        placeholder: 'not said',
      })}
      {!mast &&
        open(
          tracks ? 'Worst track settles under load' : 'Worst mat settles under load',
          'dimension',
          stand.settles ?? null,
          (settles) => edit({ settles }, 'settles'),
          {
            placeholder: 'as the rules',
          },
        )}
      {plan.cranes.length > 1 && (
        <>
          {!mast && open('Waits with boom, from east', 'angle', waits.bearingDeg, (bearingDeg) => wait({ bearingDeg }))}
          {!mast && open('Waits with boom out by', 'length', waits.radius, (radius) => wait({ radius }))}
          {!mast && open('Waits with boom as long as', 'length', waits.boom, (boom) => wait({ boom }), { placeholder: 'as it lifts here' })}
          {mast && open('Waits with jib, from east', 'angle', waits.bearingDeg, (bearingDeg) => wait({ bearingDeg }))}
          {mast && open('Waits with jib as long as', 'length', waits.boom, (boom) => wait({ boom }), { placeholder: 'as it lifts here' })}
        </>
      )}
      {own?.assembled && <AssemblyFields stand={stand} />}
    </Group>
  );
}

/** How the boom is put together at a stand. */
function AssemblyFields({ stand }: { stand: Stand }) {
  const act = useAct();
  const { open, words } = useInputs();
  const said = stand.assembly ?? newAssembly();
  const edit = (changes: Partial<Assembly>) =>
    act('editStand', { id: stand.id, changes: { assembly: { ...said, ...changes } } }, `assembly ${Object.keys(changes).join()}`);
  return (
    <>
      {open('Boom lies out, from east', 'angle', said.towardsDeg, (towardsDeg) => edit({ towardsDeg }))}
      {words('Put together under', said.director, (director) => edit({ director }), { placeholder: 'nobody yet' })}
      {words('Boom held, pins out, by', said.held, (held) => edit({ held }), { placeholder: 'not said' })}
    </>
  );
}

function CraneFields({ crane }: { crane: Crane }) {
  const plan = usePlan();
  const act = useAct();
  const { date, open, figure, words, choice } = useInputs();
  // Which part is the counterweight matters once a chart or a stand says one.
  const counted =
    counterweightOf(crane) !== null ||
    chartsOf(plan, crane).some(({ chartCounterweight = null }) => chartCounterweight !== null) ||
    plan.stands.some((one) => one.crane === crane.id && (one.counterweight ?? null) !== null);
  const edit = (changes: Partial<Omit<Crane, 'id'>>, field: string) => act('editCrane', { id: crane.id, changes }, `${crane.id} ${field}`);
  const cab = (changes: Partial<NonNullable<Crane['cab']>>) => {
    const next = { ahead: null, left: null, height: null, ...crane.cab, ...changes };
    return edit({ cab: Object.values(next).every((one) => one === null) ? null : next }, `cab ${Object.keys(changes).join()}`);
  };
  const gives = (changes: Partial<NonNullable<Crane['gives']>>) => {
    const next = { bend: null, level: null, ...crane.gives, ...changes };
    return edit({ gives: next.bend === null && next.level === null ? null : next }, 'gives');
  };
  const tower = crane.tower ?? null;
  const length = (label: string, key: 'pivotBack' | 'pivotHeight' | 'boomDepth' | 'boomWidth' | 'hookDrop' | 'baseLength' | 'baseWidth' | 'tailRadius') =>
    figure(label, 'length', saidOf(crane, key, crane[key]), (value) => edit({ [key]: value }, key));
  const part = (index: number, mass: number) => edit({ parts: crane.parts.map((one, i) => (i === index ? { ...one, mass } : one)) }, `part ${index}`);
  return (
    <>
      <Group title="The crane">
        {words('Name', crane.name, (name) => edit({ name }, 'name'))}
        {open('Hook block weighs', 'mass', crane.hookBlockMass, (hookBlockMass) => edit({ hookBlockMass }, 'block'))}
        {choice<'outriggers' | 'tracks' | 'mast'>(
          'Stands on',
          tower ? 'mast' : crane.tracks ? 'tracks' : 'outriggers',
          [
            ['outriggers', 'outriggers'],
            ['tracks', 'two crawler tracks'],
            ['mast', 'a mast, its jib level'],
          ],
          (feet) =>
            edit(
              { tracks: feet === 'tracks' ? { shoe: null } : null, tower: feet === 'mast' ? newTower() : null, ...(feet === 'mast' ? { pivotBack: 0 } : {}) },
              'tracks',
            ),
        )}
        {!tower &&
          choice<'open' | 'whole' | 'put together'>(
            'Its boom',
            crane.assembled == null ? 'open' : crane.assembled ? 'put together' : 'whole',
            [
              ['open', 'not said'],
              ['whole', 'comes whole'],
              ['put together', 'is put together on site'],
            ],
            (said) => edit({ assembled: said === 'open' ? null : said === 'put together' }, 'assembled'),
          )}
        {length(tower ? 'Jib to hook, block up' : 'Boom tip to hook, block up', 'hookDrop')}
        {!tower && length('Foot pin behind slew centre', 'pivotBack')}
        {length(tower ? 'Jib above ground' : 'Foot pin above ground', 'pivotHeight')}
        {length(tower ? 'Jib depth' : 'Boom depth', 'boomDepth')}
        {length(tower ? 'Jib width' : 'Boom width', 'boomWidth')}
        {length(tower ? 'Counter-jib reaches' : 'Tail swing radius', 'tailRadius')}
        {length(tower ? 'Foot of the mast, one way' : crane.tracks ? 'Tracks, length on the ground' : 'Outriggers, front to rear', 'baseLength')}
        {length(tower ? 'Foot of the mast, other way' : crane.tracks ? 'Tracks, centre to centre' : 'Outriggers, side to side', 'baseWidth')}
        {crane.tracks && open('Width of one track', 'length', crane.tracks.shoe, (shoe) => edit({ tracks: { shoe } }, 'shoe'))}
        {open('Operator’s eyes above ground', 'length', crane.cab?.height ?? null, (height) => cab({ height }), { placeholder: 'not said' })}
        {open('Eyes ahead of slew centre', 'length', crane.cab?.ahead ?? null, (ahead) => cab({ ahead }), { placeholder: 'not said' })}
        {open('Eyes left of the boom', 'length', crane.cab?.left ?? null, (left) => cab({ left }), { placeholder: 'not said' })}
        {words('This crane operated by', crane.operator ?? '', (operator) => edit({ operator }, 'operator'), { placeholder: 'the operator of the job' })}
        {words('Crane inspected by', crane.inspected?.by ?? '', (by) => edit({ inspected: inspectedOf(crane.inspected, { by }) }, 'inspected by'), {
          placeholder: 'nobody yet',
        })}
        {date('Crane inspected on', crane.inspected?.on ?? '', (on) => edit({ inspected: inspectedOf(crane.inspected, { on }) }, 'inspected on'))}
        {open('One part of line may carry', 'mass', crane.linePull ?? null, (linePull) => edit({ linePull }, 'line pull'), { placeholder: 'not said' })}
        {!tower && open('Boom bends out by', 'fraction', crane.gives?.bend ?? null, (bend) => gives({ bend }), { placeholder: 'as the rules' })}
        {!tower && open('May stand out of level', 'fraction', crane.gives?.level ?? null, (level) => gives({ level }), { placeholder: 'as the rules' })}
      </Group>
      {tower && <TowerFields tower={tower} onTower={(changes, field) => edit({ tower: { ...tower, ...changes } }, `tower ${field}`)} />}
      {!tower && (
        <Group title="What its parts weigh, and where from the slew centre">
          {crane.parts.map((one, i) => (
            <Fragment key={`${i} ${one.what}`}>
              {figure(`${one.what} weighs`, 'mass', one.mass, (mass) => part(i, mass))}
              <PartPlace part={one} onPart={(next) => edit({ parts: crane.parts.with(i, next) }, `part ${i} place`)} />
            </Fragment>
          ))}
          {counted &&
            crane.parts.map((one, i) =>
              one.on === 'slewing'
                ? choice(`${one.what} is counterweight`, one.counterweight ? 'yes' : 'no', same(['yes', 'no']), (said) =>
                    edit({ parts: crane.parts.map((each, j) => (i === j ? { ...one, counterweight: said === 'yes' } : each)) }, `counterweight ${i}`),
                  )
                : null,
            )}
          {crane.parts.length === 0 && (
            <SmallButton
              onClick={() =>
                edit(
                  {
                    parts: [
                      { what: 'Carrier', mass: 0, on: 'chassis', x: null, y: 0 },
                      { what: 'Upper works', mass: 0, on: 'slewing', r: null },
                      { what: 'Counterweight', mass: 0, on: 'slewing', r: null, counterweight: true },
                      { what: 'Boom', mass: 0, on: 'boom', along: null },
                    ],
                  },
                  'parts',
                )
              }
            >
              <Plus size={13} aria-hidden /> Carrier, upper, counterweight, boom
            </SmallButton>
          )}
        </Group>
      )}
    </>
  );
}

/** What a mast stands on, how its jib is left, and how it comes down again. */
function TowerFields({ tower, onTower }: { tower: Tower; onTower: (changes: Partial<Tower>, field: string) => Fault[] | null }) {
  const { date, open, words, choice } = useInputs();
  return (
    <Group title="Its mast">
      {words('Mast stands on', tower.standsOn, (standsOn) => onTower({ standsOn }, 'on'), { placeholder: 'not said' })}
      {open('One leg brings down, at most', 'force', tower.corner, (corner) => onTower({ corner }, 'corner'))}
      {open('A leg may bring down', 'force', tower.carries, (carries) => onTower({ carries }, 'carries'))}
      {open('One leg pulls up, at most', 'force', tower.uplift, (uplift) => onTower({ uplift }, 'uplift'))}
      {open('A leg is held down against', 'force', tower.holds, (holds) => onTower({ holds }, 'holds'))}
      {words('Base worked out by', tower.by, (by) => onTower({ by }, 'by'), { placeholder: 'nobody yet' })}
      {date('Base worked out on', tower.on, (on) => onTower({ on }, 'on date'))}
      {choice<'open' | 'free' | 'held'>(
        'Jib, when nobody works it',
        tower.slewsFree === null ? 'open' : tower.slewsFree ? 'free' : 'held',
        [
          ['open', 'not said'],
          ['free', 'turns with the wind'],
          ['held', 'is held'],
        ],
        (said) => onTower({ slewsFree: said === 'open' ? null : said === 'free' }, 'free'),
      )}
      {tower.slewsFree === false && words('May be held, says', tower.tied, (tied) => onTower({ tied }, 'tied'), { placeholder: 'nobody yet' })}
      {words('Taken down by', tower.down, (down) => onTower({ down }, 'down'), { placeholder: 'not said' })}
      {open('Mast may stand free', 'length', tower.free ?? null, (free) => onTower({ free }, 'free height'))}
      <MastHolds holds={tower.heldAt ?? []} onHolds={(heldAt, field) => onTower({ heldAt }, field)} />
    </Group>
  );
}

type Part = Crane['parts'][number];

/** Where the weight of a part of a crane is: on the carrier, on what slews, along the boom. */
function PartPlace({ part, onPart }: { part: Part; onPart: (part: Part) => Fault[] | null }) {
  const { open } = useInputs();
  switch (part.on) {
    case 'chassis':
      return open(`${part.what} ahead by`, 'length', part.x, (x) => onPart({ ...part, x }));
    case 'slewing':
      return open(`${part.what} behind by`, 'length', part.r === null ? null : 0 - part.r, (back) => onPart({ ...part, r: back === null ? null : 0 - back }));
    case 'boom':
      return open(`${part.what} weight up it`, 'fraction', part.along, (along) => onPart({ ...part, along }));
  }
}
