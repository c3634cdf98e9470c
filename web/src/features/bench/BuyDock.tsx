import { Button, NumberInput } from '@mantine/core';
import { Link } from 'react-router';
import type { Api, ApiProblem } from '../../api/client';
import { useCatalogue, useCourse } from '../../api/queries';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import type { useAddress } from '../../shared/address';
import { capital, grams } from '../../shared/format';
import styles from './Bench.module.css';
import { kept, keptBeside } from './question';

interface Props {
  at: ReturnType<typeof useAddress>;
  data: Api['BenchView'] | undefined;
  question: Api['BenchQuestion'];
  problem: ApiProblem | undefined;
  courseId: number;
}

const money = (sum: number) => sum.toFixed(2);

/** What to buy, what it becomes, what is left, and where to take it from here. */
export function BuyDock({ at, data, question, problem, courseId }: Props) {
  const catalogue = useCatalogue();
  const named = catalogue.data?.foods.find((each) => each.id === question.food);
  return (
    <Dock label="What to buy">
      <h2>What to buy, what is left</h2>
      {data && data.ways.length > 0 && (
        <>
          <p>
            Each student cuts <strong className="figure">{data.pieces_each}</strong>, so that nine in ten have
            enough good ones.
          </p>
          <ul>
            {data.ways.map((way, index) => (
              <Reason key={way.way} kind={index === data.way ? 'held' : 'note'} title={`${way.name}:`}>
                {way.units_each} {way.units_each === 1 ? named?.name : named?.plural} each, {way.units_class}{' '}
                for the class, {grams(way.grams_class)}
                {way.cost_class !== null &&
                  way.cost_class !== undefined &&
                  `, costs ${money(way.cost_class)}`}
                .
              </Reason>
            ))}
          </ul>
          <NumberInput
            label="A kilogram costs"
            placeholder="no price"
            min={0}
            max={1000}
            decimalScale={2}
            value={at.optional('price') ?? ''}
            onChange={(value) => at.change({ price: value })}
            error={problem?.at('/price')}
          />
        </>
      )}
      {data && <Products at={at} data={data} question={question} />}
      {data && <Onward at={at} data={data} question={question} courseId={courseId} />}
      {data && data.cautions.length > 0 && (
        <ul aria-label="Cautions">
          {data.cautions.map((caution) => (
            <Reason key={caution.id} kind={caution.severity} title={caution.title}>
              {caution.text}
            </Reason>
          ))}
        </ul>
      )}
      {catalogue.data && <Disclaimer>{catalogue.data.disclaimer}</Disclaimer>}
    </Dock>
  );
}

/** Products that feed each other: the cut, what goes on, mince of the short ends, the rest by use. */
function Products({ at, data, question }: Pick<Props, 'at' | 'question'> & { data: Api['BenchView'] }) {
  if (data.products.length === 0) return null;
  return (
    <>
      {data.feeds && (
        <NumberInput
          label={`Of these, on to ${data.feeds}`}
          description="pieces of each student"
          min={0}
          max={2000}
          value={question.onward ?? 0}
          onChange={(value) => at.change({ onward: value === 0 ? null : value })}
        />
      )}
      <table className={styles.table} aria-label="What becomes of it">
        <thead>
          <tr>
            <th scope="col">Becomes</th>
            <th scope="col">Each</th>
            <th scope="col">Class</th>
          </tr>
        </thead>
        <tbody>
          {data.products.map((product) => (
            <tr key={product.name}>
              <th scope="row">
                {capital(product.name)}
                <small className="quiet"> {product.of}</small>
                {product.passes ? <small className="quiet">, {product.passes} passes</small> : null}
              </th>
              <td className="mono">{product.each ?? grams(product.grams_each)}</td>
              <td className="mono">{grams(product.grams_class)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** To a lesson, beside another, onto paper, or to the layers. */
function Onward({
  at,
  data,
  question,
  courseId,
}: Pick<Props, 'at' | 'question' | 'courseId'> & { data: Api['BenchView'] }) {
  const course = useCourse(courseId);
  const lessons = course.data?.lessons ?? [];
  const next = lessons.find((lesson) => lesson.when === 'next') ?? lessons.at(-1);
  const standard = ['t', 'w', 'l'].every((key) => at.optional(key) === null);
  const knife = at.word('knife', '');
  const beside = keptBeside(at.word('beside', ''));
  const { layers } = data;
  const pin = new URLSearchParams({ add: '1', food: question.food, cut: question.cut });
  if (data.ways.length > 0) pin.set('amount', String(data.pieces_each));
  if (knife) pin.set('knife', knife);
  return (
    <div className="tight">
      {next && (
        <Button component={Link} to={`/courses/${courseId}/plan/${next.id}?${pin.toString()}`}>
          Pin to lesson {next.number}
        </Button>
      )}
      {!standard && (
        <p className="quiet">Plan works with the course’s own sizes, not with those tried here.</p>
      )}
      <Button
        variant="default"
        disabled={beside.length >= 2}
        onClick={() => at.change({ beside: [...beside, kept(at.search)].join(';') })}
      >
        Keep beside
      </Button>
      <Button
        variant="default"
        component={Link}
        to={`/courses/${courseId}/bench?${new URLSearchParams([...new URLSearchParams(at.search), ['view', 'card']]).toString()}`}
      >
        Student card
      </Button>
      {layers && (
        <Button
          variant="default"
          component={Link}
          to={`/courses/${courseId}/bench?${new URLSearchParams({
            view: 'onion',
            across: String(layers.across),
            layers: String(layers.layers),
            ...(layers.size ? { size: String(Number(layers.size.toFixed(4))) } : {}),
            ...(layers.length ? { long: String(layers.length) } : {}),
          }).toString()}`}
        >
          Layer by layer
        </Button>
      )}
    </div>
  );
}
