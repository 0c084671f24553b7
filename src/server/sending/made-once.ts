/** Answers that are small and asked for by many: each is made once, and kept while others are not asked for more lately. */
export interface MadeOnce {
  /** @param key  says all that the bytes depend on */
  readonly answer: (key: string, make: () => Promise<Response>) => Promise<Response>;
}

interface Made {
  readonly bytes: ArrayBuffer;
  readonly type: string;
}

/** @param most  answers that are kept */
export function makeMadeOnce(most: number): MadeOnce {
  const kept = new Map<string, Promise<Made>>();
  const madeFor = (key: string, make: () => Promise<Response>): Promise<Made> => {
    const known = kept.get(key);
    // Set anew, so that the one asked for longest ago comes first.
    kept.delete(key);
    const made = known ?? read(make);
    kept.set(key, made);
    for (const old of kept.keys()) {
      if (kept.size <= most) break;
      kept.delete(old);
    }
    return made;
  };
  return {
    answer: async (key, make) => {
      try {
        const { bytes, type } = await madeFor(key, make);
        return new Response(bytes, { headers: { 'content-type': type } });
      } catch (error) {
        // What went wrong is tried again.
        kept.delete(key);
        throw error;
      }
    },
  };
}

async function read(make: () => Promise<Response>): Promise<Made> {
  const response = await make();
  return { bytes: await response.arrayBuffer(), type: response.headers.get('content-type') ?? '' };
}
