import { useLayoutEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { useTint } from '../../api/queries';
import { Section } from '../../shared/drawing';
import { capital, day } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Wood } from '../../shared/rule/Wood';
import { isChosen } from './blocks';
import type { Chosen, Edit } from './blocks';
import styles from './CoursePlan.module.css';

const STRANDS = ['slice', 'chop', 'julienne', 'dice'] as const;

type Lane = (typeof STRANDS)[number] | undefined;

interface Props {
  courseId: number;
  plan: Api['CoursePlan'];
  chosen: Chosen | undefined;
  onChoose: (chosen: Chosen) => void;
  edit: Edit;
}

/** Strands as lanes, sessions as columns; a technique is a block that is moved by pointer or by the arrows. */
export function Lanes({ courseId, plan, chosen, onChoose, edit }: Props) {
  const [over, setOver] = useState<number>();
  const scroll = useRef<HTMLDivElement>(null);
  // Where there is no room for all of it, it opens at the first session to come.
  useLayoutEffect(() => {
    const first = scroll.current?.querySelector<HTMLElement>('[data-held="false"]');
    if (scroll.current && first) scroll.current.scrollLeft = first.offsetLeft - 78;
  }, []);
  const other = plan.sessions.some((session) => session.blocks.some((block) => !block.strand));
  const lanes: Lane[] = other ? [...STRANDS, undefined] : [...STRANDS];
  const at = (event: React.PointerEvent) => {
    const column = document
      .elementsFromPoint(event.clientX, event.clientY)
      .find((element) => element instanceof HTMLElement && element.dataset.session !== undefined);
    const found = column instanceof HTMLElement ? Number(column.dataset.session) : undefined;
    return found !== undefined && !plan.sessions[found]?.held ? found : undefined;
  };
  const drag: Drag = {
    over: (event) => setOver(at(event)),
    drop: (event, block) => {
      const to = at(event);
      setOver(undefined);
      if (to !== undefined && to !== block.session) edit.move(block, to);
    },
  };
  return (
    // It scrolls sideways, so the keyboard must be able to reach it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div ref={scroll} className={styles.scroll} tabIndex={0} role="region" aria-label="Strands by session">
      <p className="visually-hidden" id="block-keys">
        Left and right arrows move a technique to another session, P pins it, Delete takes it out.
      </p>
      <div
        className={styles.grid}
        style={{ gridTemplateColumns: `70px repeat(${plan.sessions.length}, minmax(92px, 1fr))` }}
      >
        <span className={styles.lane} />
        {plan.sessions.map((session, index) => (
          <Head
            key={session.lesson_id}
            courseId={courseId}
            session={session}
            over={over === index}
            index={index}
          />
        ))}
        {lanes.map((lane) => (
          <LaneRow
            key={lane ?? 'other'}
            lane={lane}
            plan={plan}
            over={over}
            chosen={chosen}
            onChoose={onChoose}
            edit={edit}
            drag={drag}
          />
        ))}
        <span className={styles.lane}>Minutes</span>
        {plan.sessions.map((session) => (
          <Minutes key={session.lesson_id} session={session} />
        ))}
        <Arcs plan={plan} chosen={chosen} />
      </div>
    </div>
  );
}

interface Drag {
  over: (event: React.PointerEvent) => void;
  drop: (event: React.PointerEvent, block: Chosen) => void;
}

function Head({
  courseId,
  session,
  over,
  index,
}: {
  courseId: number;
  session: Api['CourseSession'];
  over: boolean;
  index: number;
}) {
  return (
    <div className={styles.head} data-session={index} data-over={over || undefined} data-held={session.held}>
      <Link to={`/courses/${courseId}/plan/${session.lesson_id}`} title={session.title}>
        <strong className="mono">{session.number}</strong> {day(session.starts_at)}
      </Link>
      <svg width="100%" height={13} viewBox="0 0 120 13" preserveAspectRatio="none" aria-hidden>
        <Wood
          from={0}
          to={1}
          width={120}
          height={13}
          x={(value) => value * 120}
          figures={false}
          fine={false}
        />
        <path
          d="M50 0.5h20L60 11z"
          fill={session.held ? 'var(--beech-ink)' : 'none'}
          stroke="var(--beech-ink)"
          strokeDasharray={session.held ? undefined : '2 2'}
        />
      </svg>
      {session.broken.length > 0 && (
        <span className={styles.broken}>
          <Mark kind="caution" size={15} />
          <span className="visually-hidden">{session.broken.length} broken rules</span>
        </span>
      )}
    </div>
  );
}

function LaneRow({
  lane,
  plan,
  over,
  chosen,
  onChoose,
  edit,
  drag,
}: Omit<Props, 'courseId'> & { lane: Lane; over: number | undefined; drag: Drag }) {
  const due = (session: number) =>
    plan.goals.filter((goal) => goal.strand === lane && goal.by === plan.sessions[session]?.number);
  return (
    <>
      <span className={styles.lane}>{lane ? capital(lane) : 'Other'}</span>
      {plan.sessions.map((session, index) => (
        <div
          key={session.lesson_id}
          className={styles.cell}
          data-session={index}
          data-over={over === index || undefined}
          data-held={session.held}
        >
          {session.blocks
            .filter((block) => (block.strand ?? undefined) === lane)
            .map((block) => (
              <Block
                key={`${block.cut} ${block.food}`}
                block={block}
                held={session.held}
                chosen={isChosen(block, chosen)}
                onChoose={onChoose}
                edit={edit}
                drag={drag}
              />
            ))}
          {due(index).map((goal) => (
            <span key={goal.title} className={styles.goal} title={goal.title}>
              <Mark kind={goal.state.in_time ? 'held' : 'todo'} size={14} />
              {goal.title.split(' by ')[0]}
            </span>
          ))}
        </div>
      ))}
    </>
  );
}

function Block({
  block,
  held,
  chosen,
  onChoose,
  edit,
  drag,
}: {
  block: Api['CourseBlock'];
  held: boolean;
  chosen: boolean;
  onChoose: (chosen: Chosen) => void;
  edit: Edit;
  drag: Drag;
}) {
  const tint = useTint(block.food);
  const start = useRef<number>(undefined);
  const dragged = useRef(false);
  const own = useRef<HTMLButtonElement>(null);
  // A block that was moved stands in another column and is made anew: whoever moved it by key goes on there.
  useLayoutEffect(() => {
    if (chosen && document.activeElement === document.body) own.current?.focus();
  }, [chosen]);
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (held) return;
    if (event.key === 'ArrowLeft' || event.key === 'ArrowRight')
      edit.step(block, event.key === 'ArrowRight' ? 1 : -1);
    else if (event.key === 'Delete') edit.change(block, undefined);
    else if (event.key.toLowerCase() === 'p') edit.change(block, { pinned: !block.pinned });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <button
      ref={own}
      type="button"
      className={styles.block}
      data-kind={block.kind}
      data-changed={block.changed || undefined}
      data-block={`${block.session} ${block.cut}`}
      aria-pressed={chosen}
      aria-describedby="block-keys"
      onClick={() => {
        // The click that ends a drag is about the block where it was.
        if (!dragged.current) onChoose(block);
        dragged.current = false;
      }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        start.current = held ? undefined : event.clientX;
        if (!held) event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => start.current !== undefined && drag.over(event)}
      onPointerUp={(event) => {
        dragged.current = start.current !== undefined && Math.abs(event.clientX - start.current) > 8;
        if (dragged.current) drag.drop(event, block);
        start.current = undefined;
      }}
    >
      {block.section && (
        <span className={styles.section} aria-hidden>
          <Section drawing={block.section} size={16} label="" tint={tint} />
        </span>
      )}
      <strong>{capital(block.cut_name)}</strong>
      {block.broken.length > 0 && <Mark kind="caution" size={15} />}
      <span className={styles.food}>{block.food_name}</span>
      {block.pinned && !held && <Nail />}
      <span className="visually-hidden">
        , {block.kind}
        {block.pinned && ', pinned'}
        {block.broken.length > 0 && `, breaks ${block.broken.length} rules`}
      </span>
    </button>
  );
}

/** A nail: it stays where it is. */
function Nail() {
  return (
    <svg width="10" height="10" viewBox="0 0 10 10" className={styles.nail} aria-hidden>
      <circle cx="5" cy="5" r="3.4" fill="var(--ink-2)" />
      <path d="M3.6 5h2.8" stroke="var(--card)" strokeWidth="1.1" />
    </svg>
  );
}

function Minutes({ session }: { session: Api['CourseSession'] }) {
  const share = session.practice > 0 ? Math.min(1, session.needed / session.practice) : 1;
  const over = session.needed > session.practice;
  return (
    <div className={styles.minutes} data-over={over || undefined}>
      <span className="mono">
        {session.needed} of {session.practice}
      </span>
      <span className={styles.bar} aria-hidden>
        <span style={{ width: `${share * 100}%` }} />
      </span>
    </div>
  );
}

/** A thin arc from where a technique was learnt to where it comes back. */
function Arcs({ plan, chosen }: { plan: Api['CoursePlan']; chosen: Chosen | undefined }) {
  const sheet = useRef<SVGSVGElement>(null);
  const [paths, setPaths] = useState<{ key: string; d: string; strong: boolean }[]>([]);
  useLayoutEffect(() => {
    const frame = sheet.current?.parentElement;
    if (!frame) return;
    const draw = () => {
      const origin = frame.getBoundingClientRect();
      const place = (session: number, cut: string) => {
        const found = frame.querySelector(`[data-block="${session} ${cut}"]`)?.getBoundingClientRect();
        return found && { x: found.left + found.width / 2 - origin.left, y: found.top - origin.top };
      };
      setPaths(
        plan.sessions.flatMap((session) =>
          session.blocks.flatMap((block) => {
            const from =
              block.from === null || block.from === undefined ? undefined : place(block.from, block.cut);
            const to = place(block.session, block.cut);
            if (!from || !to) return [];
            const up = Math.min(from.y, to.y) - Math.min(26, 8 + Math.abs(to.x - from.x) / 40);
            const d = `M${from.x} ${from.y}C${from.x} ${up} ${to.x} ${up} ${to.x} ${to.y}`;
            return [{ key: `${block.session} ${block.cut}`, d, strong: block.cut === chosen?.cut }];
          }),
        ),
      );
    };
    draw();
    const watcher = new ResizeObserver(draw);
    watcher.observe(frame);
    return () => watcher.disconnect();
  }, [plan, chosen]);
  return (
    <svg ref={sheet} className={styles.arcs} aria-hidden>
      {paths.map(({ key, d, strong }) => (
        <path key={key} d={d} data-strong={strong || undefined} />
      ))}
    </svg>
  );
}
