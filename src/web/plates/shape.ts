import type { PlateColour } from '../../core/schema/plate.ts';

/** One path of a plate. */
export interface Shape {
  readonly d: string;
  readonly fill?: string;
  readonly stroke?: string;
  readonly width?: number;
  readonly opacity?: number;
}

/** Natural colours, the same in both themes. */
export const TINTS: Readonly<Record<PlateColour, string>> = {
  green: '#5d9157',
  'dark-green': '#2f5d3a',
  'pale-green': '#a9c58d',
  yellow: '#e3cf57',
  brown: '#8a6441',
  tan: '#c9a877',
  black: '#24221f',
  white: '#f7f6f1',
  gray: '#a3a49f',
  orange: '#d9812f',
  red: '#b5413a',
  purple: '#6d4674',
  pink: '#dc9aa8',
  blue: '#5f86a8',
  silver: '#ccd3d3',
  cream: '#efe4c6',
  olive: '#7d8048',
  amber: '#bd7a1c',
};

export const INK = '#34322c';
export const SHADE = '#4c5a44';
export const SOIL = '#6b5642';
/** Where nothing is left of the plant the ground of the plate shows. */
export const PAPER = 'var(--plate-ground)';
