import { useElementSize } from '@mantine/hooks';
import { useId, useRef } from 'react';
import type { Api } from '../../api/client';
import { Wood } from '../../shared/rule';
import styles from './Plan.module.css';

const RULE = 38;
const LEAST_WIDTH = 640;

interface Props {
  rule: Api['TimeRule'];
  exercises: Api['PlannedExercise'][];
  selected: number | undefined;
  onSelect: (index: number) => void;
  onChange: (index: number, minutes: number) => void;
  onMove: (index: number, by: number) => void;
}

const within = (minutes: number) => Math.min(600, Math.max(1, Math.round(minutes)));

/** The lesson as a rule of minutes; each segment lies on it with its true width. */
export function TimeRule({ rule, exercises, selected, onSelect, onChange, onMove }: Props) {
  const { ref, width: measured } = useElementSize();
  const hint = useId();
  const drag = useRef<{ index: number; x: number; minutes: number }>(undefined);
  const width = Math.max(measured || 0, LEAST_WIDTH);
  const end = Math.max(rule.lesson_minutes + 4, rule.total + 2);
  const x = (minute: number) => (minute / end) * (width - 2) + 1;
  const onKeyDown = (index: number, minutes: number) => (event: React.KeyboardEvent) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    if (event.altKey) onMove(index, by);
    else onChange(index, within(minutes + by * (event.shiftKey ? 5 : 1)));
  };
  const title = (segment: Api['SegmentOnRule']) =>
    exercises.find((e) => e.exercise.id === segment.exercise_id)?.advice?.title;
  return (
    <section className={styles.time} aria-label="Time rule">
      <p id={hint} className="visually-hidden">
        Left and right arrows change the minutes, with Shift by five; with Alt they move the segment.
      </p>
      <div ref={ref} />
      <div className={styles.segments} style={{ width }}>
        {rule.segments.map((segment, index) => {
          const [left, right] = [x(segment.starts), x(segment.ends)];
          const narrow = right - left < 62;
          const what = title(segment);
          const shown = narrow ? segment.short : (what ?? segment.name);
          return (
            <div key={index}>
              <button
                type="button"
                className={styles.segment}
                style={{ left, width: Math.max(right - left - 2, 6) }}
                data-kind={segment.kind}
                data-narrow={narrow}
                data-over={segment.over > 0}
                aria-pressed={selected === index}
                aria-describedby={hint}
                onClick={() => onSelect(index)}
                onKeyDown={onKeyDown(index, segment.minutes)}
              >
                <strong>{shown}</strong>
                {!narrow && what && <span> {segment.name}</span>}
                {narrow ? (
                  <span className="visually-hidden"> {segment.minutes}</span>
                ) : (
                  <span className={`${styles.minutes} mono`}> {segment.minutes}</span>
                )}
                <span className="visually-hidden">
                  {` minutes, from ${segment.starts} to ${segment.ends}`}
                  {segment.over > 0 && `, ${segment.over} over`}
                  {segment.short_by > 0 && `, needs ${segment.short_by} more`}
                </span>
              </button>
              <div
                className={styles.grip}
                style={{ left: right - 7 }}
                aria-hidden
                onPointerDown={(event) => {
                  drag.current = { index, x: event.clientX, minutes: segment.minutes };
                  event.currentTarget.setPointerCapture(event.pointerId);
                }}
                onPointerMove={(event) => {
                  const from = drag.current;
                  if (from?.index !== index) return;
                  const minutes = within(from.minutes + ((event.clientX - from.x) / (width - 2)) * end);
                  if (minutes !== segment.minutes) onChange(index, minutes);
                }}
                onPointerUp={() => {
                  drag.current = undefined;
                }}
              />
            </div>
          );
        })}
      </div>
      <Minutes rule={rule} width={width} end={end} x={x} />
    </section>
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
