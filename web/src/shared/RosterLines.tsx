import { Checkbox } from '@mantine/core';
import type { Api } from '../api/client';
import { Mark } from './mark';
import styles from './RosterLines.module.css';
import { Said } from './Said';

/** Lines that are shown; a longer list is told by its number. */
const SHOWN = 200;

export const students = (count: number) => (count === 1 ? '1 student' : `${count} students`);

interface LinesProps {
  roster: Api['Roster'];
  /** Lines of people who are somebody else than the one of that name. */
  apart?: number[];
  onApart?: (line: number, apart: boolean) => void;
}

/** A class list line by line: what was understood, and what is to mend. */
export function RosterLines({ roster, apart = [], onApart }: LinesProps) {
  return (
    <>
      <p role="status">
        <strong>
          {students(roster.sound)}
          {roster.wrong > 0 && `, ${roster.wrong === 1 ? 'one line' : `${roster.wrong} lines`} to mend`}
        </strong>
        {roster.left_out.length > 0 && (
          <span className="quiet"> Not read: {roster.left_out.join(', ')}.</span>
        )}
      </p>
      <ol className={styles.lines} aria-label="Lines read">
        {roster.lines.slice(0, SHOWN).map((line) => (
          <li key={line.line} value={line.line}>
            {line.fields ? (
              <>
                <Mark kind="held" /> <strong>{line.fields.name}</strong>{' '}
                <span className="quiet">
                  <Said>{line.said}</Said>
                </span>
                {onApart && (line.person_id !== null || apart.includes(line.line)) && (
                  <Checkbox
                    label={`Somebody else of the name ${line.fields.name}`}
                    checked={apart.includes(line.line)}
                    onChange={(event) => onApart(line.line, event.currentTarget.checked)}
                  />
                )}
              </>
            ) : (
              line.problems.map((problem) => (
                <div key={problem.message}>
                  <Mark kind="stop" label /> <Said>{problem.sentence}</Said>
                </div>
              ))
            )}
          </li>
        ))}
      </ol>
      {roster.lines.length > SHOWN && <p className="quiet">and {roster.lines.length - SHOWN} more lines</p>}
    </>
  );
}
