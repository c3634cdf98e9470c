import { Checkbox, SegmentedControl, Select } from '@mantine/core';
import { useCallbackRef } from '@mantine/hooks';
import { parseAsBoolean, parseAsInteger, parseAsString, parseAsStringLiteral, useQueryStates } from 'nuqs';
import { memo, useRef } from 'react';
import type { Api } from '../../api/client';
import { useCatalogue, useCourse, useMatrix, useReadMatrix } from '../../api/queries';
import { capital } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Failed, Loading } from '../../shared/State';
import { foodChoices } from '../../shared/pantry';
import { useSaid } from '../../shared/Said';
import { CellDock } from './CellDock';
import { FitGlyph } from './Fit';
import { keyOf } from './keyOf';
import { Preparation } from './Preparation';
import styles from './Playbook.module.css';
import { Versus } from './Versus';
import { useUnit } from '../../shared/format';
import { targetText } from '../../shared/targetText';

/** The column to show first in a row: the knife that suits the cut best; none where all are refused. */
function bestIn(row: Api['MatrixRow'] | undefined): number | undefined {
  const cells = row?.cells ?? [];
  const most = Math.max(...cells.filter((cell) => !cell.refused).map((cell) => cell.score));
  const column = cells.findIndex((cell) => !cell.refused && cell.score === most);
  return column < 0 ? undefined : column;
}

const WORDS = {
  food: parseAsString.withDefault('potato'),
  knives: parseAsStringLiteral(['rack', 'types']).withDefault('rack'),
  student: parseAsInteger,
  odd: parseAsBoolean.withDefault(false),
  cut: parseAsString,
  knife: parseAsString,
  against: parseAsString,
};

/** Cuts against knives for a food: the evening before, choosing. */
export function MatrixView({ courseId, tabs }: { courseId: number; tabs: React.ReactNode }) {
  const [words, change] = useQueryStates(WORDS);
  const catalogue = useCatalogue();
  const course = useCourse(courseId);
  const { food, knives: source, student, odd } = words;
  const any = food === 'any';
  const asked = (next: string) => ({
    food: next === 'any' ? undefined : next,
    knives: source,
    student: student ?? undefined,
    odd: odd || undefined,
  });
  const matrix = useMatrix(courseId, asked(food));
  const read = useReadMatrix(courseId);
  if (!matrix.data)
    return matrix.isError ? <Failed error={matrix.error} again={() => void matrix.refetch()} /> : <Loading />;
  const { data } = matrix;
  const askedRow = data.rows.findIndex((row) => row.cut === words.cut);
  const askedColumn = data.knives.findIndex((knife) => keyOf(knife) === words.knife);
  const firstRow = data.rows.findIndex((row) => bestIn(row) !== undefined);
  const row = askedRow >= 0 ? askedRow : Math.max(0, firstRow);
  const column = askedColumn >= 0 ? askedColumn : (bestIn(data.rows[row]) ?? 0);
  const other = data.knives.findIndex((knife) => keyOf(knife) === words.against);
  const cut = data.rows[row];
  const knife = data.knives[column];
  const against = other >= 0 && other !== column ? data.knives[other] : undefined;
  const choose = (r: number, c: number) => {
    const [nextCut, nextKnife] = [data.rows[r], data.knives[c]];
    if (nextCut && nextKnife) void change({ cut: nextCut.cut, knife: keyOf(nextKnife) });
  };
  const selection =
    cut && knife
      ? {
          courseId,
          food,
          foodName: catalogue.data?.foods.find((f) => f.id === food)?.name ?? food,
          source,
          student,
          left: course.data?.students.find((s) => s.id === student)?.hand === 'left',
          cut,
          knife,
          cell: cut.cells[column],
        }
      : undefined;
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>Which knife for which cut</h1>
            <p className="quiet">
              {any ? 'Any food: how many foods each knife fits' : `${capital(selection?.foodName ?? food)}`} ·{' '}
              {data.knives.length} {source === 'rack' ? 'kinds on the rack' : 'knife types'} ·{' '}
              {data.rows.length} cuts
            </p>
          </div>
          {tabs}
        </div>
        <Asked
          catalogue={catalogue.data}
          students={course.data?.students ?? []}
          food={food}
          student={student}
          source={source}
          odd={odd}
          onFood={(next) => void read(asked(next)).then(() => change({ food: next }))}
          change={(next) => void change(next)}
        />
        <Grid
          matrix={data}
          at={[row, column]}
          against={other}
          onChoose={choose}
          onAgainst={(c) => {
            const next = data.knives[c];
            if (next) void change({ against: other === c ? null : keyOf(next) });
          }}
        />
        <Legend fits={data.fits} />
        {selection && !any && !against && <Preparation selection={selection} />}
        {selection && against && (
          <Versus
            selection={selection}
            against={against}
            close={() => void change({ against: null })}
            swap={() => void change({ knife: keyOf(against), against: keyOf(selection.knife) })}
          />
        )}
      </main>
      {selection && (
        <CellDock
          selection={selection}
          knives={data.knives}
          against={against ? keyOf(against) : null}
          onAgainst={(key) => void change({ against: key })}
        />
      )}
    </>
  );
}

interface AskedProps {
  catalogue: Api['CatalogueView'] | undefined;
  students: Api['Student'][];
  food: string;
  student: number | null;
  source: Api['KnifeSource'];
  odd: boolean;
  onFood: (food: string) => void;
  change: (next: {
    student?: number | null;
    knives?: Api['KnifeSource'];
    odd?: boolean;
    knife?: null;
    against?: null;
  }) => void;
}

/** Which food, for whom, with which knives. */
function Asked({ catalogue, students, food, student, source, odd, onFood, change }: AskedProps) {
  return (
    <div className="row" style={{ alignItems: 'flex-end' }}>
      <Select
        label="Food"
        searchable
        allowDeselect={false}
        value={food}
        onChange={(value) => value && onFood(value)}
        data={[{ value: 'any', label: 'Any food' }, ...foodChoices(catalogue)]}
      />
      <Select
        label="For"
        value={student === null ? '' : String(student)}
        allowDeselect={false}
        onChange={(value) => change({ student: value ? Number(value) : null })}
        data={[
          { value: '', label: 'The whole class' },
          ...students.map((s) => ({ value: String(s.id), label: s.name })),
        ]}
      />
      <SegmentedControl
        aria-label="Knives"
        value={source}
        onChange={(value) => change({ knives: value as Api['KnifeSource'], knife: null, against: null })}
        data={[
          { value: 'rack', label: 'On the rack' },
          { value: 'types', label: 'All types' },
        ]}
      />
      {food !== 'any' && (
        <Checkbox
          label="Odd cuts too"
          mb={9}
          checked={odd}
          onChange={(event) => change({ odd: event.currentTarget.checked })}
        />
      )}
    </div>
  );
}

function Legend({ fits }: { fits: number }) {
  return (
    <p className={styles.legend}>
      <span>
        <FitGlyph cell={sample(90)} fits={fits} /> deeper notch: better fit
      </span>
      <span>
        <FitGlyph cell={sample(25)} fits={fits} /> dashed: under {fits} of 100
      </span>
      <span>
        <FitGlyph cell={{ ...sample(0), refused: true }} fits={fits} /> refused
      </span>
      <span>
        <kbd>v</kbd> sets a cell against the chosen one
      </span>
    </p>
  );
}

const sample = (score: number): Api['MatrixCell'] => ({
  score,
  refused: false,
  warned: false,
  motion: null,
  words: [],
});

interface GridProps {
  matrix: Api['Matrix'];
  at: [number, number];
  against: number;
  onChoose: (row: number, column: number) => void;
  onAgainst: (column: number) => void;
}

/** The matrix itself: one cell is in the tab order, the arrow keys walk from it. */
function Grid({ matrix, at, against, onChoose, onAgainst }: GridProps) {
  const table = useRef<HTMLTableElement>(null);
  const [row, column] = at;
  const choose = useCallbackRef(onChoose);
  const onKey = useCallbackRef((event: React.KeyboardEvent, r: number, c: number) => {
    const steps: Record<string, [number, number]> = {
      ArrowUp: [r - 1, c],
      ArrowDown: [r + 1, c],
      ArrowLeft: [r, c - 1],
      ArrowRight: [r, c + 1],
      Home: [r, 0],
      End: [r, matrix.knives.length - 1],
    };
    const step = steps[event.key];
    if (step) {
      event.preventDefault();
      const nextRow = Math.max(0, Math.min(matrix.rows.length - 1, step[0]));
      const nextColumn = Math.max(0, Math.min(matrix.knives.length - 1, step[1]));
      onChoose(nextRow, nextColumn);
      table.current?.querySelector<HTMLButtonElement>(`[data-cell="${nextRow}/${nextColumn}"]`)?.focus();
    } else if (event.key === 'v') {
      event.preventDefault();
      onAgainst(c);
    }
  });
  return (
    <div className={styles.scroll}>
      <table className={styles.matrix} ref={table} aria-label="Cuts by knives">
        <thead>
          <tr>
            <td className={styles.rowHead} />
            {matrix.knives.map((knife) => (
              <th key={keyOf(knife)} scope="col" className={styles.head} data-dull={!knife.sharp}>
                <span>
                  {!knife.sharp && <Mark kind="stop" size={12} />} {knife.name}
                  {knife.numbers.length > 1 && ` ×${knife.numbers.length}`}
                  {!knife.sharp && `, no. ${knife.numbers.join()}`}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {matrix.rows.map((line, r) => (
            <Line
              key={line.cut}
              line={line}
              knives={matrix.knives}
              fits={matrix.fits}
              index={r}
              apart={r > 0 && matrix.rows[r - 1]?.family !== line.family}
              chosen={r === row ? column : -1}
              against={r === row ? against : -1}
              choose={choose}
              onKey={onKey}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface LineProps {
  line: Api['MatrixRow'];
  knives: Api['MatrixKnife'][];
  fits: number;
  index: number;
  /** Another family begins here. */
  apart: boolean;
  chosen: number;
  against: number;
  choose: (row: number, column: number) => void;
  onKey: (event: React.KeyboardEvent, row: number, column: number) => void;
}

/** A cut: drawn again only when it changes, so that walking the matrix stays quick. */
const Line = memo(function Line({
  line,
  knives,
  fits,
  index,
  apart,
  chosen,
  against,
  choose,
  onKey,
}: LineProps) {
  const said = useSaid();
  const [unit] = useUnit();
  const size = line.target && targetText(line.target, unit);
  return (
    <tr className={apart ? styles.family : undefined}>
      <th scope="row" className={styles.rowHead}>
        {capital(line.name)}
        {!line.taught && <small>odd here</small>}
        {size && <small className="mono">{size}</small>}
      </th>
      {line.cells.map((cell, c) => {
        const knife = knives[c];
        const dull = knife?.sharp === false ? `, no. ${knife.numbers.join()}` : '';
        return (
          <td key={knife ? keyOf(knife) : c} className={styles.cell}>
            <button
              type="button"
              data-cell={`${index}/${c}`}
              data-against={c === against}
              tabIndex={c === chosen ? 0 : -1}
              aria-pressed={c === chosen}
              aria-label={`${line.name}, ${knife?.name ?? ''}${dull}: ${cell.refused ? 'refused' : `${cell.score} of 100`}`}
              title={said(cell.words)}
              onClick={() => choose(index, c)}
              onKeyDown={(event) => onKey(event, index, c)}
            >
              <FitGlyph cell={cell} fits={fits} />
            </button>
          </td>
        );
      })}
    </tr>
  );
});
