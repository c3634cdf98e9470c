import type { Api } from '../../api/client';
import { BOARD, Figure, limb, shape } from './Figure';
import type { FigureProps, Piece } from './Figure';

/** A knife flat on its side, tip at the left, from x to the right end. */
const knife = (x: number, y: number): Piece[] => [
  shape(`M${x} ${y + 10}Q${x + 14} ${y} ${x + 34} ${y}h34v14H${x + 30}Q${x + 8} ${y + 14} ${x} ${y + 10}z`),
  shape(`M${x + 68} ${y}h34q5 0 5 5t-5 5h-34z`, 'handle'),
];

/** The blade from its end, cutting down at x. */
const endOn = (x: number, top: number, bottom = 98): Piece => shape(`M${x} ${top}h5v${bottom - top}h-5z`);

/** A bent arrow for what moves. */
const arrow = (d: string): Piece => ({ kind: 'arrow', d });

/** What goes wrong, as a line figure. */
const FAULTS: Record<Api['FaultPicture'], Piece[]> = {
  finger_ahead: [
    BOARD,
    shape('M14 76h92v22H14z', 'food'),
    limb(30, 2, 18, 36, 38),
    limb(14, 40, 44, 60, 62, 64, 78),
    limb(14, 40, 34, 74, 48, 112, 78),
    limb(14, 38, 40, 68, 58, 84, 80),
    endOn(97, 6),
  ],
  edge_to_hand: [
    BOARD,
    shape('M30 64h66v34H30z', 'food'),
    limb(30, 2, 60, 22, 74),
    limb(14, 22, 70, 34, 62, 46, 68),
    limb(14, 22, 82, 34, 82, 44, 84),
    shape('M58 46h60v10H66q-8 -2 -8 -10z'),
    shape('M118 45h34q6 0 6 6t-6 6h-34z', 'handle'),
    arrow('M112 30H62'),
  ],
  hand_under_falling: [
    shape('M4 30h70v8H4zM12 38h6v64h-6zM60 38h6v64h-6z', 'board'),
    shape('M92 8l10 -3l16 40q0 12 -8 18z'),
    shape('M104 4l-14 5l-8 -22h14z', 'handle'),
    limb(30, 158, 104, 138, 92),
    limb(13, 138, 90, 118, 84, 102, 74),
    limb(13, 140, 84, 124, 76, 112, 66),
    limb(13, 142, 82, 134, 70, 128, 58),
    arrow('M86 34v34'),
  ],
  blade_up: [
    limb(34, 120, 104, 96, 84),
    shape('M84 58h16v40H84z', 'handle'),
    shape('M84 58h16V22Q96 6 90 2Q82 20 84 58z'),
    limb(13, 78, 66, 106, 66),
    limb(13, 78, 78, 106, 78),
    limb(13, 80, 90, 104, 90),
    limb(26, 30, 104, 34, 66),
    { kind: 'limb', limb: { at: [34, 40, 34, 41], width: 30 } },
  ],
  knife_in_sink: [
    shape('M6 34h148v8H6z', 'board'),
    shape('M18 42h124v50q0 10 -10 10H28q-10 0 -10 -10z', 'steel', 0.35),
    shape('M70 66h52v12H84Q72 76 70 66z', 'steel', 0.6),
    shape('M112 60l30 -26l8 8l-30 28z', 'handle'),
    { kind: 'wave', d: 'M22 58q8 -6 16 0t16 0t16 0t16 0t16 0t16 0t16 0' },
    { kind: 'wave', d: 'M26 74q8 -6 16 0t16 0t16 0t16 0t16 0t16 0' },
  ],
  blade_first: [
    limb(32, 158, 30, 136, 46),
    ...knife(38, 46),
    limb(13, 118, 40, 120, 52, 116, 62),
    limb(13, 130, 40, 132, 52, 128, 62),
    limb(32, 2, 78, 18, 66),
    limb(13, 20, 56, 34, 44),
    limb(13, 22, 62, 42, 54),
    limb(13, 22, 72, 44, 68),
    arrow('M84 28H44'),
  ],
  finger_on_edge: [
    shape('M20 58Q44 34 76 32h28v30H64Q34 66 20 58z'),
    shape('M104 33h46q6 0 6 7t-6 8h-46z', 'handle'),
    limb(30, 30, 104, 44, 92),
    limb(14, 44, 90, 60, 78, 72, 64),
    limb(14, 40, 92, 34, 84, 38, 78),
    arrow('M88 76H60'),
  ],
  board_moving: [
    shape('M26 70h100v10H26z', 'board'),
    shape('M4 80h152v4H4z', 'steel', 0.5),
    shape('M60 54h42v16H60z', 'food'),
    shape('M86 26h5v44h-5z'),
    { kind: 'wave', d: 'M8 66h12M4 74h14M10 58h8' },
    arrow('M112 60h34'),
    arrow('M46 60H12'),
  ],
  round_rolling: [
    BOARD,
    shape('M48 64a34 34 0 1 0 68 0a34 34 0 1 0 -68 0z', 'food'),
    endOn(92, 2, 52),
    limb(28, 2, 30, 28, 44),
    limb(13, 30, 44, 52, 46, 60, 56),
    limb(13, 32, 36, 58, 34, 70, 38),
    arrow('M116 34Q140 52 132 84'),
  ],
  tall_tapped: [
    BOARD,
    shape('M40 34h62v64H40z', 'food'),
    shape('M36 6h76v16H48Q38 20 36 6z'),
    shape('M112 6h40q6 0 6 6t-6 6h-40z', 'handle'),
    arrow('M124 30v44'),
    arrow('M20 70V30'),
  ],
  on_pile: [
    BOARD,
    shape('M30 98q4 -22 24 -24q10 -14 28 -8q22 -4 26 16q14 2 16 16z', 'food'),
    shape('M28 60Q46 44 74 50l34 8l-4 14l-36 -8Q44 62 28 60z'),
    shape('M108 58l36 9q5 2 4 7t-7 5l-36 -8z', 'handle'),
  ],
  fingers_under_level: [
    BOARD,
    shape('M34 60h84v38H34z', 'food'),
    shape('M74 78h82v6H74l-8 -3z'),
    limb(28, 2, 28, 30, 46),
    limb(13, 34, 50, 86, 52, 122, 58, 126, 80),
    limb(13, 34, 44, 82, 44, 108, 50, 110, 76),
    arrow('M60 88H26'),
  ],
  edge_pushes: [
    BOARD,
    shape('M12 84h12v14H12zM26 80h12v18H26zM18 72h12v12H18z', 'food'),
    // The blade from its end: thick at the spine, thin where it meets the board.
    shape('M52 98L86 22l12 5L55 99z'),
    arrow('M128 72H84'),
  ],
  last_stub: [
    BOARD,
    shape('M70 76h20v22H70z', 'food'),
    shape('M100 80h7v18h-7zM111 84h7v14h-7zM122 82h7v16h-7z', 'food'),
    limb(30, 2, 26, 36, 42),
    limb(14, 40, 50, 60, 66, 66, 86),
    limb(14, 40, 40, 70, 54, 78, 80),
    endOn(86, 6),
  ],
};

/** A fault as a line figure; what it shows is the question, so that its label does not say it. */
export const FaultFigure = ({ picture, ...props }: FigureProps & { picture: Api['FaultPicture'] }) => (
  <Figure pieces={FAULTS[picture]} {...props} />
);
