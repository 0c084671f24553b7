import { sharedBackups } from '../../../../server/backups/shared-backups.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';

export const GET = endpoint({
  run: async ({ params }) => (await sharedBackups()).opened.look(params['id']!),
});
export const DELETE = endpoint({
  run: async ({ params }) => (await sharedBackups()).opened.close(params['id']!),
});
export const ALL = otherMethods;
