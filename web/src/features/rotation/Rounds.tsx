import { useElementSize } from '@mantine/hooks';
import type { Api } from '../../api/client';
import { Knife, Section } from '../../shared/drawing';
import { Mark } from '../../shared/mark';
import { Wood } from '../../shared/rule';
import { Said } from '../../shared/Said';
import styles from './Rotation.module.css';
import type { Selected } from './selected';

const NAMES = 168;
const LEAST_ROUND = 124;
const RULE = 34;
const FAN = 34;

interface Props {
  view: Api['RotationView'];
  selected: Selected | undefined;
  onSelect: (selected: Selected | undefined) => void;
}

/** Students against rounds, hung under the minutes of the lesson. */
export function Rounds({ view, selected, onSelect }: Props) {
  const { ref, width: measured } = useElementSize();
  const least = NAMES + view.rounds.length * LEAST_ROUND;
  const width = Math.max(measured || 0, least);
  const column = (width - NAMES) / view.rounds.length;
  return (
    // It scrolls sideways, so the keyboard must be able to reach it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className={styles.scroll} tabIndex={0} role="region" aria-label="Students and rounds">
      <div ref={ref} />
      <Fan view={view} width={width} column={column} />
      <table className={styles.table} style={{ width }}>
        <colgroup>
          <col style={{ width: NAMES }} />
          {view.rounds.map((round) => (
            <col key={round.number} style={{ width: column }} />
          ))}
        </colgroup>
        <thead>
          <tr>
            <th scope="col">Station and student</th>
            {view.rounds.map((round) => (
              <th key={round.number} scope="col" data-done={round.done}>
                Round {round.number}
                {round.done && ', over'}
                <span className="quiet">
                  {' '}
                  {round.ends - round.starts} min · {round.working} at work
                </span>
                <span>{view.exercises.find((each) => each.id === round.exercise_id)?.title}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.rows.map((row) => (
            <Row key={row.student_id} view={view} row={row} selected={selected} onSelect={onSelect} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The lesson's rule, and from the minutes of each round the lines to its column. */
function Fan({ view, width, column }: { view: Api['RotationView']; width: number; column: number }) {
  const rule = view.time_rule;
  const last = view.rounds.at(-1)?.ends ?? 0;
  const end = Math.max(rule.lesson_minutes, rule.total, last) + 2;
  const x = (minute: number) => NAMES + (minute / end) * (width - NAMES - 2) + 1;
  return (
    <svg width={width} height={RULE + FAN} aria-hidden className={styles.fan}>
      <g transform={`translate(${NAMES} 0)`}>
        <Wood from={0} to={end} width={width - NAMES} height={RULE} x={(minute) => x(minute) - NAMES} />
      </g>
      {rule.segments
        .filter((segment) => segment.kind === 'practice')
        .map((segment) => (
          <rect
            key={segment.starts}
            x={x(segment.starts)}
            y={1}
            width={x(segment.ends) - x(segment.starts)}
            height={RULE - 2}
            fill="var(--carrot)"
            opacity={0.3}
          />
        ))}
      {view.rounds.map((round, index) => {
        const [from, to] = [NAMES + index * column, NAMES + (index + 1) * column];
        return (
          <g key={round.number}>
            <path
              d={`M${x(round.starts)} ${RULE}L${from + 2} ${RULE + FAN}H${to - 2}L${x(round.ends)} ${RULE}z`}
              fill="var(--beech)"
              opacity={index % 2 === 0 ? 0.5 : 0.28}
            />
            <rect
              x={x(round.starts)}
              y={RULE - 7}
              width={Math.max(2, x(round.ends) - x(round.starts))}
              height={7}
              fill="var(--ink)"
            />
          </g>
        );
      })}
    </svg>
  );
}

function Row({ view, row, selected, onSelect }: Props & { row: Api['RotationRow'] }) {
  const chosen = selected?.student === row.student_id;
  return (
    <tr>
      <th scope="row">
        <button
          type="button"
          className={styles.name}
          aria-pressed={chosen && selected.exercise === undefined}
          onClick={() => onSelect({ student: row.student_id })}
        >
          <span className="mono">{row.station}</span> {row.name}
          {row.from_round > 1 && !row.absent && <span className="quiet"> from round {row.from_round}</span>}
        </button>
      </th>
      {row.absent ? (
        <td colSpan={view.rounds.length} className={styles.away}>
          not here today
        </td>
      ) : (
        row.cells.map((cell, index) => (
          <td key={index} data-kind={cell.kind}>
            {cell.kind === 'wait' ? (
              <span className={styles.wait}>
                <Said>{cell.words}</Said>
              </span>
            ) : (
              <Turn
                view={view}
                turn={cell}
                titled={view.rounds[index]?.exercise_id == null}
                pressed={chosen && selected.exercise === cell.exercise_id}
                onSelect={() => onSelect({ student: row.student_id, exercise: cell.exercise_id })}
              />
            )}
          </td>
        ))
      )}
    </tr>
  );
}

interface TurnProps {
  view: Api['RotationView'];
  turn: Api['RotationTurn'];
  /** The title of the round does not say what is cut. */
  titled: boolean;
  pressed: boolean;
  onSelect: () => void;
}

/** A cell: the section of the cut, the knife at one scale with its number, and what was announced instead. */
function Turn({ view, turn, titled, pressed, onSelect }: TurnProps) {
  const knife = view.knives.find((each) => each.id === turn.knife_id);
  const exercise = view.exercises.find((each) => each.id === turn.exercise_id);
  return (
    <button
      type="button"
      className={styles.turn}
      data-changed={turn.announced != null}
      aria-pressed={pressed}
      onClick={onSelect}
    >
      <span className="visually-hidden">
        <Said>{turn.words}</Said>
        {turn.hand_over && ', takes another knife'}
        {turn.pinned && ', held'}
      </span>
      <span aria-hidden className={styles.drawn}>
        {exercise?.section && <Section drawing={exercise.section} size={18} label="" tint="pale" />}
        {turn.hand_over && <span title="takes another knife">↪</span>}
        {knife?.silhouette && <Knife silhouette={knife.silhouette} scale={0.17} label="" />}
        <span className="mono">{knife?.number}</span>
        {turn.pinned && <Nail />}
      </span>
      {titled && (
        <span aria-hidden className={styles.told}>
          {exercise?.title}
        </span>
      )}
      {turn.announced && (
        <span className={styles.was}>
          <Mark kind="lapsed" size={12} /> <Said>{turn.announced}</Said>
        </span>
      )}
    </button>
  );
}

/** A nail: held where it is. */
function Nail() {
  return (
    <svg width="10" height="14" viewBox="0 0 10 14" aria-hidden className={styles.nail}>
      <path d="M1 1h8v2.4H6.2V10L5 13.4 3.8 10V3.4H1z" fill="var(--accent)" />
    </svg>
  );
}
