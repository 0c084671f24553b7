import { describeSameness } from './describe-sameness.ts';

describeSameness('plaid', 51);
