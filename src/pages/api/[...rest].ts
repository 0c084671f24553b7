export { ALL } from '../../server/nothing-here.ts';
