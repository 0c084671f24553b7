/** Remainder in 0 … size − 1, for whole numbers. */
export function modulo(value: number, size: number): number {
  const rest = value % size;
  return rest < 0 ? rest + size : rest;
}
