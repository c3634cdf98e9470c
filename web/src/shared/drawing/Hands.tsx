import type { Api } from '../../api/client';
import { BLADE, BOARD, Figure, HANDLE, limb, shape } from './Figure';
import type { FigureProps, Piece } from './Figure';

/** The guide hand seen from the front, the blade from its end where it cuts down. */
const HOLDS: Record<Api['Hold'], Piece[]> = {
  claw: [
    BOARD,
    shape('M14 78h88v20H14z', 'food'),
    shape('M110 80h8v18h-8zM122 84h8v14h-8z', 'food'),
    limb(30, 2, 22, 34, 40),
    limb(14, 40, 52, 56, 70, 48, 82),
    limb(14, 40, 34, 66, 30, 84, 48, 76, 78),
    limb(14, 38, 40, 68, 38, 90, 54, 82, 80),
    shape('M97 8h5v90h-5z'),
  ],
  bridge: [
    BOARD,
    shape('M40 98a40 40 0 0 1 80 0z', 'food'),
    limb(30, 60, 2, 78, 20),
    limb(15, 78, 20, 46, 34, 30, 80),
    limb(15, 80, 20, 116, 32, 130, 80),
    shape('M78 40h5v58h-5z'),
  ],
  flat_palm: [
    BOARD,
    shape('M36 58h84v40H36z', 'food'),
    shape('M70 76h86v6H70l-8 -3z'),
    limb(30, 2, 28, 30, 45),
    limb(14, 34, 49, 84, 51, 112, 42),
    limb(14, 34, 43, 80, 45, 108, 35),
  ],
  spine_top: [
    BOARD,
    shape('M10 84Q34 66 66 64h32v32H60Q30 96 10 84z'),
    shape('M98 65h52q6 0 6 7t-6 8q-26 -2 -40 1t-12 1z', 'handle'),
    limb(26, 48, 4, 62, 38),
    limb(14, 52, 50, 86, 57),
    limb(14, 56, 45, 88, 48, 100, 38),
  ],
  end_rest: [
    BOARD,
    shape('M44 100L66 20a9 9 0 0 1 18 2L70 100z', 'food'),
    limb(28, 4, 2, 44, 8),
    limb(14, 48, 6, 78, 14, 88, 30),
    limb(14, 46, 14, 66, 26, 74, 36),
    shape('M86 56l34 -10q8 -2 10 4t-6 9l-34 9z', 'handle'),
    shape('M78 60l14 -6l4 12l-14 5z'),
  ],
  fork: [
    BOARD,
    shape('M20 98q-6 -44 34 -46t40 46z', 'food'),
    shape('M104 30h5v68h-5z'),
    shape('M40 70L20 12l4 -1l22 56zM54 66L34 8l4 -1l22 56z'),
    shape('M20 14L36 8l-6 -8h-14z', 'handle'),
    limb(26, 2, 2, 14, 4),
  ],
  in_hand: [
    limb(34, 2, 98, 38, 74),
    shape('M52 52a34 34 0 1 0 68 0a34 34 0 1 0 -68 0z', 'food'),
    limb(14, 34, 66, 56, 86, 88, 92),
    limb(14, 36, 56, 50, 30, 78, 20),
    limb(14, 40, 72, 62, 74, 82, 70),
  ],
};

const around = (x: number, grip = 14): Piece => limb(grip, x, 32, x + 3, 44, x, 58);

/** The knife hand from the side. */
const GRIPS: Record<Api['Grip'], Piece[]> = {
  boning_fist: [
    limb(34, 158, 6, 120, 26),
    shape('M84 12h34v26H84z', 'handle'),
    shape('M88 38h26v20Q112 84 92 102Q86 80 88 58z'),
    limb(13, 78, 16, 124, 16),
    limb(13, 78, 27, 124, 27),
    limb(13, 80, 38, 122, 38),
  ],
  pinch: [
    limb(32, 158, 14, 132, 34),
    limb(14, 124, 66, 104, 66, 88, 56),
    BLADE,
    HANDLE,
    around(144, 13),
    around(131),
    around(117),
    limb(14, 124, 30, 104, 38, 86, 50),
  ],
  handle: [
    limb(32, 158, 12, 134, 30),
    BLADE,
    HANDLE,
    around(147, 13),
    around(134),
    around(121),
    around(108),
    limb(13, 132, 26, 116, 33),
  ],
  index_on_spine: [
    limb(32, 158, 12, 134, 30),
    BLADE,
    HANDLE,
    around(147, 13),
    around(134),
    around(121),
    limb(13, 128, 28, 100, 27, 64, 29),
  ],
  choked_back: [
    limb(30, 158, 8, 150, 26),
    BLADE,
    HANDLE,
    around(152, 12),
    around(140, 13),
    limb(13, 146, 26, 126, 34),
  ],
  paring: [
    limb(34, 158, 84, 128, 70),
    shape('M30 46h62v-16H44Q32 34 30 46z'),
    shape('M92 30h48q6 0 6 7t-6 8H92z', 'handle'),
    limb(14, 128, 26, 132, 40, 124, 54),
    limb(14, 113, 26, 117, 40, 109, 56),
    limb(14, 98, 26, 102, 40, 94, 56),
    limb(14, 122, 80, 96, 86, 68, 78),
    shape('M30 68a19 19 0 1 0 38 0a19 19 0 1 0 -38 0z', 'food'),
  ],
  spine_top: [
    BOARD,
    shape('M8 84Q34 66 62 64h36v32H58Q28 96 8 84z'),
    shape('M98 65h52q6 0 6 7t-6 8q-26 -2 -40 1t-12 1z', 'handle'),
    limb(28, 158, 44, 140, 60),
    limb(13, 144, 64, 147, 74, 144, 86),
    limb(13, 130, 64, 133, 74, 130, 86),
    limb(13, 116, 64, 119, 74, 116, 86),
    limb(26, 48, 4, 62, 38),
    limb(14, 52, 50, 86, 57),
    limb(14, 56, 45, 88, 48, 100, 38),
  ],
};

/** How the knife hand holds, as a line figure. */
export const GripFigure = ({ grip, ...props }: FigureProps & { grip: Api['Grip'] }) => (
  <Figure pieces={GRIPS[grip]} {...props} />
);

/** How the guide hand holds, as a line figure. */
export const HoldFigure = ({ hold, ...props }: FigureProps & { hold: Api['Hold'] }) => (
  <Figure pieces={HOLDS[hold]} {...props} />
);
