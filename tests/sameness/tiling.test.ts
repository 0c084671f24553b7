import { describeSameness } from './describe-sameness.ts';

describeSameness('tiling', 39);
