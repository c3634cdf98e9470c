import type { Api } from '../../api/client';
import { Knife, Section } from '../../shared/drawing';
import { useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { useServerNow } from '../../shared/useServerNow';
import styles from './Class.module.css';
import { Running } from './Running';

/** Pixels a millimetre: knives of a room compare truly. */
const SCALE = 0.3;

/** What stands at a station: who, with which knife, on what, for how long, and what is to be minded. */
export function Tile({
  station,
  drawings,
}: {
  station: Api['Station'];
  drawings: Api['ClassDrawings'] | undefined;
}) {
  const { student, running } = station;
  const [unit] = useUnit();
  const outline = running && drawings?.outlines.find((each) => each.knife_ids.includes(running.knife_id));
  const cut = running && drawings?.sections.find((each) => each.exercise_id === running.exercise_id);
  return (
    <>
      <span className={styles.head}>
        <span className="mono">{student.station}</span>
        <Sign station={station} />
      </span>
      <strong>{student.name}</strong>
      <span className={styles.line}>
        <State station={station} clearance={withUnit(student.clearance, unit)} />
      </span>
      {running && (
        <span className={styles.drawn}>
          {outline && <Knife silhouette={outline.silhouette} scale={SCALE} label="" />}
          {cut?.section && <Section drawing={cut.section} size={26} label="" tint={cut.tint} />}
        </span>
      )}
    </>
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
  if (station.briefing_due) return <>briefing first</>;
  if (station.unmeasured) return <>blind ten due</>;
  if (station.attempts.length > 0)
    return (
      <>
        {station.attempts.length} {station.attempts.length === 1 ? 'attempt' : 'attempts'}
      </>
    );
  return station.watch[0] ? <Said>{station.watch[0].words}</Said> : <>to {clearance}</>;
}
