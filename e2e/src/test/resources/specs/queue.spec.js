import { Queue, newId } from "/ui/bench/queue.js";

/** A queue over a store in memory and a server that answers as told. */
const bench = (answers, { failing = false, stored = [] } = {}) => {
  const world = { stored: [...stored], sent: [], heard: [], later: [], now: 1000 };
  let seq = 0;
  world.store = {
    all: async () => world.stored.map((op) => ({ ...op })),
    add: async (op) => {
      if (failing) throw new Error("no room");
      world.stored.push({ ...op, seq: ++seq });
      return seq;
    },
    put: async (op) => { world.stored = world.stored.map((o) => (o.seq === op.seq ? { ...op } : o)); },
    remove: async (number) => { world.stored = world.stored.filter((o) => o.seq !== number); },
  };
  world.queue = new Queue({
    store: world.store,
    send: async (op) => {
      world.sent.push(op.id);
      return answers.length > 1 ? answers.shift() : answers[0];
    },
    listener: (news) => world.heard.push(news),
    clock: () => world.now,
    later: (work) => world.later.push(work),
  });
  return world;
};
const op = (id, more = {}) => ({ id, lot: "7", slot: "head", fish: 1, fields: {}, ...more });
const DONE = { kind: "done", html: "<div></div>" };
const AWAY = { kind: "away" };

describe("the queue", () => {
  it("sends once and in order, and keeps nothing that arrived", async () => {
    const world = bench([DONE]);
    await world.queue.start(3);
    await Promise.all([world.queue.add(op("a")), world.queue.add(op("b"))]);
    await world.queue.flush();
    expect(world.sent).toEqual(["a", "b"]);
    expect(world.stored).toEqual([]);
    expect(world.queue.waiting()).toBe(0);
  });

  it("shows what was sent until a sheet read later is shown", async () => {
    const world = bench([DONE]);
    await world.queue.start(3);
    await world.queue.add(op("a"));
    expect(world.queue.overlay("7").map((o) => o.id)).toEqual(["a"]);
    expect(world.queue.overlay("8")).toEqual([]);
    world.queue.shown(999);
    expect(world.queue.overlay("7").length).toBe(1);
    world.queue.shown(1000);
    expect(world.queue.overlay("7").length).toBe(0);
  });

  it("keeps what does not arrive and tries again, longer each time", async () => {
    const world = bench([AWAY, AWAY, DONE]);
    await world.queue.start(3);
    await world.queue.add(op("a"));
    expect(world.queue.isAway()).toBe(true);
    expect(world.stored.length).toBe(1);
    await world.later.shift()();
    await world.later.shift()();
    expect(world.sent).toEqual(["a", "a", "a"]);
    expect(world.queue.isAway()).toBe(false);
    expect(world.stored).toEqual([]);
  });

  it("finds after a reload what waited, of the same person only", async () => {
    const stored = [{ ...op("a"), person: 3, seq: 1 }, { ...op("b"), person: 4, seq: 2 }];
    const world = bench([DONE], { stored });
    await world.queue.start(3);
    expect(world.sent).toEqual(["a"]);
    expect(world.stored.map((o) => o.id)).toEqual(["b"]);
  });

  it("drops what is refused at once and goes on with the next", async () => {
    const world = bench([{ kind: "refused", sentence: "Too heavy." }, DONE]);
    await world.queue.start(3);
    await world.queue.add(op("a"));
    await world.queue.add(op("b"));
    expect(world.heard.find((n) => n?.refused).sentence).toBe("Too heavy.");
    expect(world.queue.refused()).toEqual([]);
    expect(world.sent).toEqual(["a", "b"]);
  });

  it("sets aside what the server stumbles over three times, and goes on with the next", async () => {
    const fault = { kind: "fault", sentence: "The server stumbles." };
    const world = bench([fault, fault, fault, DONE]);
    await world.queue.start(3);
    await world.queue.add(op("a"));
    await world.queue.add(op("b"));
    await world.later.shift()();
    await world.later.shift()();
    expect(world.sent).toEqual(["a", "a", "a", "b"]);
    expect(world.queue.refused().map((o) => [o.id, o.refused])).toEqual([["a", "The server stumbles."]]);
    expect(world.stored.map((o) => o.id)).toEqual(["a"]);
    expect(world.queue.waiting()).toBe(0);
  });

  it("keeps a late refusal to be read, sends it no more, and forgets it by hand", async () => {
    const world = bench([AWAY, { kind: "refused", sentence: "The lot is closed." }]);
    await world.queue.start(3);
    await world.queue.add(op("a"));
    world.now += 60_000;
    await world.later.shift()();
    expect(world.queue.refused().map((o) => o.refused)).toEqual(["The lot is closed."]);
    expect(world.queue.waiting()).toBe(0);
    expect(world.stored[0].refused).toBe("The lot is closed.");
    await world.queue.flush();
    expect(world.sent.length).toBe(2);
    await world.queue.forget(world.queue.refused()[0]);
    expect(world.stored).toEqual([]);
  });

  it("still sends where the browser has no room", async () => {
    const world = bench([DONE], { failing: true });
    await world.queue.start(3);
    await world.queue.add(op("a"));
    expect(world.sent).toEqual(["a"]);
  });

  it("stops at an ended session and loses nothing", async () => {
    const world = bench([{ kind: "sign-in", to: "/sign-in" }]);
    await world.queue.start(3);
    await world.queue.add(op("a"));
    expect(world.heard[world.heard.length - 1]).toEqual({ signIn: "/sign-in" });
    expect(world.stored.length).toBe(1);
  });

  it("knows its own", async () => {
    const world = bench([DONE]);
    await world.queue.start(3);
    await world.queue.add(op("a"));
    expect(world.queue.isOwn("a")).toBe(true);
    expect(world.queue.isOwn("")).toBe(false);
  });

  it("gives every op an identifier of its own", () => {
    const ids = new Set(Array.from({ length: 1000 }, newId));
    expect(ids.size).toBe(1000);
    expect([...ids][0]).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  });
});
