import { describeSameness } from './describe-sameness.ts';

describeSameness('plies', 8);
