import { Button } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { Api } from '../../api/client';
import { Said } from '../../shared/Said';
import { beat as begin } from './beat';
import type { Beating } from './beat';
import styles from './Class.module.css';

/** The beat to cut to, heard and seen; over an empty board it is a dry drill. */
export function BeatButton({ beat, dry }: { beat: Api['Beat']; dry: boolean }) {
  const [beating, setBeating] = useState<Beating>();
  const light = useRef<HTMLSpanElement>(null);
  useEffect(() => () => beating?.stop(), [beating]);
  const toggle = () => {
    if (beating) return setBeating(undefined);
    setBeating(
      begin(beat.per_minute, () => {
        light.current?.animate([{ opacity: 1 }, { opacity: 0.15 }], { duration: 180, fill: 'forwards' });
      }),
    );
  };
  return (
    <div className={styles.beat}>
      <Button
        h={46}
        variant={beating ? 'filled' : 'default'}
        aria-pressed={Boolean(beating)}
        onClick={toggle}
      >
        {beating ? 'Stop the beat' : dry ? 'Dry drill to the beat' : 'Beat'}
      </Button>
      <span ref={light} className={styles.light} aria-hidden />
      <span className="quiet">
        <Said>{beat.words}</Said>
        {dry && ' A dry drill has no food: the motion on an empty board.'}
      </span>
    </div>
  );
}
