import { describeSameness } from './describe-sameness.ts';

describeSameness('motif', 50);
