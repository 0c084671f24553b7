/** Where a print house on this machine listens when nothing else is said. */
export const PRINT_HOUSE_PORT = 4720;
