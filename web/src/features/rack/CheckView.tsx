import { Button, TextInput } from '@mantine/core';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useCheckSheet, useZone } from '../../api/queries';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import { civil, day, hour } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useTick } from './changes';
import { useWho } from '../../shared/who';
import styles from './Rack.module.css';

const PARTS: Record<Api['CheckPart'], string> = {
  knives: 'Knives',
  edges: 'Edges',
  stations: 'Stations',
  food: 'Food',
  safety: 'Safety',
};

interface Props {
  courseId: number;
  lessonId: number | undefined;
  tabs: React.ReactNode;
}

/** The morning of the class: knives, edges, boards, food, first aid, each line ticked with who and when. */
export function CheckView({ courseId, lessonId, tabs }: Props) {
  if (lessonId === undefined) {
    return (
      <main className={styles.work}>
        <div className="spread">
          <h1>Before class</h1>
          {tabs}
        </div>
        <p>
          No lesson yet. <Link to={`/courses/${courseId}/plan`}>Plan one</Link>; its check sheet follows.
        </p>
      </main>
    );
  }
  return <Sheet key={lessonId} courseId={courseId} lessonId={lessonId} tabs={tabs} />;
}

function Sheet({ courseId, lessonId, tabs }: { courseId: number; lessonId: number; tabs: React.ReactNode }) {
  const zone = useZone(courseId);
  const sheet = useCheckSheet(lessonId);
  const [who, setWho] = useWho();
  const tick = useTick(lessonId);
  if (!sheet.data)
    return sheet.isError ? <Failed error={sheet.error} again={() => void sheet.refetch()} /> : <Loading />;
  const { lesson, items, done, short, disclaimer } = sheet.data;
  const problem = tick.error instanceof ApiProblem ? tick.error : undefined;
  const parts = (Object.keys(PARTS) as Api['CheckPart'][]).filter((part) =>
    items.some((item) => item.part === part),
  );
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>Before class: {lesson.title}</h1>
            <p className="quiet">
              Lesson {lesson.number} · {day(lesson.starts_at)}, {hour(lesson.starts_at)} · {done} of{' '}
              {items.length} done
            </p>
          </div>
          {tabs}
        </div>
        <div className="row" style={{ alignItems: 'flex-end' }}>
          <TextInput
            label="Who is checking"
            withAsterisk
            placeholder="Your name"
            value={who}
            onChange={(event) => setWho(event.currentTarget.value)}
            error={problem?.at('/who')}
          />
          <Button variant="default" onClick={() => window.print()}>
            Print
          </Button>
        </div>
        {!problem?.at('/who') && <Trouble error={tick.error} />}
        {parts.map((part) => (
          <section key={part} aria-label={PARTS[part]}>
            <h2 style={{ marginBottom: 6 }}>{PARTS[part]}</h2>
            <ul className={styles.lines}>
              {items
                .filter((item) => item.part === part)
                .map((item) => (
                  <Item
                    key={item.id}
                    item={item}
                    zone={zone}
                    onTick={(ticked) => tick.mutate({ item: item.id, ticked, who })}
                  />
                ))}
            </ul>
          </section>
        ))}
      </main>
      <Dock label="What the class is short of">
        <h2>{short.length === 0 ? 'Short of nothing' : 'Short of'}</h2>
        <ul>
          {short.map((words) => (
            <Reason key={words} kind="stop">
              {words}
            </Reason>
          ))}
          <Reason kind="caution" title="Test, then hone.">
            A knife that fails its test is written down in its care and leaves this sheet.
          </Reason>
        </ul>
        <Disclaimer>{disclaimer}</Disclaimer>
      </Dock>
    </>
  );
}

interface ItemProps {
  item: Api['CheckItem'];
  zone: string;
  onTick: (ticked: boolean) => void;
}

function Item({ item, zone, onTick }: ItemProps) {
  const { tick } = item;
  return (
    <li className={`card ${styles.check}`} data-short={item.short > 0}>
      <label>
        <input
          type="checkbox"
          checked={Boolean(tick)}
          onChange={(event) => onTick(event.currentTarget.checked)}
          aria-label={item.title}
        />
        <span>
          <strong>{item.title}</strong>
          {item.short > 0 && (
            <span className="chip" data-kind="stop" style={{ marginLeft: 8 }}>
              <Mark kind="stop" size={13} /> {item.short} short
            </span>
          )}
          <span className="quiet" style={{ display: 'block' }}>
            {item.detail}
            {item.numbers.length > 0 && <span className="mono"> No. {item.numbers.join(', ')}</span>}
          </span>
        </span>
      </label>
      {tick && (
        <span className="quiet" style={{ whiteSpace: 'nowrap' }}>
          {tick.who}, {hour(civil(tick.at, zone))}
        </span>
      )}
    </li>
  );
}
