import { Button, NumberInput, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useCatalogue, useOwn } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import { capital, spaced } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { useSaid } from '../../shared/Said';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useDropOwn, useKeepOwn } from './changes';
import styles from './Playbook.module.css';

type Kind = 'standard_set' | 'food' | 'cue' | 'tolerance' | 'thresholds';

const KINDS: { value: Kind; label: string }[] = [
  { value: 'standard_set', label: 'Standards' },
  { value: 'food', label: 'Foods' },
  { value: 'cue', label: 'Cues' },
  { value: 'tolerance', label: 'Tolerances' },
  { value: 'thresholds', label: 'Notch thresholds' },
];

/** What the school copied or edited: standards, foods, cues, tolerances, thresholds. */
export function OwnView({ tabs }: { tabs: React.ReactNode }) {
  const own = useOwn();
  const catalogue = useCatalogue();
  const [kind, setKind] = useState<Kind>('standard_set');
  const [id, setId] = useState<string | null>(null);
  if (!own.data || !catalogue.data)
    return own.isError ? <Failed error={own.error} again={() => void own.refetch()} /> : <Loading />;
  const { data } = catalogue;
  const choices: Record<Kind, { value: string; label: string }[]> = {
    standard_set: data.sets.map((s) => ({ value: s.id, label: capital(s.name) })),
    food: data.foods.map((f) => ({ value: f.id, label: capital(f.name) })),
    cue: data.faults.map((f) => ({ value: f.id, label: capital(f.name) })),
    tolerance: data.tolerances.map((t) => ({ value: t.id, label: capital(t.name) })),
    thresholds: [{ value: 'notches', label: 'Thresholds of the notches' }],
  };
  const chosen = choices[kind].some((c) => c.value === id) ? id : (choices[kind][0]?.value ?? null);
  const record = own.data.own.find((o) => o.kind === kind && o.id === chosen);
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>Our own values</h1>
            <p className="quiet">
              Copy or edit what was shipped; past judgements keep the figures of their day
            </p>
          </div>
          {tabs}
        </div>
        <div className="row" style={{ alignItems: 'flex-end' }}>
          <Select
            label="What"
            allowDeselect={false}
            data={KINDS}
            value={kind}
            onChange={(value) => value && setKind(value as Kind)}
          />
          <Select
            label="Which"
            searchable
            allowDeselect={false}
            data={choices[kind]}
            value={chosen}
            onChange={setId}
            style={{ flex: 1, maxWidth: 420 }}
          />
        </div>
        {chosen && (
          <Editor
            key={`${kind} ${chosen} ${record?.version ?? 0}`}
            kind={kind}
            id={chosen}
            own={own.data}
            record={record}
            onKept={setId}
          />
        )}
      </main>
      <Dock label="What differs from the shipped values">
        <h2>What differs from the shipped values</h2>
        {own.data.set_aside.length > 0 && <SetAside lines={own.data.set_aside} />}
        {own.data.own.length === 0 && own.data.set_aside.length === 0 && (
          <p>Nothing yet: everything is as it was shipped.</p>
        )}
        {own.data.own.map((line) => (
          <OwnLine key={`${line.kind} ${line.id}`} line={line} />
        ))}
      </Dock>
    </>
  );
}

/** Own values that an upgrade left without a place: the shipped ones stand until they are mended or dropped. */
function SetAside({ lines }: { lines: Api['SetAsideLine'][] }) {
  return (
    <section aria-label="No longer fits" className="stack">
      <p className="chip" data-kind="caution" role="alert">
        <Mark kind="caution" /> {lines.length} own{' '}
        {lines.length === 1 ? 'value no longer fits' : 'values no longer fit'}: drop or mend
      </p>
      {lines.map((line) => (
        <SetAsideLine key={`${line.kind} ${line.id}`} line={line} />
      ))}
    </section>
  );
}

function SetAsideLine({ line }: { line: Api['SetAsideLine'] }) {
  const said = useSaid();
  const drop = useDropOwn(line);
  return (
    <section>
      <h3>
        {capital(spaced(line.kind))}: {spaced(line.id)}
      </h3>
      <ul>
        {line.problems.map((problem, index) => (
          <Reason key={index} kind="caution">
            {said(problem.sentence)}
          </Reason>
        ))}
      </ul>
      <p className="quiet">
        {line.copy
          ? 'Until then it is left out. What chose it has to choose another.'
          : 'Until then the shipped value stands. Saving it anew mends it.'}
      </p>
      <Button size="xs" variant="default" onClick={() => drop.mutate(undefined)} loading={drop.isPending}>
        Drop {spaced(line.id)}
      </Button>
      <Trouble error={drop.error} />
    </section>
  );
}

/** An own value in the dock, with its differences and the way back. */
function OwnLine({ line }: { line: Api['OwnLine'] }) {
  const back = useDropOwn(line);
  return (
    <section>
      <h3>
        {capital(spaced(line.kind))}: {spaced(line.id)}
      </h3>
      {line.copy && <p className="quiet">a copy of our own</p>}
      <ul>
        {line.differences.slice(0, 12).map((difference) => (
          <Reason key={difference.field} kind="note" title={`${difference.field}:`}>
            {difference.shipped || 'nothing'} → {difference.own || 'nothing'}
          </Reason>
        ))}
      </ul>
      {line.differences.length > 12 && <p className="quiet">and {line.differences.length - 12} more</p>}
      <Button size="xs" variant="default" onClick={() => back.mutate(undefined)} loading={back.isPending}>
        {line.copy ? 'Remove the copy' : 'Back to the shipped value'}
      </Button>
      <Trouble error={back.error} />
    </section>
  );
}

interface EditorProps {
  kind: Kind;
  id: string;
  own: Api['OwnView'];
  record: Api['OwnLine'] | undefined;
  onKept: (id: string) => void;
}

/** Keeps a value as an edit of this one, or as a copy with a name of its own. */
function useKeep({ record, own, kind, id, onKept }: EditorProps) {
  const before = new Set(own.own.map((line) => line.id));
  // One that was set aside is mended by saving it anew, from the version that it has.
  const version =
    (record ?? own.set_aside.find((line) => line.kind === kind && line.id === id))?.version ?? null;
  const keep = useKeepOwn((view) => {
    const added = view.own.find((line) => line.kind === kind && !before.has(line.id));
    if (added) onKept(added.id);
  });
  return {
    ...keep,
    keep: (value: Api['OwnValue'], copy: boolean) => keep.mutate({ version: copy ? null : version, value }),
  };
}

function Editor(props: EditorProps) {
  if (props.kind === 'standard_set') return <SetEditor {...props} />;
  if (props.kind === 'food') return <FoodEditor {...props} />;
  if (props.kind === 'cue') return <CueEditor {...props} />;
  if (props.kind === 'tolerance') return <ToleranceEditor {...props} />;
  return <ThresholdEditor {...props} />;
}

/** Name, save and copy buttons, and the trouble of saving. */
function Keeping({
  keep,
  value,
  named,
}: {
  keep: ReturnType<typeof useKeep>;
  /** The value with an id and name for it; an empty id makes a copy. */
  value: (copy: string | null) => Api['OwnValue'];
  /** Copies can be made, under this name. */
  named?: boolean;
}) {
  const [name, setName] = useState('');
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  return (
    <>
      <div className="row" style={{ alignItems: 'flex-end' }}>
        <Button onClick={() => keep.keep(value(null), false)} loading={keep.isPending}>
          Save our value
        </Button>
        {named && (
          <>
            <TextInput
              label="Name of a copy"
              value={name}
              onChange={(event) => setName(event.currentTarget.value)}
              error={problem?.at('/name')}
            />
            <Button
              variant="default"
              disabled={name.trim() === ''}
              onClick={() => keep.keep(value(name), true)}
            >
              Save as a copy
            </Button>
          </>
        )}
        {keep.isSuccess && <span role="status">Saved. Past judgements keep their figures.</span>}
      </div>
      <Trouble error={keep.error} />
    </>
  );
}

function SetEditor(props: EditorProps) {
  const { id, own, record } = props;
  const catalogue = useCatalogue();
  const keep = useKeep(props);
  const set = catalogue.data?.sets.find((s) => s.id === id);
  const [sizes, setSizes] = useState<Record<string, Api['SizeTexts']>>(own.sizes[id] ?? {});
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  const based = record?.value.kind === 'standard_set' ? record.value.based_on : id;
  const cell = (cut: string, side: keyof Api['SizeTexts'], name: string) => (
    <td>
      <TextInput
        aria-label={`${name}, ${side}`}
        size="xs"
        w={116}
        value={sizes[cut]?.[side] ?? ''}
        onChange={(event) => {
          const text = event.currentTarget.value;
          setSizes((now) => ({
            ...now,
            [cut]: { thickness: '', width: '', length: '', ...now[cut], [side]: text },
          }));
        }}
        error={problem?.at(`/sizes/${cut}/${side}`)}
      />
    </td>
  );
  return (
    <div className="card stack">
      <p className="quiet">
        Millimetres or kitchen inches: <span className="mono">3.2</span>, <span className="mono">1/8 in</span>
        , a range <span className="mono">2 - 5</span>, a limit <span className="mono">under 3</span>.
      </p>
      <div style={{ overflowX: 'auto' }}>
        <table className={styles.table} aria-label="Sizes">
          <thead>
            <tr>
              <th scope="col">Cut</th>
              <th scope="col">Thickness</th>
              <th scope="col">Width</th>
              <th scope="col">Length</th>
            </tr>
          </thead>
          <tbody>
            {(catalogue.data?.cuts ?? [])
              .filter((cut) => cut.id in sizes)
              .map((cut) => (
                <tr key={cut.id}>
                  <th scope="row">{capital(cut.name)}</th>
                  {cell(cut.id, 'thickness', cut.name)}
                  {cell(cut.id, 'width', cut.name)}
                  {cell(cut.id, 'length', cut.name)}
                </tr>
              ))}
          </tbody>
        </table>
      </div>
      <Keeping
        keep={keep}
        named
        value={(copy) => ({
          kind: 'standard_set',
          id: copy === null ? id : '',
          name: copy ?? set?.name ?? id,
          based_on: based,
          sizes,
        })}
      />
    </div>
  );
}

/** What a school may change of a food. */
/** How a food is sold, with one part of it changed; nothing where neither is said. */
function sold(food: Api['OwnFood'], part: Partial<Api['Sold']>): Api['Sold'] | null {
  const next = { pack: '', grams: 0, ...food.sold, ...part };
  return next.pack === '' && next.grams === 0 ? null : next;
}

const ownOf = ({
  id,
  name,
  plural,
  shape,
  density,
  firmness,
  trim,
  price,
  sold,
}: Api['Food']): Api['OwnFood'] => ({
  id,
  name,
  plural,
  shape,
  density,
  firmness,
  trim,
  price,
  sold,
});

function FoodEditor(props: EditorProps) {
  const { id, record } = props;
  const catalogue = useCatalogue();
  const keep = useKeep(props);
  const found = catalogue.data?.foods.find((food) => food.id === id);
  const [food, setFood] = useState<Api['OwnFood'] | undefined>(found && ownOf(found));
  if (!food) return <Loading />;
  const based = record?.value.kind === 'food' ? record.value.based_on : id;
  const shape = food.shape as Record<string, number | string | null>;
  return (
    <div className="card stack">
      <div className="row" style={{ alignItems: 'flex-end' }}>
        {Object.entries(shape)
          .filter(([key]) => key !== 'kind')
          .map(([key, value]) => (
            <NumberInput
              key={key}
              label={`${capital(spaced(key))}${['layers', 'grams'].includes(key) ? '' : ', mm'}`}
              w={140}
              value={typeof value === 'number' ? value : ''}
              onChange={(next) =>
                setFood({
                  ...food,
                  shape: { ...shape, [key]: next === '' ? null : Number(next) } as typeof food.shape,
                })
              }
            />
          ))}
        <NumberInput
          label="Density, g/cm³"
          w={140}
          step={0.01}
          value={food.density}
          onChange={(next) => setFood({ ...food, density: Number(next) })}
        />
        <NumberInput
          label="Firmness, 1 to 5"
          w={140}
          value={food.firmness}
          onChange={(next) =>
            setFood({ ...food, firmness: Math.max(0, Math.min(255, Math.round(Number(next)))) })
          }
        />
        <NumberInput
          label="Trim off each end, mm"
          w={170}
          value={food.trim}
          onChange={(next) => setFood({ ...food, trim: Number(next) })}
        />
        <NumberInput
          label="A kilogram costs"
          w={140}
          decimalScale={2}
          value={food.price ?? ''}
          onChange={(next) => setFood({ ...food, price: next === '' ? null : Number(next) })}
        />
        <TextInput
          label="Sold as a"
          w={120}
          placeholder="bag, net, tray"
          maxLength={30}
          value={food.sold?.pack ?? ''}
          onChange={(event) => setFood({ ...food, sold: sold(food, { pack: event.currentTarget.value }) })}
        />
        <NumberInput
          label="of grams"
          w={110}
          value={food.sold?.grams || ''}
          onChange={(next) => setFood({ ...food, sold: sold(food, { grams: Number(next) || 0 }) })}
        />
      </div>
      <Keeping
        keep={keep}
        named
        value={(copy) => ({
          kind: 'food',
          based_on: based,
          food: copy === null ? food : { ...food, id: '', name: copy, plural: copy },
        })}
      />
    </div>
  );
}

function CueEditor(props: EditorProps) {
  const catalogue = useCatalogue();
  const keep = useKeep(props);
  const fault = catalogue.data?.faults.find((each) => each.id === props.id);
  const [cue, setCue] = useState(fault?.cue ?? '');
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  return (
    <div className="card stack">
      <TextInput
        label={`Cue for: ${fault?.name ?? ''}`}
        value={cue}
        onChange={(event) => setCue(event.currentTarget.value)}
        error={problem?.at('/cue')}
      />
      <Keeping keep={keep} value={() => ({ kind: 'cue', id: props.id, cue })} />
    </div>
  );
}

function ToleranceEditor(props: EditorProps) {
  const { id, record } = props;
  const catalogue = useCatalogue();
  const keep = useKeep(props);
  const found = catalogue.data?.tolerances.find((each) => each.id === id);
  const [value, setValue] = useState({
    share: found?.share ?? 0.25,
    floor: found?.floor ?? 0.6,
    even_cv: found?.even_cv ?? 0.15,
  });
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  const field = (key: keyof typeof value, label: string, step: number) => (
    <NumberInput
      label={label}
      step={step}
      value={value[key]}
      onChange={(next) => setValue((now) => ({ ...now, [key]: Number(next) }))}
      error={problem?.at(`/${key}`)}
    />
  );
  return (
    <div className="card stack">
      <div className="row" style={{ alignItems: 'flex-end' }}>
        {field('share', 'Share of the size, 0 to 1', 0.05)}
        {field('floor', 'But at least, mm', 0.1)}
        {field('even_cv', 'Even up to a spread (CV) of', 0.01)}
      </div>
      <Keeping
        keep={keep}
        named
        value={(copy) => ({
          kind: 'tolerance',
          id: copy === null ? id : '',
          name: copy ?? found?.name ?? id,
          based_on: record?.value.kind === 'tolerance' ? record.value.based_on : id,
          ...value,
        })}
      />
    </div>
  );
}

const THRESHOLDS = [
  ['clean_attempts', 'Safe: clean attempts in a row'],
  ['true_pieces', 'True: blind pieces looked back on'],
  ['true_wilson', 'True: share that must be proven, 0 to 1'],
  ['true_bias_share', 'True: bias, as a share of the tolerance'],
  ['even_attempts', 'Even: attempts looked back on'],
  ['paced_factor', 'Paced: times the reference time'],
  ['held_days', 'Held: days until it is shown again'],
] as const;

function ThresholdEditor(props: EditorProps) {
  const keep = useKeep(props);
  const [thresholds, setThresholds] = useState(props.own.thresholds);
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  return (
    <div className="card stack">
      {THRESHOLDS.map(([key, label]) => (
        <NumberInput
          key={key}
          label={label}
          w={320}
          step={['true_wilson', 'true_bias_share', 'paced_factor'].includes(key) ? 0.05 : 1}
          value={thresholds[key]}
          onChange={(next) => setThresholds((now) => ({ ...now, [key]: Number(next) }))}
          error={problem?.at(`/thresholds/${key}`)}
        />
      ))}
      <p className="quiet">
        Notches are worked out from the evidence each time, so other thresholds change the yard at once; the
        verdicts of samples stay.
      </p>
      <Keeping keep={keep} value={() => ({ kind: 'thresholds', thresholds })} />
    </div>
  );
}
