import { Option } from 'commander';

/** How dense the cloth is, as several commands take it. */
export function density(): Option {
  return new Option('--density <threads>', 'threads per inch or cm, such as 24/in or 24 x 22/cm');
}
