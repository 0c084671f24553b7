import type { Generated } from 'kysely';
import type { Job } from '../../contracts/job.ts';
import type { PictureFile } from '../../core/shape/picture.ts';

/** Times are ISO 8601 in UTC. JSON columns are text and are parsed with their schema on the way out. */
export interface Database {
  design: DesignTable;
  design_revision: DesignRevisionTable;
  range: RangeTable;
  setting: SettingTable;
  picture: PictureTable;
  job: JobTable;
}

export interface DesignTable {
  id: string;
  name: string;
  number: string;
  kind: string;
  /** The design document as JSON. */
  document: string;
  /** Goes up by one with every write. */
  version: Generated<number>;
  /** Found at the last write, so that the shelf need not compile every design. */
  verdict: string;
  /** One repeat, as the shelf shows it; empty when there is none. */
  size: string;
  /** Square millimetres of it. */
  area: number;
  /** Small letters: everything the shelf's search looks at. */
  search: string;
  created_at: string;
  updated_at: string;
  /** The name as it is put in order: small letters without accents, numbers of equal length. */
  name_key: string;
  /** The range that it hangs in, and where there. */
  range_id: string | null;
  position: Generated<number>;
  /** 1 for those that somebody marked as favourites. */
  favourite: Generated<number>;
  /** Set while it lies in the bin. */
  deleted_at: string | null;
}

/** Earlier states of designs. */
export interface DesignRevisionTable {
  id: string;
  design_id: string;
  /** The design's version that it was. */
  version: number;
  /** Empty while nobody has named it. */
  name: string;
  document: string;
  /** Since when the design was so, and when this was kept. */
  at: string;
  kept_at: string;
}

export interface RangeTable {
  id: string;
  name: string;
  position: number;
}

export interface SettingTable {
  key: string;
  value: string;
}

/** Files of the pictures that designs show. */
export interface PictureTable {
  /** SHA-256 of its bytes, in hexadecimal. */
  hash: string;
  type: PictureFile['type'];
  bytes: Buffer;
  created_at: string;
  /** The running time at which it was first found that nothing shows it, in milliseconds; null while something does. */
  unused_running: Generated<number | null>;
}

/** Where jobs are done: on this machine, or at a print house. */
export type Lane = 'here' | 'print';

/** Files that are made for somebody. */
export interface JobTable {
  id: string;
  design_id: string;
  design_name: string;
  /** The design as it stood, as JSON. */
  document: string;
  /** Further designs of the file, as a JSON list of documents. */
  others: Generated<string>;
  file: string;
  query: string;
  name: string;
  /** Of the document, the file and the query: jobs of one key have one file. */
  key: string;
  state: Job['state'];
  made: Generated<number>;
  of: Generated<number>;
  /** Of the whole file: its length, and the SHA-256 of its bytes in hexadecimal, empty for those of an older Vetro. */
  bytes: Generated<number>;
  digest: Generated<string>;
  /** What went wrong as JSON, {code, facts}; empty where nothing did. */
  problem: Generated<string>;
  lane: Generated<Lane>;
  /** How it stands at the print house. */
  stands: Generated<Job['stands']>;
  /** How often it was begun. */
  tries: Generated<number>;
  made_at: string;
  began_at: string | null;
  ended_at: string | null;
  /** The running time then, in milliseconds. */
  ended_running: Generated<number>;
}
