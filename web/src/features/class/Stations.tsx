import type { Api } from '../../api/client';
import { useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import styles from './Class.module.css';
import { RoundBar } from './RoundBar';
import { Running } from './Running';
import { useServerNow } from './useServerNow';

/** Everyone at their board, as the instructor sees the room. */
export function Stations({
  view,
  selected,
  onSelect,
}: {
  view: Api['ClassView'];
  selected: number | undefined;
  onSelect: (student: number) => void;
}) {
  const [unit] = useUnit();
  return (
    <>
      <WatchNow view={view} onSelect={onSelect} />
      <RoundBar view={view} />
      <ul className={styles.stations} aria-label="Stations">
        {view.stations.map((station) => {
          const { student } = station;
          return (
            <li key={student.id}>
              <button
                type="button"
                className={styles.station}
                aria-pressed={student.id === selected}
                data-paused={Boolean(station.stop)}
                data-running={Boolean(station.running)}
                onClick={() => onSelect(student.id)}
              >
                <span className={styles.head}>
                  <span className="mono">{student.station}</span>
                  <Sign station={station} />
                </span>
                <strong>{student.name}</strong>
                <span className={styles.line}>
                  <State station={station} clearance={withUnit(student.clearance, unit)} />
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}

/** Whom to look at first, three at most, each with why. */
function WatchNow({ view, onSelect }: { view: Api['ClassView']; onSelect: (student: number) => void }) {
  const named = view.watch_now.flatMap((now) => {
    const station = view.stations.find((each) => each.student.id === now.student_id);
    return station ? [{ ...now, name: station.student.name }] : [];
  });
  if (named.length === 0) return null;
  return (
    <div className={styles.watch} role="group" aria-label="Watch now">
      <strong>Watch now</strong>
      {named.map((now) => (
        <button key={now.student_id} type="button" onClick={() => onSelect(now.student_id)}>
          <Mark kind={now.stopped ? 'stop' : 'watch'} size={18} label />
          <span>
            <strong>{now.name}</strong> <Said>{now.words}</Said>
          </span>
        </button>
      ))}
    </div>
  );
}

function Sign({ station }: { station: Api['Station'] }) {
  if (station.stop) return <Mark kind="stop" label />;
  if (station.watch.some((reason) => reason.kind === 'allergy')) return <Mark kind="caution" label />;
  if (station.watch.length > 0) return <Mark kind="watch" size={18} label />;
  return null;
}

function State({ station, clearance }: { station: Api['Station']; clearance: string }) {
  const now = useServerNow(Boolean(station.running));
  if (station.running) return <Running since={station.running.started_at} now={now} />;
  if (station.stop) return <>paused</>;
  if (station.unmeasured) return <>blind ten due</>;
  if (station.attempts.length > 0)
    return (
      <>
        {station.attempts.length} {station.attempts.length === 1 ? 'attempt' : 'attempts'}
      </>
    );
  return station.watch[0] ? <Said>{station.watch[0].words}</Said> : <>to {clearance}</>;
}
