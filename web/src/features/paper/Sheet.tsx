import type { Api } from '../../api/client';
import styles from './Paper.module.css';

const GREY: Record<Api['PaperInk'], string> = {
  black: '#000000',
  dark: '#5a5a5a',
  tint: '#e2e2e2',
  white: '#ffffff',
};
const grey = (ink: Api['PaperInk'] | null | undefined) => (ink ? GREY[ink] : 'none');

/** A page as it is printed: the core says what is drawn where, in millimetres. */
export function Sheet({ page, paper }: { page: Api['PaperPage']; paper: Api['PaperSize'] }) {
  return (
    <svg
      className={styles.sheet}
      data-paper={paper}
      width={`${page.width}mm`}
      height={`${page.height}mm`}
      viewBox={`0 0 ${page.width} ${page.height}`}
      role="group"
      aria-label={page.name}
    >
      {page.blocks.map((block, index) => (
        <Part key={index} block={block} />
      ))}
    </svg>
  );
}

function Part({ block }: { block: Api['PaperBlock'] }) {
  const marks = block.marks.map((mark, index) => <Drawn key={index} mark={mark} />);
  switch (block.role.kind) {
    case 'figure':
      return (
        <g role="img" aria-label={block.role.shows}>
          {marks}
        </g>
      );
    case 'decoration':
      return <g aria-hidden>{marks}</g>;
    default:
      return <g>{marks}</g>;
  }
}

function Drawn({ mark }: { mark: Api['Drawn'] }) {
  switch (mark.kind) {
    case 'words':
      return (
        <text x={mark.x} y={mark.y} fontSize={mark.size} className={styles[mark.face]} fill={grey(mark.ink)}>
          {mark.text}
        </text>
      );
    case 'box': {
      const inset = (mark.line ?? 0) / 2;
      return (
        <rect
          x={mark.x + inset}
          y={mark.y + inset}
          width={Math.max(mark.width - 2 * inset, 0)}
          height={Math.max(mark.height - 2 * inset, 0)}
          fill={grey(mark.fill)}
          stroke={mark.line ? GREY.black : 'none'}
          strokeWidth={mark.line ?? 0}
        />
      );
    }
    case 'line':
      return (
        <line
          x1={mark.x1}
          y1={mark.y1}
          x2={mark.x2}
          y2={mark.y2}
          stroke={GREY.black}
          strokeWidth={mark.width}
        />
      );
    case 'outline':
      return (
        <path
          d={mark.d}
          transform={`translate(${mark.x} ${mark.y}) scale(${mark.scale})`}
          fill={grey(mark.fill)}
          stroke={mark.line ? GREY.black : 'none'}
          strokeWidth={(mark.line ?? 0) / mark.scale}
        />
      );
  }
}
