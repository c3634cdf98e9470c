import { Button } from '@mantine/core';
import type { Api } from '../../api/client';
import { Mark } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import { useKeepBriefing } from '../class/changes';
import styles from './Ask.module.css';

interface Props {
  lesson: number;
  round: Api['AskRound'];
  standing: Api['AskStanding'];
  onAgain: () => void;
  onLeave: () => void;
}

/** How the round went; it is kept as a briefing, with who was there. It never cuts a notch. */
export function Ended({ lesson, round, standing, onAgain, onLeave }: Props) {
  const keep = useKeepBriefing(lesson);
  const kept = keep.isSuccess;
  return (
    <section className={styles.ended} aria-label="How it went">
      <h2 className="row">
        <Mark kind={standing.passed ? 'held' : 'todo'} size={26} label />
        {standing.passed ? 'Passed' : 'Ended before the end'}
      </h2>
      <p className={styles.told}>
        {standing.asked} of {standing.of} answered, {standing.right} right at once
        {standing.passed &&
          standing.right < standing.asked &&
          '; what was missed was answered right in the end'}
        {standing.open > 0 && `; ${standing.open} still missed`}.
      </p>
      {kept && (
        <p className="row" role="status">
          <Mark kind="held" /> Kept as a briefing{' '}
          {round.student_id ? 'of this student' : 'of everybody who is there'}.
        </p>
      )}
      <div className="row">
        {!kept && (
          <Button h={48} onClick={() => keep.mutate(round)} loading={keep.isPending}>
            Keep as a briefing
          </Button>
        )}
        <Button h={48} variant="default" onClick={onAgain}>
          Another round
        </Button>
        <Button h={48} variant={kept ? 'filled' : 'default'} onClick={onLeave}>
          Back to the class
        </Button>
      </div>
      <Trouble error={keep.error} />
      <p className="quiet">What is known here cuts no notch: notches are cut by attempts alone.</p>
    </section>
  );
}
