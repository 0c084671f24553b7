import { secondPlaceRequest } from '../../../contracts/backups.ts';
import { sharedBackups } from '../../../server/backups/shared-backups.ts';
import { endpoint, otherMethods } from '../../../server/endpoint.ts';

export const POST = endpoint({
  body: secondPlaceRequest,
  run: async ({ body }) => {
    const { keeper } = await sharedBackups();
    await keeper.setSecond(body.folder);
    return keeper.state();
  },
});
export const ALL = otherMethods;
