import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import { useDraw } from '../../api/queries';
import styles from './Class.module.css';
import { Trouble } from '../../shared/State';

const whole = (value: string | number) => Math.max(1, Math.round(Number(value) || 1));

/** Ten pieces of a row, drawn by the program: nobody chooses. */
export function DrawTen({ usual }: { usual: number | null | undefined }) {
  const [of, setOf] = useState(usual ?? 20);
  const [asked, ask] = useState<{ of: number; seed: number }>();
  const drawn = useDraw(asked);
  return (
    <details className={styles.draw}>
      <summary>Draw which ten to take</summary>
      <p className="quiet">Lay the pieces in a row. The program says which ones, counted from the left.</p>
      <div className="row" style={{ alignItems: 'end' }}>
        <NumberInput
          label="Pieces in the row"
          w={140}
          min={1}
          max={500}
          value={of}
          onChange={(value) => setOf(whole(value))}
        />
        <Button
          variant="default"
          onClick={() => ask({ of, seed: crypto.getRandomValues(new Uint32Array(1))[0] ?? 0 })}
        >
          Draw
        </Button>
      </div>
      <Trouble error={drawn.error} />
      {drawn.data && (
        <p role="status" className={styles.places}>
          Take no. <span className="mono">{drawn.data.join(' · ')}</span>
        </p>
      )}
    </details>
  );
}
