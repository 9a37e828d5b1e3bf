// What was taken and still lies on the pan is not offered again, before the server has answered and
// while it is away. When it is gone the server has worked out for each reading; here it is compared.

const TWO_TAPS = 2000;

export const holding = (reading, now) => ({
  tare: reading.tareMg, gross: reading.grossMg, below: reading.goneBelowMg, beyond: reading.goneBeyondMg,
  since: now, over: false,
});

const isGone = (held, reading) =>
  reading.tareMg !== held.tare || reading.grossMg < held.below ||
  (reading.motion === "steady" && Math.abs(reading.grossMg - held.gross) > held.beyond);

/** What is still held after a reading; null once it is gone. A lost scale says nothing of it. */
export const stillHeld = (held, reading, now) => {
  if (!held || reading.motion === "gone") return held;
  const after = isGone(held, reading) ? { ...held, over: true } : held;
  return after.over && now - after.since >= TWO_TAPS ? null : after;
};
