import { useQuery } from '@tanstack/react-query';
import { Archive } from 'lucide-react';
import { backupsSchema } from '../contracts/backups.ts';
import { request } from '../kit/request.ts';

/** Milliseconds between two looks at how backups stand. */
const LOOK_AGAIN = 300_000;

/** The way to the backups; it says when one failed, and while they lie in one place only. */
export function BackupsLink() {
  const { data } = useQuery({
    queryKey: ['backups'],
    queryFn: async () => backupsSchema.parse(await request('GET', '/api/backups')),
    refetchInterval: LOOK_AGAIN,
  });
  const failed = (data?.trouble.length ?? 0) > 0;
  const isAlone = data !== undefined && data.second === '';
  return (
    <a href="/backups" className="button button-plain no-underline" title={data?.trouble[0]}>
      <Archive size={15} aria-hidden="true" /> Backups
      {failed && <span className="font-semibold text-[12.5px] text-madder">failed</span>}
      {!failed && isAlone && <span className="text-[12.5px] text-weld">in one place</span>}
    </a>
  );
}
