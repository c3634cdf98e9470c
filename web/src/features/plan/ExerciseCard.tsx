import { Button } from '@mantine/core';
import type { Api } from '../../api/client';
import { useTint } from '../../api/queries';
import { Knife, Section } from '../../shared/drawing';
import { capital, grams, minutes, useUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import { useArchiveExercise } from './changes';
import { differences, USUAL } from './making';
import { sizeIn } from './size';
import styles from './Plan.module.css';

interface Props {
  planned: Api['PlannedExercise'];
  selected: boolean;
  onSelect: () => void;
  onEdit: () => void;
}

/** An exercise of the lesson with its figures. */
export function ExerciseCard({ planned, selected, onSelect, onEdit }: Props) {
  const { exercise, advice } = planned;
  const [unit] = useUnit();
  const archive = useArchiveExercise(exercise);
  const tint = useTint(exercise.food);
  const title = advice?.title ?? `${capital(exercise.cut)} of ${exercise.food}`;
  return (
    // The heading's button selects for the keyboard; the card only widens what the pointer can hit.
    // eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions
    <section className={`card ${styles.card}`} data-selected={selected} aria-label={title} onClick={onSelect}>
      {advice?.section && (
        <Section drawing={advice.section} size={118} tint={tint} label={`Section of ${exercise.food}`} />
      )}
      <div style={{ flex: 1, minWidth: 0 }}>
        <div className="spread">
          <h2>
            <button
              type="button"
              style={{ all: 'unset', cursor: 'pointer' }}
              aria-pressed={selected}
              onClick={onSelect}
            >
              {title}
            </button>{' '}
            {advice && (
              <span className="mono quiet" style={{ fontWeight: 400 }}>
                {sizeIn(advice.target, unit)}
              </span>
            )}
          </h2>
          <Status planned={planned} />
        </div>
        {advice?.silhouette && advice.setup && (
          <Knife
            silhouette={advice.silhouette}
            scale={0.85}
            third={advice.setup.third}
            label={advice.setup.knife_name}
          />
        )}
        {advice?.setup && (
          <p className="quiet">
            {advice.setup.knife_name} · {advice.setup.words}
          </p>
        )}
        {differences(exercise.making ?? USUAL) && (
          <p className="quiet">Made another way: {differences(exercise.making ?? USUAL)}</p>
        )}
        {advice && <Figures figures={advice.figures} />}
        <div className="row" style={{ marginTop: 8 }}>
          <Button
            variant="default"
            size="xs"
            onClick={(e) => {
              e.stopPropagation();
              onEdit();
            }}
          >
            Change
          </Button>
          <TakeOut busy={archive.isPending} onConfirm={() => archive.mutate(true)} />
        </div>
        {planned.problems.map((problem) => (
          <p key={problem.message} className="row" role="alert">
            <Mark kind="stop" /> {problem.message}
          </p>
        ))}
        <Trouble error={archive.error} />
      </div>
    </section>
  );
}

function TakeOut({ busy, onConfirm }: { busy: boolean; onConfirm: () => void }) {
  return (
    <Button
      variant="subtle"
      color="gray"
      c="var(--ink)"
      size="xs"
      loading={busy}
      onClick={(e) => {
        e.stopPropagation();
        onConfirm();
      }}
    >
      Take out
    </Button>
  );
}

function Status({ planned }: { planned: Api['PlannedExercise'] }) {
  const { advice, exercise } = planned;
  if (!advice || advice.refused) {
    return (
      <span className="chip" data-kind="stop">
        <Mark kind="stop" /> Not as planned
      </span>
    );
  }
  const kept = exercise.kept_warnings.length;
  if (kept > 0) {
    return (
      <span className="chip" data-kind="caution">
        <Mark kind="caution" /> {kept} {kept === 1 ? 'warning' : 'warnings'} kept
      </span>
    );
  }
  return (
    <span className="chip" data-kind="held">
      <Mark kind="held" /> {advice.knives_that_fit} knives fit
    </span>
  );
}

/** Units for each student, or how many share one. */
function each(figures: Api['ExerciseFigures']): string {
  if (figures.students_per_unit === 1) return `${figures.units_each} each`;
  return figures.units_each > 1
    ? `${figures.units_each.toFixed(1)} each, shared`
    : `1 for ${Math.max(1, Math.floor(1 / figures.units_each))} students`;
}

/** Pieces, strokes, minutes, food to buy and trimmings; the same row on the card and in the editor. */
export function Figures({ figures }: { figures: Api['ExerciseFigures'] }) {
  const rows: [string, string][] = [];
  if (figures.pieces_per_unit !== null && figures.pieces_per_unit !== undefined)
    rows.push([`pieces a ${figures.unit}`, String(figures.pieces_per_unit)]);
  if (figures.strokes_each) rows.push(['strokes each', String(figures.strokes_each)]);
  if (figures.minutes_each)
    rows.push([
      `min each${figures.rounds > 1 ? `, ${figures.rounds} rounds` : ''}`,
      minutes(figures.minutes_each),
    ]);
  rows.push([`to buy, ${grams(figures.grams_total)}`, String(figures.units_total)]);
  if (figures.waste)
    rows.push([`squared off → ${figures.waste.becomes}`, grams(figures.waste.squaring_grams)]);
  return (
    <>
      <dl className={styles.figures}>
        {rows.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd className="figure">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="quiet" style={{ fontSize: '0.8125rem' }}>
        {each(figures)} · {figures.units_students} for students, {figures.units_demonstration} to show,{' '}
        {figures.units_spare} spare
        {figures.waste && figures.waste.ends_grams > 0 && ` · ends ${grams(figures.waste.ends_grams)}`}
      </p>
      {figures.no_count && <p className="quiet">{capital(figures.no_count)}.</p>}
      {figures.pieces_per_unit === 0 && (
        <p className="row">
          <Mark kind="caution" /> No piece of this size fits into one {figures.unit}. Choose a smaller cut or
          a larger food.
        </p>
      )}
    </>
  );
}
