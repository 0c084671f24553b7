/** Something that the search over all commands finds and does. */
export interface Command {
  readonly group: string;
  readonly text: string;
  /** Words that find it besides. */
  readonly also?: string;
  /** The key that does the same. */
  readonly keys?: string;
  readonly run: () => void;
}
