import { create } from 'zustand';

/** Whether crossings can be turned on the cloth; it is no part of the design. */
export const useCrossings = create<{ readonly shown: boolean }>(() => ({ shown: false }));
