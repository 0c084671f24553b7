import { sharedBackups } from '../../../../server/backups/shared-backups.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { sharedPools } from '../../../../server/work/shared-pools.ts';

export const POST = endpoint({
  run: async ({ params }) => {
    const { keeper, opened } = await sharedBackups();
    const folders = await keeper.folders();
    const name = params['name']!;
    return opened.open({
      kind: 'backup',
      title: name,
      fill: async (file) => ({ at: await sharedPools().openBackup({ folders, name, file }) }),
    });
  },
});
export const ALL = otherMethods;
