import { sharedBackups } from '../../../server/backups/shared-backups.ts';
import { endpoint, otherMethods } from '../../../server/endpoint.ts';

export const GET = endpoint({ run: async () => (await sharedBackups()).keeper.state() });
export const POST = endpoint({
  run: async () => {
    const { keeper } = await sharedBackups();
    await keeper.make();
    return keeper.state();
  },
});
export const ALL = otherMethods;
