import { describeSameness } from './describe-sameness.ts';

describeSameness('stripe', 11);
