import { memo, useId, useRef } from 'react';
import type { Api } from '../../api/client';
import { useUnit, withUnit } from '../../shared/format';

export const FILLS: Record<Api['Grade'], string> = {
  crumb: 'var(--stop-tint)',
  small: 'var(--paper)',
  wanted: 'var(--held-tint)',
  large: 'var(--caution-tint)',
  ribbon: 'hatched',
};

const GRADES = Object.keys(FILLS) as Api['Grade'][];

/** Hatching for ribbons: they differ by more than a colour. */
export function RibbonHatch({ id, step }: { id: string; step: number }) {
  return (
    <pattern id={id} width={step} height={step} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width={step} height={step} fill="var(--caution-tint)" />
      <line y2={step} stroke="var(--caution)" strokeWidth={step * 0.28} />
    </pattern>
  );
}

interface Props {
  view: Api['OnionView'];
  radius: number;
  /** Cuts can be taken hold of and put elsewhere: their places, and what to do with new ones. */
  places?: number[];
  onPlaces?: (places: number[]) => void;
}

/** Half an onion on its flat, every cell shaded against the wanted size: one path for each shade, for they
 * are drawn anew with every step of a slider. */
export const OnionCells = memo(function OnionCells({ view, radius, places, onPlaces }: Props) {
  const hatch = useId();
  const [unit] = useUnit();
  const drawing = useRef<SVGSVGElement>(null);
  const { section, grades } = view;
  const line = radius / 120;
  const move = (index: number, event: React.PointerEvent) => {
    const box = drawing.current?.getBoundingClientRect();
    if (!box || !places || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const share = ((event.clientX - box.left) / box.width) * 1.04 - 0.02;
    put(index, share);
  };
  const put = (index: number, share: number) => {
    if (!places) return;
    const [before, after] = [places[index - 1] ?? 0, places[index + 1] ?? 1];
    const next = Math.max(before + 0.01, Math.min(after - 0.01, share));
    onPlaces?.(places.map((old, place) => (place === index ? Number(next.toFixed(4)) : old)));
  };
  return (
    <svg
      ref={drawing}
      viewBox={`${-radius * 1.04} ${-radius * 1.04} ${radius * 2.08} ${radius * 1.2}`}
      width="100%"
      style={{ maxHeight: 340 }}
      role={onPlaces ? 'group' : 'img'}
      aria-label={`${view.name}: ${section.figures.count} cells`}
    >
      <RibbonHatch id={hatch} step={radius / 16} />
      {GRADES.map((grade) => (
        <path
          key={grade}
          d={section.cells.map((cell, index) => (grades[index] === grade ? cell.path : '')).join('')}
          fillRule="evenodd"
          fill={grade === 'ribbon' ? `url(#${hatch})` : FILLS[grade]}
          stroke="var(--ink)"
          strokeWidth={line}
          strokeLinejoin="round"
        />
      ))}
      <path d={section.cuts.join('')} stroke="var(--accent)" strokeWidth={line * 1.6} />
      <rect x={-radius * 1.04} y={0} width={radius * 2.08} height={radius * 0.06} fill="var(--beech)" />
      {onPlaces &&
        places?.map((place, index) => (
          <g
            key={index}
            role="slider"
            tabIndex={0}
            aria-label={`Cut ${index + 1}`}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round(place * 100)}
            aria-valuetext={`${withUnit(place * radius * 2, unit)} from the left`}
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={(event) => move(index, event)}
            onKeyDown={(event) => {
              const step = { ArrowLeft: -0.01, ArrowRight: 0.01 }[event.key];
              if (step === undefined) return;
              event.preventDefault();
              put(index, place + step);
            }}
            style={{ cursor: 'ew-resize', touchAction: 'none' }}
          >
            <rect
              x={(place * 2 - 1) * radius - radius * 0.04}
              y={0}
              width={radius * 0.08}
              height={radius * 0.16}
              fill="transparent"
            />
            <path
              d={`M${(place * 2 - 1) * radius} ${radius * 0.03}l${radius * 0.03} ${radius * 0.09}h${-radius * 0.06}z`}
              fill="var(--accent)"
            />
          </g>
        ))}
    </svg>
  );
});

/** What the shades mean, with how many there are of each. */
export function Legend({ grades, className }: { grades: Api['Grade'][]; className: string | undefined }) {
  const id = useId();
  return (
    <p className={className}>
      {GRADES.map((grade) => (
        <span key={grade}>
          <svg width="18" height="14" aria-hidden>
            <RibbonHatch id={id} step={5} />
            <rect
              x="0.5"
              y="0.5"
              width="17"
              height="13"
              fill={grade === 'ribbon' ? `url(#${id})` : FILLS[grade]}
              stroke="var(--ink)"
            />
          </svg>
          {grade} {grades.filter((each) => each === grade).length}
        </span>
      ))}
    </p>
  );
}
