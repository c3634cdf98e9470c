import { Button, NumberInput, Select, Tabs } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useCare, useCatalogue } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import { Knife } from '../../shared/drawing';
import { capital, day, useUnit, withUnit } from '../../shared/format';
import { Failed, Loading, Trouble } from '../../shared/State';
import { Said } from '../../shared/Said';
import { CareForm } from './CareForm';
import { KnifeForm } from './KnifeForm';

interface Props {
  courseId: number;
  knifeId: number;
  onGone: () => void;
}

/** One knife: its state, its care, its angle, its record. */
export function KnifeDock({ courseId, knifeId, onGone }: Props) {
  const [unit] = useUnit();
  const [parts, setParts] = useState(false);
  const [food, setFood] = useState<string | null>(null);
  const catalogue = useCatalogue();
  const care = useCare(knifeId, { course: courseId, food: food ?? undefined });
  if (!care.data)
    return (
      <Dock label="Knife">
        {care.isError ? <Failed error={care.error} again={() => void care.refetch()} /> : <Loading />}
      </Dock>
    );
  const { knife, label, type_name, silhouette, against } = care.data;
  return (
    <Dock label={`Knife no. ${knife.number}`}>
      <div>
        <h2>
          No. {knife.number} · {label}
        </h2>
        <p className="quiet">
          {knife.name && `“${knife.name}” · `}
          {type_name}, {withUnit(knife.length, unit)}
          {knife.hand ? `, ${knife.hand} hand only` : ', either hand'}
          {knife.stored && ` · ${knife.stored}`}
        </p>
      </div>
      <Knife
        silhouette={silhouette}
        scale={0.72}
        label={`${label} in the dock`}
        mirrored={knife.hand === 'left'}
        parts={parts ? care.data.parts : undefined}
        against={against}
      />
      {against && (
        <p role="status">
          <strong>
            <Said>{against.words}</Said>
          </strong>
        </p>
      )}
      <div className="stack" style={{ gap: 6 }}>
        <Button size="xs" variant="default" aria-pressed={parts} onClick={() => setParts(!parts)}>
          {parts ? 'Hide the parts' : 'Name the parts'}
        </Button>
        <Select
          size="xs"
          aria-label="Lay a food against it"
          placeholder="Lay a food against it"
          searchable
          clearable
          value={food}
          onChange={setFood}
          data={(catalogue.data?.foods ?? []).map((f) => ({ value: f.id, label: capital(f.name) }))}
        />
      </div>
      {parts && (
        <ul>
          {care.data.parts.map((part) => (
            <Reason key={part.id} kind="note" title={`${capital(part.name)}.`}>
              {part.does}
            </Reason>
          ))}
        </ul>
      )}
      <State care={care.data} />
      <Tabs defaultValue="care" keepMounted={false}>
        <Tabs.List grow>
          <Tabs.Tab value="care">Care</Tabs.Tab>
          <Tabs.Tab value="angle">Angle</Tabs.Tab>
          <Tabs.Tab value="record">Record</Tabs.Tab>
        </Tabs.List>
        <Tabs.Panel value="care" pt="sm">
          <CareForm courseId={courseId} care={care.data} />
          <History events={care.data.events} />
        </Tabs.Panel>
        <Tabs.Panel value="angle" pt="sm">
          <AngleAid courseId={courseId} care={care.data} />
        </Tabs.Panel>
        <Tabs.Panel value="record" pt="sm">
          <Record care={care.data} onGone={onGone} />
        </Tabs.Panel>
      </Tabs>
    </Dock>
  );
}

/** What it is good for, and its fields. */
function Record({ care, onGone }: { care: Api['KnifeCare']; onGone: () => void }) {
  return (
    <>
      <ul style={{ marginBottom: 12 }}>
        <Reason kind="note" title="Good for">
          {care.good_for}.
        </Reason>
        <Reason kind="note" title="Not for">
          {care.not_for}.
        </Reason>
      </ul>
      <Button
        component={Link}
        to={`?view=buy&knife=${care.knife.id}`}
        variant="default"
        size="xs"
        style={{ marginBottom: 12 }}
      >
        Look it over
      </Button>
      <KnifeForm knife={care.knife} onGone={onGone} />
    </>
  );
}

/** Whether it is fit for class, what is due, and how worn it is. */
function State({ care }: { care: Api['KnifeCare'] }) {
  const { knife, due, history } = care;
  const fit = knife.edge_state === 'sharp';
  return (
    <ul aria-label="State">
      <Reason kind={fit ? 'held' : 'stop'} title={fit ? 'Sharp.' : 'Dull.'}>
        {fit
          ? 'Fit for class.'
          : 'Failed its edge test: dull is the dangerous one, since it needs force and slips. Out until it passes.'}{' '}
        {knife.note}
      </Reason>
      {due
        .filter((each) => each.what !== 'failed')
        .map((each) => (
          <Reason
            key={each.what}
            kind={each.what === 'hone_today' || each.what === 'test_today' ? 'todo' : 'caution'}
            title={`${capital(each.title)}.`}
          >
            {each.why}
          </Reason>
        ))}
      <Reason kind="note" title="Wear since it was ground:">
        {care.wear_minutes} board minutes
        {history.ground_on ? ` since ${day(history.ground_on)}` : ''}.
      </Reason>
    </ul>
  );
}

function History({ events }: { events: Api['EventLine'][] }) {
  if (events.length === 0) return <p className="quiet">Nothing written down yet.</p>;
  return (
    <section style={{ marginTop: 14 }}>
      <h3 style={{ marginBottom: 8 }}>History</h3>
      <ul aria-label="History">
        {events.map((event) => (
          <Reason
            key={event.id}
            kind={event.kind === 'habit' || event.kind === 'incident' ? 'caution' : 'note'}
            title={`${day(event.on_day)}:`}
          >
            {event.deed_words}.{event.words && ` ${event.words}`}
          </Reason>
        ))}
      </ul>
    </section>
  );
}

/** How high the spine stands for an angle, and what a folded corner gives. */
function AngleAid({ courseId, care }: { courseId: number; care: Api['KnifeCare'] }) {
  const [degrees, setDegrees] = useState<number | undefined>(care.own_angle ?? undefined);
  const [spine, setSpine] = useState(2);
  const [asked] = useDebouncedValue({ degrees, spine }, 80);
  const found = useCare(care.knife.id, { course: courseId, ...asked });
  const aid = found.data?.aid;
  if (care.own_angle === null || care.own_angle === undefined)
    return (
      <p>Teeth are not honed on a plain steel or ground on a flat stone: replace the knife or send it out.</p>
    );
  return (
    <div className="stack">
      <div className="row" style={{ flexWrap: 'nowrap' }}>
        <NumberInput
          label="Degrees per side"
          value={degrees ?? ''}
          onChange={(v) => setDegrees(v === '' ? undefined : Number(v))}
        />
        <NumberInput label="Spine, mm" step={0.5} value={spine} onChange={(v) => setSpine(Number(v))} />
      </div>
      <Trouble error={found.error} />
      {aid && (
        <>
          <Wedge angle={aid.angle} />
          <p>
            The middle of the spine stands{' '}
            <strong className="figure">{aid.spine_height.toFixed(1)} mm</strong> above the stone, its
            underside <strong className="figure">{aid.underside.toFixed(1)} mm</strong>.
          </p>
          <p className="quiet">{aid.fold}</p>
          <ul>
            {aid.warnings.map((words) => (
              <Reason key={words} kind="caution">
                {words}
              </Reason>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function Wedge({ angle }: { angle: number }) {
  const turn = (angle * Math.PI) / 180;
  const [x, y] = [16 + 150 * Math.cos(turn), 84 - 150 * Math.sin(turn)];
  return (
    <svg viewBox="0 0 220 104" width="100%" role="img" aria-label={`${angle} degrees on the stone`}>
      <rect x="4" y="86" width="212" height="14" rx="2" fill="var(--beech)" stroke="var(--beech-edge)" />
      <path d={`M16 85L${x} ${y}`} stroke="var(--steel-edge)" strokeWidth="5" strokeLinecap="round" />
      <path d={`M${x} ${y}V85`} stroke="var(--accent)" strokeWidth="1.5" strokeDasharray="4 3" />
      <path
        d={`M60 85A44 44 0 0 0 ${16 + 44 * Math.cos(turn)} ${85 - 44 * Math.sin(turn)}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <text x="66" y="80" fontSize="14" fill="var(--ink)">
        {angle}°
      </text>
    </svg>
  );
}
