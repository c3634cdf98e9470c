import { Button, Checkbox, NumberInput, SegmentedControl } from '@mantine/core';
import { useDebouncedValue, useMediaQuery } from '@mantine/hooks';
import { memo, useCallback, useDeferredValue, useMemo } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useCatalogue, useOnion, useOnionChoice } from '../../api/queries';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import { percent, useUnit, withUnit } from '../../shared/format';
import { LengthInput } from '../../shared/LengthInput';
import { SizeRule } from '../../shared/rule';
import { Failed, Loading, Trouble } from '../../shared/State';
import styles from './Bench.module.css';
import { OnionsBeside } from './Beside';
import { Legend, OnionCells } from './OnionCells';
import { keptOnion, onionQuestion, typed, useOnionAddress } from './question';
import type { ChangeOnion, OnionWords } from './question';
import { METHODS, Ranked } from './Ranked';
import { Slider } from './Slider';
import { Figure } from './Ways';

/** An onion in section, every cell weighed against the dice that is wanted. */
export function OnionView({ tabs }: { tabs: React.ReactNode }) {
  const [at, change] = useOnionAddress();
  const [unit] = useUnit();
  const question = useMemo(() => onionQuestion(at), [at]);
  const found = useOnion(question);
  // While a figure is dragged, the cells follow first, and what hangs on them when there is time.
  const late = useDeferredValue(found.data);
  const problem = found.error instanceof ApiProblem ? found.error : undefined;
  const { radius, layers, size, length } = question;
  const asked: Api['ChooseForMe'] = {
    wanted: { radius, layers, size, length },
    limits: { strokes: at.strokes, no_level_cut: !at.level_cut },
  };
  const [choosing] = useDebouncedValue(asked, 250);
  const choice = useOnionChoice(choosing);
  const take = useCallback(
    (each: Api['MethodAtBest']) =>
      change({
        method: each.method.kind,
        cuts: each.cuts,
        places: null,
        steps: null,
        depth: each.method.kind === 'below' ? each.method.depth : null,
        level: each.method.kind === 'level' ? each.method.level : null,
      }),
    [change],
  );
  const put = useCallback((places: number[]) => change({ places, cuts: places.length }), [change]);
  const keep = useCallback(
    () => void change((now) => ({ beside: [...now.beside, keptOnion(now)] })),
    [change],
  );
  if (!found.data && !problem)
    return found.isError ? <Failed error={found.error} again={() => void found.refetch()} /> : <Loading />;
  const data = found.data;
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>Dice of {length ? 'a leek' : 'an onion'}, layer by layer</h1>
            <p className="quiet">
              Half on its flat, seen from the root; every cell against {withUnit(size, unit)}
            </p>
          </div>
          {tabs}
        </div>
        <Methods value={question.method.kind} change={change} />
        <div className={styles.columns}>
          <OnionControls at={at} change={change} question={question} problem={problem} />
          <div className="stack">
            <Trouble error={problem ?? null} />
            {at.beside.length > 0 && <OnionsBeside at={at} onChange={change} />}
            {data && (
              <div className="card stack">
                <OnionCells
                  view={data}
                  radius={radius}
                  places={question.places ?? data.places}
                  onPlaces={
                    question.method.kind === 'verticals' || question.method.kind === 'level' ? put : undefined
                  }
                />
                <Legend grades={data.grades} className={styles.legend} />
                <dl className={styles.figures}>
                  <Figure name="of the wanted size" value={percent(data.wanted)} />
                  <Figure name="ribbons" value={percent(data.ribbons)} />
                  <Figure name="cells" value={String(data.section.figures.count)} />
                  <Figure name="spread (CV)" value={percent(data.section.figures.cv)} />
                  <Figure name="strokes, a half" value={String(data.strokes)} />
                  <Figure name="towards the hand" value={String(data.strokes_towards_hand)} />
                </dl>
              </div>
            )}
            {late?.edges && <Edges edges={late.edges} />}
          </div>
        </div>
        <section className="card stack" aria-label="Choose for me">
          <div className="spread">
            <h2>Choose for me</h2>
            <Limits strokes={at.strokes} level={at.level_cut} change={change} />
          </div>
          <Trouble error={choice.error} />
          {choice.data && <Ranked choice={choice.data} onTake={take} />}
        </section>
      </main>
      <Outcome data={late} leek={Boolean(length)} keep={at.beside.length < 2} onKeep={keep} />
    </>
  );
}

const Methods = memo(function Methods({
  value,
  change,
}: {
  value: Api['Method']['kind'];
  change: ChangeOnion;
}) {
  const narrow = useMediaQuery('(max-width: 1100px)');
  return (
    <SegmentedControl
      aria-label="Method"
      orientation={narrow ? 'vertical' : 'horizontal'}
      value={value}
      onChange={(next) => change({ method: next as Api['Method']['kind'] })}
      data={METHODS}
      style={{ alignSelf: 'flex-start', flex: 'none' }}
    />
  );
});

const Edges = memo(function Edges({ edges }: { edges: Api['SideFigures'] }) {
  const [unit] = useUnit();
  return (
    <div>
      <h3>Edges of the cells on the rule; the band is ±25 % of the wanted size</h3>
      <SizeRule side={edges} unit={unit} />
    </div>
  );
});

interface LimitsProps {
  strokes: number | null;
  level: boolean;
  change: ChangeOnion;
}

const Limits = memo(function Limits({ strokes, level, change }: LimitsProps) {
  return (
    <div className="row">
      <NumberInput
        aria-label="Most strokes for a half"
        placeholder="any strokes"
        w={150}
        min={1}
        suffix=" strokes"
        value={strokes ?? ''}
        onChange={(value) => change({ strokes: typed(value) })}
      />
      <Checkbox
        label="Level cuts allowed"
        checked={level}
        onChange={(event) => change({ level_cut: event.currentTarget.checked })}
      />
    </div>
  );
});

interface OutcomeProps {
  data: Api['OnionView'] | undefined;
  leek: boolean;
  /** Whether there is room beside. */
  keep: boolean;
  onKeep: () => void;
}

const Outcome = memo(function Outcome({ data, leek, keep, onKeep }: OutcomeProps) {
  const catalogue = useCatalogue();
  return (
    <Dock label="What it comes to">
      <h2>{data?.name ?? 'Onion'}</h2>
      {data && (
        <ul>
          {data.strokes_towards_hand > 0 && (
            <Reason kind="caution" title="Towards the hand:">
              {data.strokes_towards_hand} of {data.strokes} strokes.
            </Reason>
          )}
          {data.cautions.map((words) => (
            <Reason key={words} kind="caution">
              {words}
            </Reason>
          ))}
          <Reason kind="note" title={leek ? 'The half leek:' : 'The half ball:'}>
            {data.ball.figures.count} pieces, {percent(data.ball.figures.share_even)} of it within a quarter
            of the mean, {percent(data.ball.figures.share_crumbs)} crumbs.
          </Reason>
          <Reason kind="note" title="Ribbons">
            are pieces longer than twice the wanted edge: an even area can hide them.
          </Reason>
        </ul>
      )}
      <Button variant="default" disabled={!keep} onClick={onKeep}>
        Keep beside
      </Button>
      {catalogue.data && <Disclaimer>{catalogue.data.disclaimer}</Disclaimer>}
    </Dock>
  );
});

interface ControlsProps {
  at: OnionWords;
  change: ChangeOnion;
  question: Api['OnionQuestion'];
  problem: ApiProblem | undefined;
}

function OnionControls({ at, change, question, problem }: ControlsProps) {
  const [unit] = useUnit();
  const { method, size, layers } = question;
  const uneven = Math.round((question.uneven ?? 0) * 100);
  return (
    <div className={`card ${styles.controls}`}>
      <Foods change={change} />
      <Slider
        label="Cuts"
        value={question.places?.length ?? question.cuts}
        min={1}
        max={30}
        step={1}
        shown={String(question.places?.length ?? question.cuts)}
        error={problem?.at('/cuts') ?? problem?.at('/places')}
        onChange={(value) => change({ cuts: value, places: null })}
      />
      {method.kind === 'below' && (
        <Slider
          label="Aim below the board"
          value={method.depth}
          min={0.05}
          max={2}
          step={0.05}
          shown={`${method.depth.toFixed(2)} radii`}
          error={problem?.at('/method/depth')}
          onChange={(value) => change({ depth: value })}
        />
      )}
      {method.kind === 'level' && (
        <Slider
          label="Level cuts"
          value={method.level}
          min={1}
          max={4}
          step={1}
          shown={String(method.level)}
          error={problem?.at('/method/level')}
          onChange={(value) => change({ level: value })}
        />
      )}
      <Slider
        label="Steps uneven by"
        value={uneven}
        min={0}
        max={50}
        step={1}
        shown={question.places ? 'placed by hand' : `${uneven} %`}
        error={problem?.at('/uneven')}
        onChange={(value) => change({ steps: value, places: null })}
        onReset={question.places || uneven ? () => change({ places: null, steps: null }) : undefined}
      />
      <Slider
        label="Wanted dice"
        value={size}
        min={2}
        max={20}
        step={0.1}
        shown={withUnit(size, unit)}
        error={problem?.at('/size')}
        onChange={(value) => change({ size: value })}
      />
      <Own
        across={at.across}
        layers={layers}
        length={question.length ?? null}
        acrossError={problem?.at('/radius')}
        layersError={problem?.at('/layers')}
        lengthError={problem?.at('/length')}
        change={change}
      />
    </div>
  );
}

const Foods = memo(function Foods({ change }: { change: ChangeOnion }) {
  const foods = useCatalogue().data?.foods ?? [];
  return (
    <div className="row">
      {foods.map(({ id, name, shape }) =>
        shape.kind === 'layered_ball' || shape.kind === 'layered_cylinder' ? (
          <Button
            key={id}
            size="compact-sm"
            variant="default"
            onClick={() =>
              change({
                across: shape.diameter,
                layers: shape.layers,
                long: shape.kind === 'layered_cylinder' ? shape.length : null,
              })
            }
          >
            {name}
          </Button>
        ) : null,
      )}
    </div>
  );
});

interface OwnProps {
  across: number;
  layers: number;
  length: number | null;
  acrossError: string | undefined;
  layersError: string | undefined;
  lengthError: string | undefined;
  change: ChangeOnion;
}

/** The food's own figures. */
const Own = memo(function Own({
  across,
  layers,
  length,
  acrossError,
  layersError,
  lengthError,
  change,
}: OwnProps) {
  return (
    <>
      <LengthInput
        label="Across"
        value={across}
        onChange={(value) => change({ across: value })}
        error={acrossError}
      />
      <NumberInput
        label="Layers"
        value={layers}
        onChange={(value) => change({ layers: typed(value) })}
        error={layersError}
      />
      {length !== null && (
        <LengthInput
          label="Length"
          value={length}
          onChange={(value) => change({ long: value })}
          error={lengthError}
        />
      )}
    </>
  );
});
