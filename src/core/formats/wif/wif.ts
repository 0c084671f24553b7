/** One direction of a weave file. */
export interface WifThreads {
  readonly count: number;
  /** For each thread, an index into the palette, from 0. */
  readonly colours: readonly number[];
  readonly measures: WifMeasures;
}

/** What threads measure; texts are numbers that `parseExact` reads, in `unit`. */
export interface WifMeasures {
  readonly unit: 'cm' | 'in';
  /** What every thread takes up, and how thick it is; undefined where the file does not say. */
  readonly spacing: string | undefined;
  readonly thickness: string | undefined;
  /** The same of single threads, by their number from 1. */
  readonly spacings: WifLines;
  readonly thicknesses: WifLines;
}

export type WifLines = readonly (readonly [key: string, value: string])[];

/** What a weave file says. Shafts and treadles count from 1. */
export interface Wif {
  readonly title: string;
  readonly shafts: number;
  readonly warp: WifThreads;
  readonly weft: WifThreads;
  /** For each end, its shafts: one as a rule, none for an end that no shaft lifts. */
  readonly threading: readonly (readonly number[])[];
  /** For each pick, the shafts that are lifted. */
  readonly lifts: readonly (readonly number[])[];
  /** The tie-up and treadling as written, when there are any with one treadle a pick. */
  readonly treadles:
    | { readonly tieup: readonly (readonly number[])[]; readonly treadling: readonly number[] }
    | undefined;
  /** "#rrggbb". */
  readonly palette: readonly string[];
  /** Lines that are not understood, in sections of theirs or in known ones, kept as they were. */
  readonly kept: readonly WifKept[];
}

export interface WifKept {
  readonly section: string;
  readonly lines: WifLines;
}

/** Most threads each way. */
export const MAX_WIF_THREADS = 4096;
