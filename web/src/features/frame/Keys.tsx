import { Modal } from '@mantine/core';

const KEYS: [string, string][] = [
  ['/', 'Find a student, knife, lesson or place'],
  ['r  b  e  p  c  y', 'Rack, Playbook, Bench, Plan, Class, Yard'],
  ['i', 'Lengths in inches, and back in millimetres'],
  ['← → ↑ ↓', 'In the Playbook: from cell to cell'],
  ['v', 'In the Playbook: set the cell against another knife'],
  ['← →', 'On a segment: a minute less, a minute more (Shift: five)'],
  ['Alt ← →', 'On a segment: move it'],
  ['n', 'In Plan: add an exercise'],
  ['[  ]', 'In Class: the station before, the station after'],
  ['s', 'In Class: start or stop the attempt'],
  ['m', 'In Class: to the measured pieces'],
  ['Ctrl Enter', 'In the pieces: keep the sample'],
  ['x', 'In the made-up school: back to your own'],
  ['← →', 'On a technique of the course: to another session (P pins it, Delete takes it out)'],
  ['?', 'This sheet'],
];

/** The keys, which work wherever no text is being typed. */
export default function Keys({ close }: { close: () => void }) {
  return (
    <Modal opened onClose={close} title="Keys" size="md" closeButtonProps={{ 'aria-label': 'Close' }}>
      <dl style={{ display: 'grid', gridTemplateColumns: '120px 1fr', gap: '8px 14px', margin: 0 }}>
        {KEYS.map(([key, does]) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd style={{ margin: 0 }}>{does}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
