import type { Api } from '../api/client';
import { Mark } from './mark';
import { Said } from './Said';

/** Knives by count: what was understood, and what is to mend. */
export function KnifeItems({ list }: { list: Api['KnifeList'] }) {
  return list.items.map((item, index) => (
    <div key={index}>
      {item.knives.length > 0 ? (
        <>
          <Mark kind="held" /> <Said>{item.said}</Said>
        </>
      ) : (
        item.problems.map((problem) => (
          <div key={problem.message}>
            <Mark kind="stop" label /> <Said>{problem.sentence}</Said>
          </div>
        ))
      )}
    </div>
  ));
}
