import { Button, Select } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useAsk } from '../../api/queries';
import { Failed, Loading } from '../../shared/State';
import { Asked } from './Asked';
import styles from './Ask.module.css';
import { Ended } from './Ended';
import { TwoMinutes } from './TwoMinutes';

interface Props {
  view: Api['ClassView'];
  onLeave: () => void;
}

const newSeed = () => crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;

/**
 * Two minutes of questions. The instructor stands before the room at briefing, fingers go up, and what most hold up is
 * touched; or a student who waits takes the tablet. What is decided from it: whether the first knives are handed out.
 */
export default function AskPage({ view, onLeave }: Props) {
  const [who, setWho] = useState(ROOM);
  const [seed, setSeed] = useState(newSeed);
  return (
    <main className={styles.ask}>
      <div className="spread">
        <h1>Ask me</h1>
        <div className="row">
          <Select
            aria-label="Who is asked"
            w={240}
            allowDeselect={false}
            data={[
              { value: ROOM, label: 'The room, by show of fingers' },
              ...view.stations.map(({ student: each }) => ({ value: String(each.id), label: each.name })),
            ]}
            value={who}
            onChange={(value) => value && setWho(value)}
          />
          <Button variant="default" onClick={onLeave}>
            Back to the class
          </Button>
        </div>
      </div>
      <Round
        key={`${who} ${seed}`}
        lesson={view.lesson.id}
        student={who === ROOM ? undefined : Number(who)}
        seed={seed}
        onAgain={() => setSeed(newSeed())}
        onLeave={onLeave}
      />
    </main>
  );
}

const ROOM = 'room';

interface RoundProps {
  lesson: number;
  student: number | undefined;
  seed: number;
  onAgain: () => void;
  onLeave: () => void;
}

function Round({ lesson, student, seed, onAgain, onLeave }: RoundProps) {
  const [answered, setAnswered] = useState<Api['Answered'][]>([]);
  const [chosen, setChosen] = useState<string>();
  const [ended, setEnded] = useState(false);
  const [begun] = useState(() => performance.now());
  const round = (answers: Api['Answered'][]) => ({ seed, student_id: student ?? null, answered: answers });
  const view = useAsk(lesson, round(answered));
  const question = view.data?.question;
  const withChoice =
    question && chosen !== undefined ? [...answered, { about: question.about, answer: chosen }] : undefined;
  // The one that follows is read while the reason is.
  const ahead = useAsk(lesson, withChoice && round(withChoice));
  if (!view.data)
    return view.isError ? <Failed error={view.error} again={() => void view.refetch()} /> : <Loading />;
  const { standing } = view.data;
  if (!question || ended)
    return (
      <Ended
        lesson={lesson}
        round={round(answered)}
        standing={standing}
        onAgain={onAgain}
        onLeave={onLeave}
      />
    );
  const next = () => {
    if (!withChoice) return;
    setAnswered(withChoice);
    setChosen(undefined);
  };
  return (
    <>
      <TwoMinutes seconds={standing.seconds} begun={begun} />
      <Asked
        key={answered.length}
        question={question}
        chosen={chosen}
        room={student === undefined}
        waiting={ahead.isFetching}
        onChoose={setChosen}
        onNext={next}
      />
      <div className="spread">
        <p className="quiet" role="status">
          {standing.asked} of {standing.of} answered, {standing.right} right at once
          {standing.open > 0 && `, ${standing.open} to come back`}
        </p>
        <Button variant="subtle" onClick={() => setEnded(true)} disabled={answered.length === 0}>
          End here
        </Button>
      </div>
    </>
  );
}
