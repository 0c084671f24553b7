// Moves the clock of a server that a test starts: VETRO_TEST_CLOCK tells by how many milliseconds it goes ahead.
const ahead = Number(process.env.VETRO_TEST_CLOCK ?? 0);
const RealDate = Date;
globalThis.Date = class extends RealDate {
  constructor(...given) {
    super(...(given.length === 0 ? [RealDate.now() + ahead] : given));
  }
  static now() {
    return RealDate.now() + ahead;
  }
};
