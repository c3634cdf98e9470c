import type { Api } from '../../api/client';
import { capital, grams } from '../../shared/format';
import styles from './Produce.module.css';

const NODE = 9;
const LABEL = 200;
const BETWEEN = 30;
const LEAST_HEIGHT = 96;

interface Placed {
  node: Api['FlowNode'];
  x: number;
  y: number;
  height: number;
}

/** Places of each column one under the other, as high as their grams. */
function place(flow: Api['FoodFlow'], width: number) {
  const columns = Math.max(...flow.nodes.map((node) => node.column), 1);
  const most = Math.max(...flow.nodes.map((node) => node.grams), 1);
  const inColumn = (column: number) => flow.nodes.filter((node) => node.column === column).length;
  const rows = Math.max(...flow.nodes.map((node) => inColumn(node.column)));
  const free = Math.max(LEAST_HEIGHT, rows * 26);
  const tops = new Map<number, number>();
  const placed = flow.nodes.map((node): Placed => {
    const y = tops.get(node.column) ?? 12;
    const height = Math.max((node.grams / most) * free, 2);
    tops.set(node.column, y + Math.max(height, 6) + BETWEEN);
    return { node, x: (node.column / columns) * (width - NODE - LABEL), y, height };
  });
  const height = Math.max(...placed.map((each) => each.y + each.height)) + 26;
  return { placed, height, scale: free / most };
}

/** The links with the places at which they leave and come, in the order in which they are told. */
function ribbons(flow: Api['FoodFlow'], placed: Placed[], scale: number) {
  const out = new Map<number, number>();
  const into = new Map<number, number>();
  const next = (taken: Map<number, number>, index: number, thick: number) => {
    const at = taken.get(index) ?? 0;
    taken.set(index, at + thick);
    return at;
  };
  return flow.links.flatMap((link) => {
    const [from, to] = [placed[link.from], placed[link.to]];
    if (!from || !to) return [];
    const thick = Math.max(link.grams * scale, 1);
    const [x1, x2] = [from.x + NODE, to.x];
    const y1 = from.y + next(out, link.from, thick);
    const y2 = to.y + next(into, link.to, thick);
    const middle = (x1 + x2) / 2;
    const path = `M${x1} ${y1}C${middle} ${y1} ${middle} ${y2} ${x2} ${y2}v${thick}C${middle} ${y2 + thick} ${middle} ${y1 + thick} ${x1} ${y1 + thick}z`;
    return [{ link, path, waste: to.node.kind === 'trimmings' }];
  });
}

const told = (flow: Api['FoodFlow']) =>
  flow.links
    .map((link) => {
      const [from, to] = [flow.nodes[link.from], flow.nodes[link.to]];
      const what = link.label ? `${link.label}, ` : '';
      return `${grams(link.grams)} from ${from?.label} to ${to?.label}${what ? ` (${link.label})` : ''}`;
    })
    .join('; ');

/** Where one food goes, from the crate to the plate: widths are grams. */
export function Flow({ flow, width }: { flow: Api['FoodFlow']; width: number }) {
  const { placed, height, scale } = place(flow, width);
  const fill =
    flow.tint === 'orange' ? 'var(--carrot)' : flow.tint === 'green' ? 'var(--held)' : 'var(--beech)';
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`Where the ${flow.name} goes: ${told(flow)}`}
      className={styles.flow}
    >
      <pattern
        id="trimmings"
        width="6"
        height="6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" x2="0" y1="0" y2="6" stroke="var(--beech-edge)" strokeWidth="1.4" />
      </pattern>
      {ribbons(flow, placed, scale).map(({ link, path, waste }, index) => (
        <path key={index} d={path} fill={waste ? 'url(#trimmings)' : fill} opacity={waste ? 0.8 : 0.45}>
          <title>{`${link.label ? `${capital(link.label)}: ` : ''}${grams(link.grams)}`}</title>
        </path>
      ))}
      {placed.map(({ node, x, y, height: high }, index) => (
        <g key={index}>
          <rect x={x} y={y} width={NODE} height={high} fill="var(--ink)" />
          <text x={x + NODE + 5} y={y + Math.min(high / 2, 14) + 4} className={styles.place}>
            <tspan className={styles.what}>{capital(node.label)}</tspan>
            <tspan x={x + NODE + 5} dy={15} className={styles.weight}>
              {grams(node.grams)}
            </tspan>
          </text>
        </g>
      ))}
    </svg>
  );
}
