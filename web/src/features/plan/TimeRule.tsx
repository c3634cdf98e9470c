import { useElementSize } from '@mantine/hooks';
import { useId, useRef, useState } from 'react';
import type { Api } from '../../api/client';
import { Wood } from '../../shared/rule';
import styles from './Plan.module.css';

const RULE = 38;
const LEAST_WIDTH = 580;

interface Props {
  rule: Api['TimeRule'];
  exercises: Api['PlannedExercise'][];
  selected: number | undefined;
  onSelect: (index: number) => void;
  onChange: (index: number, minutes: number) => void;
  onMove: (index: number, by: number) => void;
}

const within = (minutes: number) => Math.min(600, Math.max(1, Math.round(minutes)));

/** Pixels that a pointer may tremble before a segment is taken along. */
const TREMBLE = 6;

/** What the pointer holds: an edge, with the minutes that it stands for, or a whole segment. */
type Held = { index: number; from: number; by: number; far: boolean; down: boolean } & (
  { edge: true; minutes: number } | { edge: false }
);

/** Segments as they are drawn while an edge is dragged: at once, before anything is worked out. */
function drawn(
  segments: Api['SegmentOnRule'][],
  held: Held | undefined,
  minutesOf: (pixels: number) => number,
) {
  let at = 0;
  return segments.map((segment, index) => {
    const dragged = held?.edge && held.index === index;
    const minutes = dragged ? within(held.minutes + minutesOf(held.by)) : segment.minutes;
    const starts = at;
    at += minutes;
    return { segment, minutes, starts, ends: at };
  });
}

/** Where a segment that is taken along would lie: among those whose middle it has passed. */
function target(places: { left: number; right: number }[], held: Held): number {
  const own = places[held.index];
  if (!own) return held.index;
  const middle = (own.left + own.right) / 2 + held.by;
  return places.filter((place, index) => index !== held.index && (place.left + place.right) / 2 < middle)
    .length;
}

/** The lesson as a rule of minutes; each segment lies on it with its true width. */
export function TimeRule({ rule, exercises, selected, onSelect, onChange, onMove }: Props) {
  const { ref, width: measured } = useElementSize();
  const hint = useId();
  const [kept, setKept] = useState<{ held: Held; rule: Api['TimeRule'] }>();
  const dragged = useRef(false);
  // An edge that was let go stays where it is until the rule is worked out again.
  const held = kept && (kept.held.down || kept.rule === rule) ? kept.held : undefined;
  const setHeld = (next: Held | undefined) => setKept(next && { held: next, rule });
  const width = Math.max(measured || 0, LEAST_WIDTH);
  const end = Math.max(rule.lesson_minutes + 4, rule.total + 2);
  const x = (minute: number) => (minute / end) * (width - 2) + 1;
  const shown = drawn(rule.segments, held, (pixels) => (pixels / (width - 2)) * end);
  const places = shown.map((each) => ({ left: x(each.starts), right: x(each.ends) }));
  const pick = (next: Held) => {
    dragged.current = false;
    setHeld(next);
  };
  const follow = (event: React.PointerEvent) => {
    if (!held?.down) return;
    const by = event.clientX - held.from;
    const far = held.far || Math.abs(by) > (held.edge ? 0 : TREMBLE);
    if (!far) return;
    if (!held.far) event.currentTarget.setPointerCapture(event.pointerId);
    dragged.current = true;
    setHeld({ ...held, by, far });
    const minutes = held.edge ? within(held.minutes + (by / (width - 2)) * end) : undefined;
    if (minutes !== undefined && minutes !== shown[held.index]?.minutes) onChange(held.index, minutes);
  };
  const drop = () => {
    if (!held?.down) return;
    setHeld(held.edge ? { ...held, down: false } : undefined);
    const to = target(places, held);
    if (!held.edge && held.far && to !== held.index) onMove(held.index, to - held.index);
  };
  const hand = { onPointerMove: follow, onPointerUp: drop, onPointerCancel: drop };
  return (
    <section className={styles.time} aria-label="Time rule">
      <p id={hint} className="visually-hidden">
        Left and right arrows change the minutes, with Shift by five; with Alt they move the segment.
      </p>
      <div ref={ref} />
      <div className={styles.segments} style={{ width }}>
        {shown.map(({ segment, minutes }, index) => {
          const taken = held && !held.edge && held.index === index && held.far;
          const place = places[index] ?? { left: 0, right: 0 };
          return (
            <div
              key={index}
              className={styles.slot}
              data-taken={taken}
              style={taken ? { transform: `translateX(${held.by}px)` } : undefined}
            >
              <Segment
                segment={segment}
                minutes={minutes}
                what={exercises.find((e) => e.exercise.id === segment.exercise_id)?.advice?.title}
                place={place}
                needed={segment.needs && segment.kind === 'practice' ? x(segment.needs) - 1 : undefined}
                selected={selected === index}
                hint={hint}
                onSelect={() => {
                  if (!dragged.current) onSelect(index);
                  dragged.current = false;
                }}
                onChange={(minutes) => onChange(index, minutes)}
                onMove={(by) => onMove(index, by)}
                {...hand}
                onPointerDown={(event) => {
                  if (event.pointerType === 'touch' || event.button !== 0) return;
                  pick({ index, from: event.clientX, by: 0, far: false, down: true, edge: false });
                }}
              />
              <div
                className={styles.grip}
                style={{ left: place.right - 7 }}
                aria-hidden
                {...hand}
                onPointerDown={(event) =>
                  pick({
                    index,
                    from: event.clientX,
                    by: 0,
                    far: false,
                    down: true,
                    edge: true,
                    minutes: segment.minutes,
                  })
                }
              />
            </div>
          );
        })}
        {held && !held.edge && held.far && (
          <div className={styles.here} style={{ left: gap(places, held) }} aria-hidden />
        )}
      </div>
      <Minutes rule={rule} width={width} end={end} x={x} />
    </section>
  );
}

/** Where the segment that is taken along would be put down. */
function gap(places: { left: number; right: number }[], held: Held): number {
  const to = target(places, held);
  const beside = places[to];
  return (to > held.index ? beside?.right : beside?.left) ?? 0;
}

interface SegmentProps extends Pick<
  React.HTMLAttributes<HTMLButtonElement>,
  'onPointerDown' | 'onPointerMove' | 'onPointerUp' | 'onPointerCancel'
> {
  segment: Api['SegmentOnRule'];
  minutes: number;
  what: string | undefined;
  place: { left: number; right: number };
  /** Pixels from its start to what its practice needs. */
  needed: number | undefined;
  selected: boolean;
  hint: string;
  onSelect: () => void;
  onChange: (minutes: number) => void;
  onMove: (by: number) => void;
}

/** One segment: what it is, its minutes, a tick where its practice would be done. */
function Segment({ segment, minutes, what, place, needed, selected, hint, ...on }: SegmentProps) {
  const { onSelect, onChange, onMove, ...pointer } = on;
  const { left, right } = place;
  const narrow = right - left < 62;
  const onKeyDown = (event: React.KeyboardEvent) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    if (event.altKey) onMove(by);
    else onChange(within(minutes + by * (event.shiftKey ? 5 : 1)));
  };
  return (
    <button
      type="button"
      className={styles.segment}
      style={{ left, width: Math.max(right - left - 2, 6) }}
      data-kind={segment.kind}
      data-narrow={narrow}
      data-over={segment.over > 0}
      data-fixed={segment.fixed}
      aria-pressed={selected}
      aria-describedby={hint}
      onClick={onSelect}
      onKeyDown={onKeyDown}
      {...pointer}
    >
      <strong>{narrow ? segment.short : (what ?? segment.name)}</strong>
      {!narrow && what && <span> {segment.name}</span>}
      {narrow ? (
        <span className="visually-hidden"> {minutes}</span>
      ) : (
        <span className={`${styles.minutes} mono`}> {minutes}</span>
      )}
      <span className="visually-hidden">
        {` minutes, from ${segment.starts} to ${segment.ends}`}
        {segment.over > 0 && `, ${segment.over} over`}
        {segment.short_by > 0 && `, needs ${segment.short_by} more`}
        {segment.fixed && ', keeps its minutes'}
        {segment.own_minutes && ', your own minutes'}
      </span>
      {needed !== undefined && needed < right - left - 3 && (
        <span className={styles.needed} style={{ left: needed }} aria-hidden />
      )}
      {segment.own_minutes && !narrow && (
        <span className={styles.own} aria-hidden>
          yours
        </span>
      )}
    </button>
  );
}

interface MinutesProps {
  rule: Api['TimeRule'];
  width: number;
  end: number;
  x: (minute: number) => number;
}

/** The wooden rule with the end of the lesson, and what lies over it. */
function Minutes({ rule, width, end, x }: MinutesProps) {
  return (
    <svg width={width} height={RULE} aria-hidden style={{ display: 'block' }}>
      <Wood from={0} to={end} width={width} height={RULE} x={x} />
      <pattern id="over" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="8" height="8" fill="var(--stop-tint)" opacity="0.75" />
        <line x1="0" x2="0" y1="0" y2="8" stroke="var(--stop)" strokeWidth="2.4" />
      </pattern>
      {rule.over > 0 && (
        <rect
          x={x(rule.lesson_minutes)}
          y={1}
          width={x(rule.total) - x(rule.lesson_minutes)}
          height={RULE * 0.44}
          fill="url(#over)"
        />
      )}
      <path
        d={`M${x(rule.lesson_minutes) - 7} 0h14l-7 12z`}
        fill={rule.over > 0 ? 'var(--stop)' : 'var(--held)'}
      />
      <line
        x1={x(rule.lesson_minutes)}
        x2={x(rule.lesson_minutes)}
        y1={0}
        y2={RULE}
        stroke={rule.over > 0 ? 'var(--stop)' : 'var(--held)'}
        strokeWidth={2}
      />
    </svg>
  );
}
