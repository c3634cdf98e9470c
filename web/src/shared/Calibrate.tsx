import { Button, Modal, Slider } from '@mantine/core';
import { useState } from 'react';
import { usePixelsPerMillimetre } from './trueSize';

/** Length of a bank or library card, which is the same everywhere (ISO/IEC 7810). */
const CARD = { width: 85.6, height: 53.98 };

/** A card is held to the screen, once, so that what is drawn at true size is. */
export default function Calibrate({ close }: { close: () => void }) {
  const { pixels, keep } = usePixelsPerMillimetre();
  const [tried, setTried] = useState(pixels);
  return (
    <Modal
      opened
      onClose={close}
      title="True size on this screen"
      size="xl"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <div className="stack">
        <p>
          Hold any bank or library card to the screen, its left edge on the line. Move until it is as long.
        </p>
        <div style={{ overflow: 'hidden' }}>
          <div
            style={{
              width: CARD.width * tried,
              height: CARD.height * tried,
              border: '2px solid var(--accent)',
              borderRadius: 3.2 * tried,
            }}
          />
        </div>
        <Slider
          aria-label="Length of the card"
          thumbLabel="Length of the card"
          min={2}
          max={14}
          step={0.01}
          label={null}
          value={tried}
          onChange={setTried}
        />
        <div className="row">
          <Button
            onClick={() => {
              keep(tried);
              close();
            }}
          >
            It is as long as the card
          </Button>
          <Button variant="default" onClick={close}>
            Leave it
          </Button>
        </div>
      </div>
    </Modal>
  );
}
