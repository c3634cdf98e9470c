import { Button, NumberInput } from '@mantine/core';
import type { Api } from '../../api/client';
import { Knife } from '../../shared/drawing';
import { Dock, Reason } from '../../shared/dock';
import { Said } from '../../shared/Said';
import type { Sentence } from '../../shared/sentence';
import { withAbsent, withKnife, withLate, withPin } from './news';
import type { Selected } from './selected';
import { Way } from './Way';

interface Props {
  view: Api['RotationView'];
  news: Api['RotationFields'];
  selected: Selected | undefined;
  onNews: (news: Api['RotationFields']) => void;
  onClose: () => void;
}

/** What the rotation says, or what can be done with the student or the turn that is selected. */
export function RotationDock({ view, news, selected, onNews, onClose }: Props) {
  const row = view.rows.find((each) => each.student_id === selected?.student);
  return (
    <Dock label="Reasons and cautions" near={row !== undefined}>
      {row && (
        <>
          <div className="spread">
            <h2>{row.name}</h2>
            <Button size="compact-sm" variant="default" onClick={onClose}>
              Close
            </Button>
          </div>
          {selected?.exercise !== undefined && !row.absent ? (
            <TurnDock view={view} news={news} row={row} exercise={selected.exercise} onNews={onNews} />
          ) : (
            <StudentDock news={news} row={row} onNews={onNews} />
          )}
        </>
      )}
      <Told title="Changes" kind="caution" list={view.differences} />
      <LeftOut view={view} onNews={onNews} />
      <Told title="So that it fits" kind="caution" list={view.to_fit} />
      <Told title="What would help" kind="note" list={view.savings} />
      <Out view={view} news={news} onNews={onNews} />
      {!row && (
        <p className="quiet">
          Choose a student who is ill or late, or a turn: to hold it where it is, or because its knife broke.
          What was announced is changed as little as possible.
        </p>
      )}
    </Dock>
  );
}

function Told({ title, kind, list }: { title: string; kind: 'note' | 'caution' | 'stop'; list: Sentence[] }) {
  if (list.length === 0) return null;
  return (
    <section>
      <h3 style={{ marginBottom: 8 }}>{title}</h3>
      <ul>
        {list.map((words, index) => (
          <Reason key={index} kind={kind} says={words} />
        ))}
      </ul>
    </section>
  );
}

/** Turns that nobody can be given, each with what would free it. */
function LeftOut({ view, onNews }: Pick<Props, 'view' | 'onNews'>) {
  if (view.left_out.length === 0) return null;
  return (
    <section>
      <h3 style={{ marginBottom: 8 }}>Without a turn</h3>
      <ul>
        {view.left_out.map((left) => (
          <Reason key={`${left.student_id}-${left.exercise_id}`} kind="stop" says={left.words}>
            <span style={{ display: 'block', marginTop: 6 }}>
              <Way way={left.way} lessonId={view.lesson_id} onNews={onNews} />
            </span>
          </Reason>
        ))}
      </ul>
    </section>
  );
}

type Part = Pick<Props, 'view' | 'news' | 'onNews'>;

function Out({ view, news, onNews }: Part) {
  const out = view.knives.filter((knife) => knife.out);
  if (out.length === 0) return null;
  return (
    <section>
      <h3 style={{ marginBottom: 8 }}>Knives out of this lesson</h3>
      {out.map((knife) => (
        <div key={knife.id} className="spread">
          <span>{knife.name}</span>
          <Button size="compact-sm" variant="default" onClick={() => onNews(withKnife(news, knife.id))}>
            Back in
          </Button>
        </div>
      ))}
    </section>
  );
}

function StudentDock({ news, row, onNews }: Omit<Part, 'view'> & { row: Api['RotationRow'] }) {
  return (
    <section className="tight">
      <Button
        variant={row.absent ? 'filled' : 'default'}
        onClick={() => onNews(withAbsent(news, row.student_id))}
      >
        {row.absent ? 'Here after all' : 'Not here today'}
      </Button>
      {!row.absent && (
        <NumberInput
          label="Here from round"
          min={1}
          max={200}
          value={row.from_round}
          onChange={(value) => onNews(withLate(news, row.student_id, Math.round(Number(value) || 1)))}
        />
      )}
    </section>
  );
}

interface TurnProps extends Part {
  row: Api['RotationRow'];
  exercise: number;
}

function TurnDock({ view, news, row, exercise, onNews }: TurnProps) {
  const at = row.cells.findIndex((cell) => cell.kind === 'work' && cell.exercise_id === exercise);
  const cell = row.cells[at];
  if (cell?.kind !== 'work') return null;
  const knife = view.knives.find((each) => each.id === cell.knife_id);
  const round = view.rounds[at];
  const pin = {
    student_id: row.student_id,
    exercise_id: exercise,
    round: round?.number ?? 1,
    knife_id: cell.knife_id,
  };
  return (
    <section className="tight">
      <p>
        Round {round?.number}: <Said>{cell.words}</Said>
        {cell.fit_words && <>, which {cell.fit_words}</>}.
      </p>
      {knife?.silhouette && <Knife silhouette={knife.silhouette} scale={0.7} label={knife.name} />}
      {!round?.done && (
        <div className="row">
          <Button variant="default" onClick={() => onNews(withPin(news, pin))}>
            {cell.pinned ? 'Let it go' : 'Hold it here'}
          </Button>
          <Button variant="default" onClick={() => onNews(withKnife(news, cell.knife_id))}>
            No. {knife?.number} is out
          </Button>
        </div>
      )}
    </section>
  );
}
