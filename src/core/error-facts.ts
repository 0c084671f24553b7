/** A fact that names the place or the value of an error. */
export type Fact = string | number | boolean | readonly string[];

/** Plain facts of any error; the interface makes sentences of them. */
export type Facts = Readonly<Record<string, Fact>>;

type Of<Name extends string> = { readonly [N in Name]: Fact };
type None = Readonly<Record<never, Fact>>;

/** Where in a document a field is wrong, what is wrong with it, and what its own reader says besides. */
export type FieldFacts = Facts & Of<'path' | 'problem'>;

/** Where in a text of several lines something is wrong, and what is known of it. */
type Spot<Name extends string> = Of<'line' | 'column' | 'at' | 'length' | Name>;

/** The facts that each code carries, by topic. */
export interface ErrorFacts {
  'band/count': Of<'shade' | 'count' | 'most'>;
  'band/shade': Of<'shade'>;

  'bend/folds-over': Of<'x' | 'y'>;
  'bend/perspective': Of<'x' | 'y'>;
  'bend/range': Of<'least' | 'most'>;

  'card/colour': Of<'line' | 'text'>;
  'card/columns': Of<'found'>;
  'card/empty': None;
  'card/json': None;
  'card/token': Of<'name'>;
  'card/too-long': Of<'length' | 'most'>;
  'card/twice': Of<'name'>;

  'collection/empty': None;
  'collection/scale': Of<'text'>;
  'collection/too-many': Of<'most'>;

  'colour/hex': Of<'text'>;

  'colourway/unknown': Of<'name' | 'known'>;

  'counts/density': Of<'text'>;
  'counts/line': Of<'line' | 'text'>;
  'counts/no-pivots': None;
  'counts/no-warp': None;
  'counts/pivots': Of<'text'>;
  'counts/turn': Of<'text' | 'most'>;
  'counts/twice': Of<'line' | 'field'>;

  'csv/colour': Of<'line' | 'text'>;
  'csv/columns': Of<'found' | 'line'>;
  'csv/count': Of<'line' | 'count' | 'most'>;
  'csv/direction': Of<'line' | 'direction'>;
  'csv/empty': Of<'line'>;
  'csv/no-warp': Of<'line'>;
  'csv/pivot': Of<'line' | 'pivot'>;
  'csv/shade': Of<'line'>;
  'csv/too-long': Of<'length' | 'most'>;
  'csv/width': Of<'line'>;

  'archive/broken': None;
  'archive/contents': Of<'path'>;
  'archive/design': Of<'name' | 'problem'>;
  'archive/id-twice': Of<'name'>;
  'archive/missing': Of<'name'>;
  'archive/newer': None;
  'archive/not-one': None;
  'archive/path': Of<'name'>;
  'archive/picture': Of<'name'>;
  'archive/too-large': Of<'most'>;
  'archive/twice': Of<'name'>;

  'backup/damaged': Of<'name'>;
  'backup/failed': Of<'folder' | 'reason'>;
  'backup/missing': Of<'name'>;
  'backup/place': Of<'folder' | 'reason'>;

  'database/broken': Of<'file' | 'reason'>;
  'database/foreign': Of<'file'>;
  'database/full': None;
  'database/locked': None;
  'database/owned': Of<'file' | 'what' | 'host' | 'process' | 'since'>;
  'database/newer': Of<'file'>;
  'database/not-one': Of<'file'>;
  'database/read-only': None;
  'database/unusable': Of<'file' | 'reason'>;

  'density/range': Of<'text' | 'most'>;

  'design/deep': Of<'most'>;
  'design/field': FieldFacts;
  'design/format': Of<'format'>;
  'design/json': None;
  'design/missing': Of<'id'>;
  'design/newer': Of<'version' | 'known'>;
  'design/stale': Of<'version' | 'updatedAt'>;
  'design/too-long': Of<'length' | 'most'>;
  'design/version': Of<'version'>;

  'draft/shaft': Of<'end' | 'shaft' | 'most'>;
  'draft/tieup': Of<'treadle' | 'shaft' | 'most'>;
  'draft/too-many': Of<'shafts' | 'most'>;
  'draft/treadle': Of<'pick' | 'treadle' | 'most'>;

  'file/kind': Of<'name' | 'kinds'>;
  'file/kind-written': Of<'name' | 'kinds'>;
  'file/missing': Of<'name'>;
  'file/too-large': Of<'size' | 'most'>;
  'file/full': Of<'name'>;
  'file/unwritable': Of<'name'>;

  'figure/band': Of<'band' | 'most'>;
  'figure/bend': Of<'radius' | 'most'>;
  'figure/capsule': Of<'width' | 'most'>;
  'figure/inner': Of<'inner' | 'most'>;
  'figure/letters': Of<'letters'>;
  'figure/no-letters': None;
  'figure/points': Of<'points' | 'least'>;
  'figure/radius': Of<'radius' | 'most'>;
  'figure/same-point': Of<'point'>;
  'figure/sector': Of<'turn'>;
  'figure/star': Of<'points' | 'skip'>;

  'growth/gaps': Of<'open'>;
  'growth/no-shift': None;
  'growth/one-way': None;
  'growth/overlap': Of<'face'>;
  'growth/side': Of<'face'>;
  'growth/taken': Of<'face'>;

  'knot/break': Of<'x' | 'y'>;
  'knot/breaks': Of<'text'>;
  'knot/closed': Of<'column' | 'row'>;
  'knot/size': Of<'columns' | 'rows' | 'most'>;
  'job/broken': None;
  'job/lost': Of<'times'>;
  'job/made-again': None;
  'job/missing': None;
  'job/not-kept': Of<'days'>;
  'job/too-many': Of<'most'>;
  'job/under-way': None;

  'lay/boxes': Of<'most'>;
  'lay/copied-fade': None;
  'lay/count': Of<'text' | 'most'>;
  'lay/count-in': Of<'text'>;
  'lay/crossings': Of<'ends' | 'picks' | 'most'>;
  'lay/faces': Of<'most'>;
  'lay/gaps': None;
  'lay/no-repeat': None;
  'lay/no-turn': None;
  'lay/parallel': None;
  'lay/part': Of<'text'>;
  'lay/scale': Of<'text' | 'most'>;
  'lay/sixty': None;
  'lay/square': None;
  'lay/turned-fade': None;
  'lay/unwoven': None;
  'lay/vectors': Of<'text'>;

  'length/negative': Of<'text'>;
  'length/not-positive': Of<'text'>;

  'loom/absent': Of<'port'>;
  'loom/jammed': None;
  'loom/lost': None;
  'loom/moved': Of<'pick'>;
  'loom/other': Of<'wanted' | 'raised'>;
  'loom/port': Of<'port'>;
  'loom/shafts': Of<'shaft'>;
  'loom/silent': None;
  'loom/stopped': None;
  'loom/words': None;

  'revision/missing': Of<'id'>;
  'motif-text/bare': Spot<'text'>;
  'motif-text/field': FieldFacts & Spot<never>;
  'motif-text/key': Spot<'text' | 'known'>;
  'motif-text/long': Of<'length' | 'most'>;
  'motif-text/part': Spot<'text' | 'known'>;
  'motif-text/shape': Spot<'text' | 'known'>;
  'motif-text/sign': Spot<'text'>;
  'motif-text/value': Spot<'text'>;

  'motif/box': Of<'text'>;
  'motif/circular': Of<'piece'>;
  'motif/copies': Of<'copies' | 'most'>;
  'motif/degrees': Of<'text' | 'most'>;
  'motif/far': Of<'text' | 'most'>;
  'motif/missing': Of<'piece' | 'other'>;
  'motif/radii': Of<'text'>;
  'motif/picture': Of<'piece'>;
  'motif/reach': Of<'piece' | 'repeats' | 'most'>;
  'motif/share': Of<'text'>;
  'motif/too-large': Of<'width' | 'height' | 'most'>;
  'motif/too-many': Of<'figures' | 'most'>;
  'motif/vanished': Of<'piece'>;

  'notation/band': Of<'word' | 'at' | 'length'>;
  'notation/count': Of<'word' | 'count' | 'most'> & Partial<Of<'at' | 'length'>>;
  'notation/empty': Of<'at' | 'length'>;
  'notation/pivot-alone': Of<'word' | 'at' | 'length'>;
  'notation/pivot-inside': Of<'word' | 'at' | 'length'>;
  'notation/shade': Of<'shade' | 'at' | 'length' | 'known'>;
  'notation/too-long': Of<'length' | 'most'>;
  'notation/width': Of<'word' | 'width' | 'at' | 'length'>;

  'number/empty': None;
  'number/not-whole': Of<'text' | 'least' | 'most'>;
  'number/surd': Of<'text'>;
  'number/syntax': Of<'text' | 'at'>;
  'number/too-long': Of<'most'>;
  'number/zero-divisor': Of<'text'>;

  'option/assignment': Of<'text'>;
  'option/idle': Of<'option' | 'why'>;
  'option/needed': Of<'option'>;

  'overcheck/place': Of<'at' | 'count' | 'threads'>;

  'pack/words': Of<'most'>;

  'paint/drawn': Of<'text' | 'known'>;
  'paint/size': Of<'width' | 'height'>;

  'passphrase/length': Of<'least' | 'most'>;
  'passphrase/missing': Of<'host'>;

  'path/crosses': Of<'x' | 'y'>;
  'path/empty': None;
  'path/flat': None;
  'path/long': Of<'length' | 'most'>;
  'path/open': None;
  'path/pieces': Of<'pieces' | 'most'>;
  'path/text': Of<'why'>;

  'pdf/bleed': Of<'bleed'>;
  'pdf/pages': Of<'pages' | 'most'>;
  'pdf/paper': Of<'text' | 'known'>;
  'pdf/small': Of<'least'>;

  'opened/missing': None;
  'opened/taking': None;

  'picture/bands': Of<'bands' | 'most'>;
  'picture/broken': Of<'reason'>;
  'picture/carried': Of<'hash'>;
  'picture/heavy': Of<'most'>;
  'picture/kind': Of<'kind' | 'kinds'>;
  'picture/missing': Of<'name'>;
  'picture/not-one': None;
  'picture/too-large': Of<'width' | 'height' | 'most'>;

  'plies/count': Of<'count' | 'most'>;
  'plies/never': Of<'ply' | 'axis'>;
  'plies/no-repeat': Of<'ply'>;
  'plies/too-long': Of<'ply' | 'axis'>;
  'plies/too-many': Of<'across' | 'down' | 'width' | 'height'>;

  'ply/blend': Of<'text' | 'known'>;
  'ply/clip': None;
  'ply/depth': None;
  'ply/itself': None;
  'ply/newer': Of<'ply' | 'version' | 'known'>;
  'ply/pictures': None;
  'ply/shade': None;
  'ply/shift': Of<'text'>;
  'ply/steps': None;
  'ply/two': None;

  'print/strength': Of<'text'>;
  'print/text': Of<'text' | 'blends'>;

  'print/called-off': None;
  'print/length': Of<'text'>;
  'print/no-answer': Of<'address'>;
  'print/not-taken': Of<'address'>;
  'print/port': Of<'port'>;
  'print/refused': Of<'refusal'>;
  'print/substrate': Of<'text' | 'known'>;
  'print/table': Of<'file'>;
  'print/too-heavy': Of<'megabytes'>;
  'print/too-large': Of<'width' | 'height' | 'most'>;

  'range/missing': Of<'id'>;

  'repeat/too-large': Of<'ends' | 'picks' | 'most'>;

  'request/broken': None;
  'request/deep': Of<'most'>;
  'request/stalled': Of<'seconds'>;
  'request/field': FieldFacts;
  'request/foreign': None;
  'request/host': Of<'host'>;
  'request/json': None;
  'request/method': None;
  'request/missing': None;
  'request/passphrase': None;
  'request/too-large': Of<'most'>;
  'request/type': Of<'type'>;

  'resolution/range': Of<'text' | 'most'>;

  'run/bands': Of<'bands' | 'most'>;
  'run/no-fit': Of<'times'>;
  'run/times': Of<'times'>;
  'run/zero': Of<'band'>;

  'scene/no-number': Of<'scene' | 'number'>;
  'scene/number': Of<'label' | 'text' | 'least' | 'most'>;
  'scene/part': Of<'part' | 'known'>;
  'scene/too-large': Of<'width' | 'height' | 'most'>;
  'scene/unknown': Of<'scene' | 'known'>;

  'send/no-threads': None;
  'send/per-thread': Of<'text' | 'most'>;
  'send/repeats': Of<'text' | 'most'>;
  'send/shrink': Of<'text'>;
  'send/quality': Of<'text'>;
  'send/chroma': Of<'text'>;
  'send/compression': Of<'text'>;
  'send/kind-side': Of<'kind' | 'width' | 'height' | 'most'>;
  'send/tile-too-large': Of<'kind' | 'width' | 'height'>;
  'send/tiff-too-large': Of<'gibibytes'>;
  'send/size': Of<'text'>;
  'send/too-large': Of<'width' | 'height' | 'most'>;
  'send/true-scale': Of<'most'>;
  'send/vanishes': Of<'dpi'>;

  'sequence/bands': Of<'bands' | 'most'>;
  'sequence/empty': None;
  'sequence/threads': Of<'threads' | 'most'>;

  'server/busy': None;
  'server/fault': None;
  'server/too-long': Of<'seconds'>;
  'server/too-much': None;

  'shades/colour': Of<'text'>;
  'shades/entry': Of<'text'>;
  'shades/too-many': Of<'shades' | 'most'>;
  'shades/twice': Of<'key'>;

  'slope/degrees': Of<'text' | 'most'>;
  'slope/no-offer': Of<'text'>;
  'slope/none': None;
  'slope/range': Of<'rise' | 'run' | 'most'>;
  'slope/text': Of<'text'>;

  'start/and-counts': Of<'key'>;
  'start/no-bands': None;
  'start/nothing': None;
  'start/seed': Of<'text'>;
  'start/tiling': Of<'ways'>;
  'start/unknown': Of<'key' | 'known'>;
  'star/angle': Of<'text'>;
  'star/apart': Of<'text'>;
  'star/gap': None;
  'star/narrow': None;
  'start/weave': Of<'ways'>;

  'straps/crossings': Of<'most'>;
  'straps/families': None;
  'straps/gap': Of<'piece'>;
  'straps/links': Of<'links' | 'most'>;
  'straps/made': Of<'piece' | 'making'>;
  'straps/narrow': Of<'piece'>;
  'straps/outline': Of<'piece'>;
  'straps/rank': None;
  'stripe/measured': Of<'text'>;
  'stripe/too-large': Of<'width' | 'height' | 'most'>;
  'stripe/unit': Of<'text' | 'known'>;

  'svg/no-repeat': None;
  'svg/too-many': Of<'boxes' | 'most'>;

  'tiling/across': Of<'measured'>;
  'tiling/between': Of<'text' | 'low' | 'high'>;
  'tiling/degrees': Of<'text'>;
  'tiling/diagonal': Of<'text' | 'most'>;
  'tiling/faces': Of<'most'>;
  'tiling/level': Of<'diagonal'>;
  'tiling/neighbours': None;
  'tiling/no-counts': None;
  'tiling/no-repeat': None;
  'tiling/none': None;
  'tiling/part': Of<'text'>;
  'tiling/proportion': Of<'text' | 'most'>;
  'tiling/ring': Of<'text' | 'before' | 'behind'>;
  'tiling/ring-outside': Of<'ring'>;
  'tiling/shear': None;
  'tiling/size': Of<'text' | 'most'>;
  'tiling/too-large': Of<'width' | 'height' | 'most'>;
  'tiling/turn': Of<'degrees' | 'turns'>;
  'tiling/unknown': Of<'text' | 'known'>;
  'tiling/vanished': Of<'by'>;

  'try-on/bend': Of<'text'>;
  'try-on/from': Of<'text' | 'least' | 'most'>;
  'try-on/part': Of<'text'>;
  'try-on/person': Of<'text' | 'least' | 'most'>;
  'try-on/smaller': Of<'text' | 'most'>;

  'weave/block': Of<'letter'>;
  'weave/float': Of<'over' | 'under' | 'most'>;
  'weave/line': Of<'line' | 'most'>;
  'weave/matrix': Of<'ends' | 'picks' | 'most'>;
  'weave/none': None;
  'weave/profile': Of<'row'>;
  'weave/rows': Of<'row'>;
  'weave/satin': Of<'ends' | 'step' | 'steps'>;
  'weave/size': Of<'text' | 'least' | 'most'>;
  'weave/text': Of<'text'>;
  'weave/unbound': Of<'limit'>;

  'width/not-positive': Of<'text'>;
  'width/too-wide': Of<'text' | 'most'>;

  'wif/binary': None;
  'wif/contradiction': Of<'section' | 'line' | 'value' | 'other'>;
  'wif/line': Of<'line' | 'text'>;
  'wif/missing': Of<'section'>;
  'wif/not-one': None;
  'wif/range': Of<'section' | 'line' | 'value' | 'most'>;
  'wif/too-large': Of<'ends' | 'picks' | 'most'>;
  'wif/too-long': Of<'length' | 'most'>;
  'wif/too-small': Of<'section' | 'line' | 'value' | 'least'>;
  'wif/value': Of<'section' | 'line' | 'text'>;

  'yarn/count': Of<'text' | 'most'>;
  'yarn/length': Of<'text' | 'most'>;
  'yarn/percent': Of<'text'>;
  'yarn/threads': Of<'threads' | 'most'>;
}

export type ErrorCode = keyof ErrorFacts;

/** Codes that say all by themselves. */
export type BareCode = { [C in ErrorCode]: None extends ErrorFacts[C] ? C : never }[ErrorCode];
