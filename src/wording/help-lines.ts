/** How something is done, and the step at which it is. */
export interface HelpLine {
  readonly text: string;
  readonly step: 'Colours' | 'Build' | 'Lay' | 'Check' | 'Try on' | 'Send';
}

/** What people ask, each with where to find it. */
export const HELP_LINES: readonly HelpLine[] = [
  { text: 'Mirror a sequence: Mirrored, under its counts', step: 'Build' },
  { text: 'Give the weft a sequence of its own: Weft, its own', step: 'Build' },
  { text: 'Make graduated bands, a spacer, an overcheck: Rework', step: 'Build' },
  { text: 'Cross a stripe with itself: Turn this stripe into a plaid', step: 'Build' },
  { text: 'Print bands at a strength of their own: A12@60%', step: 'Build' },
  { text: 'Lines at an angle that repeat: Direction, at an angle', step: 'Build' },
  { text: 'Fit 45° lines into a square: 45° in a square', step: 'Build' },
  { text: 'Weave by name: 8-end satin, 2/2 twill, herringbone 2/2 8', step: 'Build' },
  { text: 'Edit threading, tie-up and treadling: Show the draft', step: 'Build' },
  { text: 'Choose another tiling by its picture: the tiling itself', step: 'Build' },
  { text: 'Draw spokes, rings and lines over a tiling: Lines', step: 'Build' },
  { text: 'Bands or shades from a photograph: From a picture', step: 'Build' },
  { text: 'One design over another, blended: Lay something over', step: 'Build' },
  { text: 'The look of woven cloth on a print: Texture of a weave', step: 'Build' },
  { text: 'Paste colours as a list of hex values: Import shades', step: 'Colours' },
  { text: 'Keep the same design in other colours: Colourways', step: 'Colours' },
  { text: 'Merge shades that are nearly the same: Similar shades', step: 'Colours' },
  { text: 'Threads per inch or centimetre: Density', step: 'Lay' },
  { text: 'Does it repeat, and why: the repeat check', step: 'Check' },
  { text: 'Long floats and loose threads of a weave: Structure', step: 'Check' },
  { text: 'How much yarn a piece takes: Yarn', step: 'Check' },
  { text: 'A sheet of a size: A size', step: 'Send' },
  { text: 'A weave file for a loom: WIF', step: 'Send' },
  { text: 'A texture of the weave to lie over a print: Texture', step: 'Send' },
  { text: 'See it in use: a cushion, a dress, letters, a curtain, a room', step: 'Try on' },
  { text: 'Match a pattern at seams: Match, under Seams', step: 'Try on' },
  { text: 'Bend cloth: along an arc, waisted, in folds, round a form, in perspective', step: 'Try on' },
  { text: 'See it beside a person, or from three metres away', step: 'Try on' },
  { text: 'Send a drawing or a page with a ticket: Send this drawing', step: 'Try on' },
];
