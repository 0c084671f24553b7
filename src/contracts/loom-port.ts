/** Port of the loom when nothing else is said; VETRO_LOOM_PORT names another. */
export const LOOM_PORT = 4600;
