import { lastOwn, laidOver, learned, newer, nextFish, nextPart, piecesOf, placeAfter, takenOf } from "/ui/bench/model.js";

const part = (slot, more = {}) => ({ slot, row: false, skipped: false, taken: [], ...more });
const weight = (id, slot, more = {}) => ({ id, slot, fish: 1, text: "300 g", fields: {}, ...more });

describe("the next part", () => {
  const parts = [
    part("fins", { skipped: true }),
    part("head", { taken: [{ id: "a", fish: 1, text: "612 g", at: 1 }] }),
    part("pieces", { row: true }),
    part("left", { taken: [{ id: "b", fish: 2, text: "410 g", at: 2 }] }),
  ];
  it("is the first that is to be weighed and has no weight of this fish", () => {
    expect(nextPart(parts, 1).slot).toBe("left");
    expect(nextPart(parts, 2).slot).toBe("head");
  });
  it("is never one whose pieces stand for it", () => {
    const cut = [part("loin", { passed: true }), part("eye"), part("strip")];
    expect(nextPart(cut, 1).slot).toBe("eye");
    expect(nextPart([cut[0]], 1)).toBeNull();
  });
  it("is none when all have one", () => {
    expect(nextPart([parts[0], parts[1]], 1)).toBeNull();
  });
  it("counts a weight of all fish together for each of them", () => {
    expect(nextPart([part("guts", { taken: [{ id: "c", fish: 0, text: "90 g", at: 3 }] })], 7)).toBeNull();
  });
  it("goes on from the one weighed last and comes back to what was passed over", () => {
    const cut = [part("fins"), part("head"), part("left"), part("right"), part("frame")];
    const after = laidOver(cut, [weight("a", "left")]);
    expect(nextPart(after, 1).slot).toBe("right");
    const end = laidOver(cut, [weight("a", "left"), weight("b", "frame"), weight("c", "right")]);
    expect(nextPart(end, 1).slot).toBe("fins");
    expect(nextPart(after, 2).slot).toBe("fins");
  });
  it("is of the fish itself before it is of all together", () => {
    const both = part("head", {
      taken: [{ id: "r", fish: 0, text: "900 g", at: 1 }, { id: "o", fish: 2, text: "250 g", at: 2 }],
    });
    expect(takenOf(both, 2).id).toBe("o");
    expect(takenOf(both, 3).id).toBe("r");
  });
  it("leads on to the next fish that is not done, and to none from all together", () => {
    const taken = [1, 3].map((fish) => ({ id: `w${fish}`, fish, text: "90 g", at: fish }));
    const cut = [part("head", { taken })];
    expect(nextFish(cut, 1, 4)).toBe(2);
    expect(nextFish(cut, 3, 4)).toBe(4);
    expect(nextFish(cut, 4, 4)).toBe(2);
    expect(nextFish(cut, 0, 4)).toBe(0);
    expect(nextFish([], 1, 4)).toBe(0);
  });
  it("moves on by itself, but not from a part that was chosen by hand", () => {
    expect(placeAfter({ fish: 1, part: "head", byHand: false }, parts).part).toBe("left");
    expect(placeAfter({ fish: 1, part: "head", byHand: true }, parts).part).toBe("head");
  });
});

describe("a part that is weighed piece by piece", () => {
  const row = part("pieces", { row: true, taken: [{ id: "a", fish: 1, text: "180 g" }, { id: "b", fish: 2, text: "176 g" }] });
  it("has no one weight, but pieces of each fish", () => {
    expect(takenOf(row, 1)).toBeNull();
    expect(piecesOf(row, 2).map((t) => t.id)).toEqual(["b"]);
    expect(piecesOf(part("head"), 1)).toEqual([]);
  });
});

describe("what was done here", () => {
  const model = {
    stamp: 5, person: 3, mine: "a",
    parts: [part("head", { taken: [{ id: "a", fish: 1, text: "612 g", at: 1 }] }), part("left")],
  };
  it("is laid over the server's parts and leaves them as they are", () => {
    const parts = laidOver(model.parts, [weight("b", "left")]);
    expect(parts[1].taken).toEqual([{ id: "b", fish: 1, text: "300 g", at: 1e15, waits: true }]);
    expect(model.parts[1].taken).toEqual([]);
  });
  it("waits until the server has it", () => {
    expect(laidOver(model.parts, [weight("b", "left", { acked: true })])[1].taken[0].waits).toBe(false);
  });
  it("replaces the weight it corrects, and is there once if the server shows it already", () => {
    const corrected = weight("b", "head", { fields: { supersedes: "a" } });
    expect(laidOver(model.parts, [corrected])[0].taken.map((t) => t.id)).toEqual(["b"]);
    expect(laidOver(model.parts, [weight("a", "head")])[0].taken.length).toBe(1);
  });
  it("takes a weight back to nothing, a correction to the weight before it", () => {
    const corrected = weight("b", "head", { fields: { supersedes: "a" } });
    const before = model.parts[0].taken[0];
    const back = { id: "c", slot: "head", fish: 1, takesBack: "b", before, fields: {} };
    expect(laidOver(model.parts, [corrected, back])[0].taken).toEqual([before]);
    expect(laidOver(model.parts, [{ ...back, takesBack: "a", before: null }])[0].taken).toEqual([]);
  });
  it("is learned once the server has it: the last own weight is another one", () => {
    const after = learned(model, weight("b", "left"));
    expect(after.mine).toBe("b");
    expect(after.parts[1].taken.map((t) => t.id)).toEqual(["b"]);
    expect(learned(after, { id: "c", slot: "left", fish: 1, takesBack: "b", fields: {} }).mine).toBe("");
  });
});

describe("take back", () => {
  const known = { id: "a", fish: 2, text: "612 g" };
  const model = { mine: "a", parts: [part("head", { taken: [known] }), part("left")] };
  it("takes the newest weight that waits", () => {
    const own = lastOwn(model, [weight("b", "left"), weight("c", "left", { fish: 2 })]);
    expect([own.id, own.part.slot, own.fish, own.before]).toEqual(["c", "left", 2, null]);
  });
  it("takes the last one the server knows when none waits", () => {
    expect([lastOwn(model, []).id, lastOwn(model, []).fish]).toEqual(["a", 2]);
  });
  it("takes nothing twice", () => {
    expect(lastOwn(model, [{ id: "x", slot: "head", fish: 2, takesBack: "a", fields: {} }])).toBeNull();
    expect(lastOwn({ ...model, mine: "" }, [])).toBeNull();
  });
  it("knows what counts again after a correction", () => {
    const own = lastOwn(model, [weight("b", "head", { fish: 2, fields: { supersedes: "a" } })]);
    expect(own.before).toEqual(known);
  });
});

describe("of two models", () => {
  it("the newer one of the same person counts", () => {
    const page = { stamp: 10, person: 1 };
    expect(newer(page, { stamp: 12, person: 1 }).stamp).toBe(12);
    expect(newer(page, { stamp: 9, person: 1 })).toBe(page);
    expect(newer(page, { stamp: 12, person: 2 })).toBe(page);
    expect(newer(page, null)).toBe(page);
  });
});
