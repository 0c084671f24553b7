/** How lines end and turn, as a choice. */
export const LINE_ENDS = [
  { value: 'round', text: 'Round' },
  { value: 'sharp', text: 'Sharp' },
  { value: 'flat', text: 'Cut off' },
] as const;
