import type { CSSVariablesResolver, MantineColorsTuple } from '@mantine/core';
import { Button, createTheme } from '@mantine/core';

/** Beetroot, the one strong accent; 7 is the accent on paper, 3 in the dim theme. */
const beetroot: MantineColorsTuple = [
  '#F6E6EC',
  '#EDCBD8',
  '#E3A9C0',
  '#EFA3C2',
  '#C55C8B',
  '#AC3B70',
  '#9A2A5E',
  '#8A1F4F',
  '#701840',
  '#561031',
];

/** Warm greys between ink and paper, for the dim theme of the component library. */
const dark: MantineColorsTuple = [
  '#F0EADB',
  '#D9D3C4',
  '#BDBAAC',
  '#8E9389',
  '#4A534F',
  '#3C4541',
  '#2B3330',
  '#212826',
  '#1A201E',
  '#131816',
];

export const theme = createTheme({
  primaryColor: 'beetroot',
  primaryShade: { light: 7, dark: 3 },
  autoContrast: true,
  colors: { beetroot, dark },
  fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif",
  fontFamilyMonospace: "'Atkinson Hyperlegible Mono Variable', monospace",
  headings: { fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif" },
  fontSizes: { xs: '0.8125rem', sm: '0.875rem', md: '0.9375rem', lg: '1.0625rem', xl: '1.25rem' },
  defaultRadius: 'sm',
  cursorType: 'pointer',
  respectReducedMotion: true,
  components: {
    // The accent is light in the dim theme: what is written on it must be dark there.
    Button: Button.extend({
      vars: (_theme, { variant, disabled }) => ({
        root: (variant ?? 'filled') === 'filled' && !disabled ? { '--button-color': 'var(--on-accent)' } : {},
      }),
    }),
  },
});

const light = {
  '--paper': '#F6F1E6',
  '--card': '#FFFDF7',
  '--ink': '#17211F',
  '--ink-2': '#53605B',
  '--line': '#DCD1BC',
  '--line-strong': '#8C8069',
  '--beech': '#DDBE8E',
  '--beech-edge': '#8A6A3C',
  '--beech-ink': '#17211F',
  '--wood-deep': '#FFFDF7',
  '--accent': '#8A1F4F',
  '--accent-tint': '#F6E6EC',
  '--on-accent': '#FFFFFF',
  '--held': '#2F6B4C',
  '--held-tint': '#E3EFE6',
  '--caution': '#855300',
  '--caution-tint': '#FBEBC4',
  '--stop': '#A8231B',
  '--stop-tint': '#FBE3DF',
  '--steel': '#CBD4D5',
  '--steel-edge': '#4C5856',
  '--handle': '#3A2B22',
  '--food': '#EFE0B4',
  '--carrot': '#E27D2E',
  '--hatch': '#B79F6E',
};

const dim = {
  '--paper': '#171D1B',
  '--card': '#202725',
  '--ink': '#F0EADB',
  '--ink-2': '#B9BAAD',
  '--line': '#3C4541',
  '--line-strong': '#8E9389',
  '--beech': '#B08A58',
  '--beech-edge': '#E0C08C',
  '--beech-ink': '#14110B',
  '--wood-deep': '#171D1B',
  '--accent': '#EFA3C2',
  '--accent-tint': '#3B2430',
  '--on-accent': '#2B0E1B',
  '--held': '#8FD3AE',
  '--held-tint': '#20372C',
  '--caution': '#F2C66B',
  '--caution-tint': '#3D3114',
  '--stop': '#FFA69C',
  '--stop-tint': '#45221E',
  '--steel': '#A9B4B5',
  '--steel-edge': '#DDE4E3',
  '--handle': '#8A6B55',
  '--food': '#6B6140',
  '--carrot': '#C06A28',
  '--hatch': '#8D7B53',
};

/** Our own tokens beside the library's variables, for each of the two themes. */
export const resolver: CSSVariablesResolver = () => ({
  variables: {},
  light: {
    ...light,
    '--mantine-color-body': light['--paper'],
    '--mantine-color-text': light['--ink'],
    '--mantine-color-dimmed': light['--ink-2'],
    '--mantine-color-default': light['--card'],
    '--mantine-color-default-border': light['--line'],
    '--mantine-color-error': light['--stop'],
    '--mantine-color-placeholder': '#6A736E',
  },
  dark: {
    ...dim,
    '--mantine-color-body': dim['--paper'],
    '--mantine-color-text': dim['--ink'],
    '--mantine-color-dimmed': dim['--ink-2'],
    '--mantine-color-default': dim['--card'],
    '--mantine-color-default-border': dim['--line'],
    '--mantine-color-error': dim['--stop'],
    '--mantine-color-placeholder': '#A3A79B',
  },
});
