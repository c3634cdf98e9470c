import { Button, NumberInput, Select } from '@mantine/core';
import { Link } from 'react-router';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useBench, useCatalogue, useCourse } from '../../api/queries';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import { capital, grams, minutes, percent, useUnit } from '../../shared/format';
import { SizeRule } from '../../shared/rule';
import { Failed, Loading, Trouble } from '../../shared/State';
import styles from './Bench.module.css';
import { Slider } from './Slider';
import { useAddress } from './useAddress';
import { WaySection } from './WaySection';

/** Sticks, dice and slices of a food: deciding which food, size and way to teach, and what to buy. */
export function BlockView({ courseId, tabs }: { courseId: number; tabs: React.ReactNode }) {
  const at = useAddress();
  const catalogue = useCatalogue();
  const course = useCourse(courseId);
  const food = at.word('food', 'carrot');
  const cut = at.word('cut', 'julienne');
  const errors: Api['CutErrors'] = {
    plank_bias: at.number('plank', 0),
    stick_bias: at.number('stick', 0),
    length_bias: 0,
    lean_degrees: at.number('lean', 0),
    step_cv: at.number('uneven', 0) / 100,
  };
  const question: Api['BenchQuestion'] = {
    food,
    cut,
    thickness: at.optional('t'),
    width: at.optional('w'),
    length: at.optional('l'),
    good: Math.max(0, Math.min(65535, Math.round(at.number('good', 20)))),
    success: at.number('success', 80) / 100,
    errors,
  };
  const found = useBench(courseId, question);
  const problem = found.error instanceof ApiProblem ? found.error : undefined;
  const taught = catalogue.data?.sets.find((set) => set.id === course.data?.course.standard_set)?.cuts ?? {};
  if (!found.data && !problem)
    return found.isError ? <Failed error={found.error} again={() => void found.refetch()} /> : <Loading />;
  const data = found.data;
  const size = (key: 't' | 'w' | 'l', label: string, pointer: string) => (
    <NumberInput
      label={label}
      placeholder="standard"
      step={0.1}
      value={at.optional(key) ?? ''}
      onChange={(value) => at.change({ [key]: value })}
      error={problem?.at(pointer)}
    />
  );
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>{data?.title ?? 'The Bench'}</h1>
            <p className="quiet">
              {data ? `${data.size} mm · each figure follows as you change` : 'a cut seen before it is made'}
            </p>
          </div>
          {tabs}
        </div>
        <div className={styles.columns}>
          <div className="card stack">
            <Select
              label="Food"
              searchable
              allowDeselect={false}
              value={food}
              onChange={(value) => value && at.change({ food: value })}
              data={(catalogue.data?.foods ?? []).map((f) => ({ value: f.id, label: capital(f.name) }))}
              error={problem?.at('/food')}
            />
            <Select
              label="Cut"
              searchable
              allowDeselect={false}
              value={cut}
              onChange={(value) => value && at.change({ cut: value, t: null, w: null, l: null })}
              data={(catalogue.data?.cuts ?? [])
                .filter((c) => c.id in taught)
                .map((c) => ({ value: c.id, label: capital(c.name) }))}
              error={problem?.at('/cut')}
            />
            {size('t', 'Thickness, mm', '/thickness')}
            {size('w', 'Width, mm', '/width')}
            {size('l', 'Length, mm', '/length')}
            <NumberInput
              label="Good pieces for each student"
              min={1}
              max={2000}
              value={question.good}
              onChange={(value) => at.change({ good: value })}
              error={problem?.at('/good')}
            />
            <Slider
              label="Come out good"
              value={at.number('success', 80)}
              min={5}
              max={100}
              step={1}
              shown={`${at.number('success', 80)} %`}
              onChange={(value) => at.change({ success: value })}
            />
          </div>
          <div className="stack">
            <Trouble error={problem && !problem.document.problems.length ? problem : null} />
            {problem && <Trouble error={problem} />}
            {data && <Ways data={data} food={food} />}
            {data?.carried && <Errors data={data} carried={data.carried} />}
          </div>
        </div>
      </main>
      <Dock label="What to buy">
        <h2>What to buy, what is left</h2>
        {data && <Buy data={data} courseId={courseId} food={food} cut={cut} />}
        {catalogue.data && <Disclaimer>{catalogue.data.disclaimer}</Disclaimer>}
      </Dock>
    </>
  );
}

function Ways({ data, food }: { data: Api['BenchView']; food: string }) {
  if (data.no_count) return <p className="card">{capital(data.no_count)}.</p>;
  return (
    <>
      {data.nothing_fits && (
        <p className="card" role="status">
          {data.nothing_fits}
        </p>
      )}
      <div className={styles.ways}>
        {data.ways.map((way) => (
          <section key={way.way} className="card stack" aria-label={way.name}>
            <h2>{way.name}</h2>
            {data.outline && (
              <WaySection
                outline={data.outline}
                pieces={way.pieces_drawn}
                size={200}
                food={food}
                label={`Section, ${way.name.toLowerCase()}`}
              />
            )}
            <dl className={styles.figures}>
              <Figure name="pieces" value={String(way.pieces)} />
              <Figure name="strokes" value={String(way.strokes)} />
              <Figure name="minutes" value={minutes(way.minutes)} />
              <Figure name="becomes pieces" value={percent(way.share)} />
              <Figure name="trimmed" value={grams(way.trimmed_grams)} />
              <Figure name="ends" value={grams(way.ends_grams)} />
            </dl>
          </section>
        ))}
      </div>
      {data.difference && (
        <p role="status">
          <strong>{data.difference}</strong>
        </p>
      )}
      {data.steps.length > 0 && (
        <ol
          className={styles.steps}
          style={{ listStyle: 'none', padding: 0, margin: 0 }}
          aria-label="The chain"
        >
          {data.steps.map((step) => (
            <li key={step.title}>
              <strong>{step.title}</strong>
              <br />
              <span className="quiet">{step.detail}</span>
            </li>
          ))}
        </ol>
      )}
    </>
  );
}

export function Figure({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd className="figure">{value}</dd>
    </div>
  );
}

/** The first cut decides: errors along the chain, and what arrives. */
function Errors({ data, carried }: { data: Api['BenchView']; carried: Api['Carried'] }) {
  const at = useAddress();
  const [unit] = useUnit();
  const slide = (key: string, label: string, min: number, max: number, step: number, of: string) => (
    <Slider
      label={label}
      value={at.number(key, 0)}
      min={min}
      max={max}
      step={step}
      shown={`${at.number(key, 0)} ${of}`}
      onChange={(value) => at.change({ [key]: value === 0 ? null : value })}
    />
  );
  return (
    <section className="card stack" aria-label="The first cut decides">
      <h2>The first cut decides</h2>
      <div className={styles.ways}>
        {slide('plank', 'Planks too thick by', -3, 3, 0.1, 'mm')}
        {slide('stick', 'Sticks too wide by', -3, 3, 0.1, 'mm')}
        {slide('lean', 'The blade leans', 0, 20, 1, '°')}
        {slide('uneven', 'Steps uneven by', 0, 40, 1, '%')}
      </div>
      <p role="status">
        <strong>{carried.words}</strong>
      </p>
      <dl className={styles.figures}>
        <Figure name="thickness inside" value={percent(carried.thickness.inside)} />
        <Figure name="width inside" value={percent(carried.width.inside)} />
        <Figure name="spread of widths" value={`${carried.width.sd.toFixed(2)} mm`} />
        <Figure name="by the formula" value={`${(carried.width.closed_form[1] ?? 0).toFixed(2)} mm`} />
      </dl>
      {carried.thicknesses && (
        <div>
          <h3>Thickness of finished pieces of {data.title.toLowerCase()}</h3>
          <SizeRule side={carried.thicknesses} unit={unit} />
        </div>
      )}
      {carried.widths && (
        <div>
          <h3>Width</h3>
          <SizeRule side={carried.widths} unit={unit} />
        </div>
      )}
    </section>
  );
}

interface BuyProps {
  data: Api['BenchView'];
  courseId: number;
  food: string;
  cut: string;
}

function Buy({ data, courseId, food, cut }: BuyProps) {
  const course = useCourse(courseId);
  const at = useAddress();
  const catalogue = useCatalogue();
  const lessons = course.data?.lessons ?? [];
  const next = lessons.find((lesson) => lesson.when === 'next') ?? lessons.at(-1);
  const named = catalogue.data?.foods.find((each) => each.id === food);
  const standard = ['t', 'w', 'l'].every((key) => at.optional(key) === null);
  return (
    <>
      <p>
        Each student cuts <strong className="figure">{data.pieces_each}</strong>, so that nine in ten have
        enough good ones.
      </p>
      <ul>
        {data.ways.map((way) => (
          <Reason key={way.way} kind="note" title={`${way.name}:`}>
            {way.units_each} {way.units_each === 1 ? named?.name : named?.plural} each, {way.units_class} for
            the class, {grams(way.grams_class)}.
          </Reason>
        ))}
        <Reason kind="note" title="Trimmings">
          become {data.scraps}.
        </Reason>
      </ul>
      {next && !data.no_count && (
        <Button
          component={Link}
          to={`/courses/${courseId}/plan/${next.id}?add=1&food=${food}&cut=${cut}&amount=${data.pieces_each}`}
        >
          Pin to lesson {next.number}
        </Button>
      )}
      {!standard && (
        <p className="quiet">Plan works with the course’s own sizes, not with those tried here.</p>
      )}
    </>
  );
}
