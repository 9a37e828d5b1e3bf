// What is on the board: the server's model of a lot, and what this bench did that the server does not show yet.
// Plain functions over plain values; no page, no network.
//
// A part is {slot, number, name, row, skipped, passed, norms: [{said, expected, spread, others}],
// taken: [{id, fish, text, at, waits}]}; fish 0 is all together, or the others where some were weighed alone;
// norms are by the number of the fish; passed is what nobody asks for, because its pieces stand for it.
// An op is what was done here: {id, slot, fish, text, acked, fields: {supersedes}} is a weight,
// with takesBack (and before, what counts again) it takes one back.

/** The weight of a part of a fish that counts; none for a part that is weighed piece by piece. */
export const takenOf = (part, fish) =>
  part.row ? null : part.taken.find((t) => t.fish === fish) || part.taken.find((t) => t.fish === 0) || null;

/** The pieces of a part that is weighed piece by piece. */
export const piecesOf = (part, fish) => (part.row ? part.taken.filter((t) => t.fish === fish) : []);

/** Where the part stands that was weighed last of a fish; -1 if none was. */
const lastWeighed = (parts, fish) => {
  let last = -1;
  let latest = -Infinity;
  parts.forEach((part, i) => part.taken.forEach((t) => {
    if ((t.fish !== fish && t.fish !== 0) || t.at < latest) return;
    latest = t.at;
    last = i;
  }));
  return last;
};

/** The next part of a fish that has no weight yet: on from the one weighed last, then what was passed over. */
export const nextPart = (parts, fish) => {
  const from = lastWeighed(parts, fish) + 1;
  const order = [...parts.slice(from), ...parts.slice(0, from)];
  return order.find((part) => !part.skipped && !part.passed && !part.row && !takenOf(part, fish)) || null;
};

/** The fish after this one, in turn, that still has a part to weigh; 0 if none has. */
export const nextFish = (parts, fish, fishes) => {
  for (let on = 1; on < fishes; on++) {
    const other = ((fish - 1 + on) % fishes) + 1;
    if (fish > 0 && nextPart(parts, other)) return other;
  }
  return 0;
};

/** What was done here is later than anything the server told, whatever the clocks say. */
const LATER = 1e15;

const withOp = (part, op, turn) => {
  const replaced = op.takesBack || op.fields.supersedes;
  const rest = part.taken.filter((t) => t.id !== op.id && t.id !== replaced);
  if (!op.takesBack) {
    return [...rest, { id: op.id, fish: op.fish, text: op.text, at: LATER + turn, waits: !op.acked }];
  }
  return op.before ? [...rest, op.before] : rest;
};

/** The parts with what was done here laid over them. */
export const laidOver = (parts, ops) =>
  parts.map((part) => ({
    ...part,
    taken: ops.reduce(
      (taken, op, turn) => (op.slot === part.slot ? withOp({ taken }, op, turn) : taken), part.taken),
  }));

/** The model after the server has taken an op, should its next sheet not come. */
export const learned = (model, op) => ({
  ...model,
  parts: laidOver(model.parts, [op]),
  mine: op.takesBack ? "" : op.id,
});

/** The newer of the page's model and of the one this browser saw last: a page kept for offline is older. */
export const newer = (ofPage, seen) =>
  seen && seen.stamp >= ofPage.stamp && seen.person === ofPage.person ? seen : ofPage;

/** Where the bench stands once something changed: a part chosen by hand stays, else it is the next open one. */
export const placeAfter = (place, parts) =>
  place.byHand ? place : { ...place, part: nextPart(parts, place.fish)?.slot || "" };

/**
 * What "take back" takes back: the newest weight that waits here, else the last one the server knows.
 * Null if there is none. {id, part, fish, before}: before is the weight that counts again.
 */
export const lastOwn = (model, ops) => {
  const undone = ops.map((op) => op.takesBack).filter(Boolean);
  const waiting = ops.filter((op) => !op.takesBack && !undone.includes(op.id)).pop();
  const id = waiting ? waiting.id : undone.includes(model.mine) ? "" : model.mine;
  const part = id && laidOver(model.parts, ops).find((p) => p.taken.some((t) => t.id === id));
  if (!part) return null;
  const known = model.parts.find((p) => p.slot === part.slot);
  const before = waiting?.fields.supersedes && known?.taken.find((t) => t.id === waiting.fields.supersedes);
  return { id, part, fish: part.taken.find((t) => t.id === id).fish, before: before || null };
};
