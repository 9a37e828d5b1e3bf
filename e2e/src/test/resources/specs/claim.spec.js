import { holding, stillHeld } from "/ui/bench/claim.js";

const shows = (grossMg, more = {}) => ({
  grossMg, tareMg: 0, motion: "steady", goneBelowMg: 2000, goneBeyondMg: Math.max(6000, grossMg / 100), ...more,
});
const after = (...readings) => readings.reduce((held, one) => stillHeld(held, one, 5000), holding(shows(393000), 0));

describe("what was taken and still lies there", () => {
  it("is held while the figure drifts by a step or drips", () => {
    expect(after(shows(394000), shows(390000), shows(393000, { motion: "moving" }))).not.toBeNull();
  });
  it("is gone when another stands there, without a zero or a swing between", () => {
    expect(after(shows(842000))).toBeNull();
  });
  it("is held while a swing passes by, and gone when nothing lies there", () => {
    expect(after(shows(842000, { motion: "moving" }))).not.toBeNull();
    expect(after(shows(1000, { motion: "moving" }))).toBeNull();
  });
  it("is gone with a tare, and not because the scale is lost", () => {
    expect(after(shows(393000, { tareMg: 212000, goneBelowMg: 214000 }))).toBeNull();
    expect(after({ motion: "gone" })).not.toBeNull();
  });
  it("is one for two taps within two seconds, whatever the pan does", () => {
    const jolted = stillHeld(holding(shows(393000), 0), shows(0), 300);
    expect(jolted).not.toBeNull();
    expect(stillHeld(jolted, shows(393000), 1900)).not.toBeNull();
    expect(stillHeld(jolted, shows(842000), 2000)).toBeNull();
  });
});
