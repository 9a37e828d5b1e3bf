// What the bench shows: the live scale, the parts, what comes next, what waits. Knows the page, decides nothing.

import { nextFish, piecesOf, takenOf } from "./model.js";

const byId = (id) => document.getElementById(id);
const element = (name, text, css) => {
  const made = document.createElement(name);
  made.textContent = text;
  if (css) made.className = css;
  return made;
};

/** The sheet, which is swapped as a whole. */
export const sheet = () => byId("sheet");

/** The scale as it is heard of; takeable says whether a tap takes it. */
export const showReading = (reading, word) => {
  const live = byId("live");
  if (!live) return;
  live.className = `live ${reading.motion}`;
  byId("live-figure").textContent = reading.figure;
  byId("live-unit").textContent = reading.unit;
  byId("live-words").textContent = reading.words;
  byId("live-tare").textContent = reading.tare ? word("tare", reading.tare) : "";
  if (byId("reading")) byId("reading").value = reading.number;
  if (byId("take-button")) byId("take-button").disabled = !reading.takeable;
};

/** The chosen tray on its button and in the form. */
export const showTray = (chosenId, word) => {
  const chosen = document.querySelector(`input[name="tray-choice"][value="${CSS.escape(chosenId)}"]`);
  if (chosen) chosen.checked = true;
  if (byId("tray-name")) byId("tray-name").textContent = chosen?.value ? chosen.dataset.name : word("tray");
  if (byId("tray")) byId("tray").value = chosen ? chosen.value : "";
  byId("trays")?.classList.toggle("chosen", Boolean(chosen?.value));
};

const drawPart = (part, fish, isChosen, word) => {
  const row = document.querySelector(`.tally tr[data-slot="${CSS.escape(part.slot)}"]`);
  if (!row) return;
  if (part.skipped && !part.taken.length) {
    row.classList.toggle("chosen", isChosen);
    return;
  }
  const taken = takenOf(part, fish);
  const pieces = piecesOf(part, fish);
  const waits = taken ? taken.waits : pieces.some((t) => t.waits);
  row.className = [taken || pieces.length ? "weighed" : "pending", waits && "waits", isChosen && "chosen"]
    .filter(Boolean).join(" ");
  const weight = row.querySelector(".weight");
  if (taken) weight.textContent = taken.text;
  else if (!part.row) weight.textContent = part.norms[fish]?.said || "";
  else if (waits) weight.textContent = word("pieces", pieces.length, pieces[pieces.length - 1].text);
  const tag = document.querySelector(`.fish .tag[data-slot="${CSS.escape(part.slot)}"]`);
  if (tag) tag.setAttribute("class", `tag ${isChosen ? "next" : taken ? "weighed" : "pending"}`);
};

/** A typed weight is asked about by what the part in hand should weigh, never by the one before it. */
const judgeTypedBy = (norm) => {
  const typed = byId("typed");
  const expected = norm ? String(norm.expected) : "";
  if (!typed || (typed.dataset.expected || "") === expected) return;
  typed.dataset.expected = expected;
  typed.dataset.spread = norm ? norm.spread : "";
  if (typed.value) typed.dispatchEvent(new Event("restored", { bubbles: true }));
};

const ofFish = (part, fish, word) => {
  const others = part.norms[fish]?.others;
  if (fish > 0) return word("fish", fish);
  if (others) return others > 1 ? word("others", others) : word("other");
  return word("together");
};

/** With a fish done the big key leads to the next one. */
const drawNextFish = (fish, word) => {
  const key = byId("next-fish");
  if (!key) return;
  key.hidden = !fish;
  byId("take")?.classList.toggle("done", Boolean(fish));
  if (!fish) return;
  key.href = `/bench/${sheet().dataset.lot}?fish=${fish}`;
  key.textContent = word("on-to-fish", fish);
};

const drawNext = (parts, chosen, place, fishes, word) => {
  const next = byId("next-part");
  if (!next) return;
  next.classList.toggle("all", !chosen);
  const taken = chosen && takenOf(chosen, place.fish);
  const bits = [];
  if (!chosen) bits.push(element("b", word("all-weighed")));
  else {
    bits.push(element("i", chosen.number), element("b", chosen.name));
    if (fishes > 1) bits.push(element("span", ofFish(chosen, place.fish, word), "of"));
    if (taken) bits.push(element("em", word("was", taken.text), "was"));
    else if (chosen.skipped) bits.push(element("em", word("left-out"), "was"));
    else if (chosen.row) bits.push(element("em", word("each-is-one"), "row-count"));
    else if (chosen.norms[place.fish]) bits.push(element("em", chosen.norms[place.fish].said));
  }
  next.replaceChildren(...bits.flatMap((bit) => [bit, " "]));
  const form = byId("take");
  drawNextFish(chosen ? 0 : nextFish(parts, place.fish, fishes), word);
  if (!form || !chosen) return;
  form.elements.part.value = chosen.slot;
  form.elements.fish.value = place.fish;
  form.elements.supersedes.value = taken ? taken.id : "";
  judgeTypedBy(chosen.norms[place.fish]);
  document.querySelectorAll("#tare-form, #stand-in form").forEach((other) => {
    if (other.elements.part) other.elements.part.value = chosen.slot;
  });
};

/** The parts as they stand, and the one that is next. */
export const drawParts = (parts, place, fishes, word) => {
  const chosen = parts.find((p) => p.slot === place.part);
  parts.forEach((part) => drawPart(part, place.fish, part === chosen, word));
  drawNext(parts, chosen, place, fishes, word);
  // what only the server can tell is not left standing as if it were still true
  byId("guide")?.classList.toggle("stale", sheet().dataset.part !== place.part);
};

/** What a tap on "take back" would take back; nothing if there is none. */
export const drawBack = (own, fishes, word) => {
  const name = byId("back-name");
  if (!name) return;
  const text = own?.part.taken.find((t) => t.id === own.id)?.text;
  const of = own && fishes > 1 && own.fish > 0 ? `, ${word("fish", own.fish)}` : "";
  name.textContent = own ? `${own.part.name}${of} ${text}` : "";
};

/** The sums are the server's; while it is away they are not left standing. */
export const drawSumsFollow = (word) => {
  const judged = document.querySelector("#sheet .judged span");
  if (judged) judged.textContent = word("sums-follow");
  document.querySelector("#sheet .verdict")?.classList.remove("closed", "over", "short");
};

/** What waits for the server, and what it refused while nobody looked. */
export const drawWaiting = (queue, word) => {
  const waiting = byId("waiting");
  if (!waiting) return;
  const count = queue.waiting();
  const slow = count > 0 && (queue.isAway() || count > 2);
  const plural = new Intl.PluralRules(document.documentElement.lang || "en");
  waiting.hidden = !slow;
  waiting.textContent = slow ? word(`waits-${plural.select(count)}`, count) : "";
  const refused = queue.refused();
  byId("stopped").hidden = refused.length === 0;
  byId("stopped").replaceChildren(...refused.map((op) => {
    const line = element("li", `${word("not-saved", op.name, op.text, op.refused)} `);
    const drop = element("button", word("drop"), "btn btn-outline-secondary btn-sm");
    drop.type = "button";
    drop.addEventListener("click", () => queue.forget(op));
    line.append(drop);
    return line;
  }));
};

/** Says something to who listens. */
export const say = (text) => {
  byId("said").textContent = text;
};

/** Takes the complaint away. */
export const calm = () => document.querySelector("#sheet .alert-danger")?.remove();

/** Complains where the eye is: beside the field that was typed in, else under the scale. */
export const complain = (sentence, typed) => {
  calm();
  const notice = element("p", sentence, "alert alert-danger");
  notice.setAttribute("role", "alert");
  const row = typed && document.querySelector("#sheet .typed-row");
  if (row) row.append(notice);
  else document.querySelector(".bench-right .now").after(notice);
};

/** What stands on the sheet and must outlive it: what is open, chosen, typed, complained of. */
export const remembered = () => {
  const focused = sheet().contains(document.activeElement) ? document.activeElement.id : null;
  return {
    open: Array.from(document.querySelectorAll("#sheet details[open]"), (d) => d.id),
    reason: document.querySelector("#sheet input[name=reason]:checked")?.value,
    complaint: document.querySelector("#sheet .alert-danger")?.textContent,
    beside: Boolean(document.querySelector("#sheet .typed-row .alert-danger")),
    typed: byId("typed")?.value,
    expected: byId("typed")?.dataset.expected,
    echo: byId("typed-echo")?.innerHTML,
    note: byId("note")?.value,
    focused,
  };
};

/** Puts it back on the new sheet; the reason only if the part is the same. */
export const restore = (kept, samePart) => {
  kept.open.forEach((id) => {
    const details = id && byId(id);
    if (details) details.open = true;
  });
  const reason = samePart && kept.reason
    && document.querySelector(`#sheet input[name=reason][value="${CSS.escape(kept.reason)}"]`);
  if (reason) reason.checked = true;
  if (kept.complaint && (kept.beside || !document.querySelector("#sheet .alert-danger"))) {
    complain(kept.complaint, kept.beside);
  }
  // what stands in the fields now is newer than any draft
  for (const field of ["typed", "note"]) {
    if (kept[field] !== undefined && byId(field)) byId(field).value = kept[field];
  }
  if (kept.focused && byId(kept.focused)) byId(kept.focused).focus({ preventScroll: true });
};

/** What was asked of a typed weight is asked on a sheet that came meanwhile, if it is of the same part. */
export const restoreEcho = (kept) => {
  const typed = byId("typed");
  if (!typed?.value || typed.value !== kept.typed || typed.dataset.expected !== kept.expected) return;
  byId("typed-echo").innerHTML = kept.echo; // our own escaped fragment
};
