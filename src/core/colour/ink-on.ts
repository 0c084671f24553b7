import { wcagContrast } from 'culori';

/** Whether dark or light writing reads better on a shade. Source: W3C WCAG 2.2, contrast ratio. */
export function inkOn(hex: string): 'dark' | 'light' {
  return wcagContrast(hex, '#20292b') >= wcagContrast(hex, '#fffdf8') ? 'dark' : 'light';
}
