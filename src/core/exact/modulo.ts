/** Remainder in 0 … size − 1, for whole numbers. */
export function modulo(value: number, size: number): number {
  return ((value % size) + size) % size;
}
