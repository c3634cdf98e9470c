import { Button, NumberInput } from '@mantine/core';
import { memo } from 'react';
import { Link } from 'react-router';
import type { Api, ApiProblem } from '../../api/client';
import { useCatalogue, useCourse } from '../../api/queries';
import { Disclaimer, Dock, Reason } from '../../shared/dock';
import { capital, grams } from '../../shared/format';
import styles from './Bench.module.css';
import { keptCut, typed, writeCut } from './question';
import type { ChangeCut, CutWords } from './question';
import { Said } from '../../shared/Said';

interface Props {
  data: Api['BenchView'] | undefined;
  food: string;
  /** Pieces of each student that go on to the next cut. */
  onward: number;
  problem: ApiProblem | undefined;
  courseId: number;
  /** The words that the links lead on from. */
  at: CutWords;
  change: ChangeCut;
}

const money = (sum: number) => sum.toFixed(2);

/** What to buy, what it becomes, what is left, and where to take it from here. */
export const BuyDock = memo(function BuyDock(props: Props) {
  const { data, food, at, problem, change } = props;
  const catalogue = useCatalogue();
  const named = catalogue.data?.foods.find((each) => each.id === food);
  return (
    <Dock label="What to buy">
      <h2>What to buy, what is left</h2>
      {data && data.ways.length > 0 && (
        <>
          <p>
            <Said>{data.enough}</Said>
          </p>
          <ul>
            {data.ways.map((way, index) => (
              <Reason key={way.way} kind={index === data.way ? 'held' : 'note'} title={`${way.name}:`}>
                {way.units_each} {way.units_each === 1 ? named?.unit : named?.plural} each, {way.units_class}{' '}
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
            value={at.price ?? ''}
            onChange={(value) => change({ price: typed(value) })}
            error={problem?.at('/price')}
          />
        </>
      )}
      {data && <Products data={data} onward={props.onward} change={change} />}
      {data && <Onward {...props} data={data} />}
      {data && data.cautions.length > 0 && (
        <ul aria-label="Cautions">
          {data.cautions.map((caution) => (
            <Reason key={caution.id} kind={caution.severity} title={caution.title} says={caution.text} />
          ))}
        </ul>
      )}
      {catalogue.data && <Disclaimer>{catalogue.data.disclaimer}</Disclaimer>}
    </Dock>
  );
});

/** Products that feed each other: the cut, what goes on, mince of the short ends, the rest by use. */
function Products({ data, onward, change }: Pick<Props, 'onward' | 'change'> & { data: Api['BenchView'] }) {
  if (data.products.length === 0) return null;
  return (
    <>
      {data.feeds && (
        <NumberInput
          label={`Of these, on to ${data.feeds}`}
          description="pieces of each student"
          min={0}
          max={2000}
          value={onward}
          onChange={(value) => change({ onward: typed(value) })}
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
function Onward({ data, courseId, at, change }: Props & { data: Api['BenchView'] }) {
  const course = useCourse(courseId);
  const lessons = course.data?.lessons ?? [];
  const next = lessons.find((lesson) => lesson.when === 'next') ?? lessons.at(-1);
  // An exercise keeps its sizes, its way and its produce; food and cut are named though they be the usual.
  const { food, cut, knife, t, w, l, way, produce, peel } = at;
  const pin = new URLSearchParams(writeCut({ knife, t, w, l, way, produce, peel }));
  for (const [key, value] of Object.entries({ add: '1', food, cut })) pin.set(key, value);
  if (data.ways.length > 0) pin.set('amount', String(data.pieces_each));
  const { layers } = data;
  return (
    <div className="tight">
      {next && (
        <Button component={Link} to={`/courses/${courseId}/plan/${next.id}?${pin.toString()}`}>
          Pin to lesson {next.number}
        </Button>
      )}
      {(at.measured !== null || at.peel !== null) && (
        <p className="quiet">Plan buys by S, M and L: the measured food and its peel are not pinned.</p>
      )}
      <Button
        variant="default"
        disabled={at.beside.length >= 2}
        onClick={() => change((now) => ({ beside: [...now.beside, keptCut(now)] }))}
      >
        Keep beside
      </Button>
      <Button
        variant="default"
        component={Link}
        to={`/courses/${courseId}/bench${writeCut('?view=card', at)}`}
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
