import { takeRequest } from '../../../../contracts/backups.ts';
import { sharedBackups } from '../../../../server/backups/shared-backups.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';

export const GET = endpoint({
  run: async ({ params }) => (await sharedBackups()).opened.taken(params['id']!),
});
export const POST = endpoint({
  body: takeRequest,
  run: async ({ params, body, now }) => {
    const { opened } = await sharedBackups();
    opened.take(params['id']!, body, now);
    return opened.taken(params['id']!);
  },
});
export const DELETE = endpoint({
  run: async ({ params }) => (await sharedBackups()).opened.stop(params['id']!),
});
export const ALL = otherMethods;
