/** Every colour of the product, by theme. Contrast against the ground is in docs/decisions/0003-look.md. */
export interface Tokens {
  ground: string;
  card: string;
  ink: string;
  quiet: string;
  line: string;
  left: string;
  right: string;
  warning: string;
  now: string;
}
export type ThemeName = 'paper' | 'dusk' | 'sun';

export const tokens: Record<ThemeName, Tokens> = {
  paper: {
    ground: '#F6F1E6',
    card: '#FFFDF7',
    ink: '#1C282C',
    quiet: '#4A5857',
    line: '#D8D0BE',
    left: '#0B6468',
    right: '#A8401A',
    warning: '#7A2A5A',
    now: '#E9B949',
  },
  dusk: {
    ground: '#151C20',
    card: '#1D262B',
    ink: '#F3ECDD',
    quiet: '#B9BFB6',
    line: '#3A464B',
    left: '#62CBCB',
    right: '#F2A077',
    warning: '#E6A6D0',
    now: '#E9B949',
  },
  sun: {
    ground: '#FFFFFF',
    card: '#FFFFFF',
    ink: '#000000',
    quiet: '#333333',
    line: '#8A8A8A',
    left: '#00565B',
    right: '#8F2F00',
    warning: '#6A1148',
    now: '#FFC93C',
  },
};
