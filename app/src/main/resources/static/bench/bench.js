// The bench: brings together the scale, the keys, what is weighed here and the news of other tablets.

import { holding, stillHeld } from "./claim.js";
import { lastOwn, laidOver, learned, newer, nextPart, placeAfter, takenOf } from "./model.js";
import { Queue, newId } from "./queue.js";
import { sender } from "./send.js";
import { browserStore } from "./store.js";
import {
  calm, complain, drawBack, drawParts, drawSumsFollow, drawWaiting, remembered, restore, restoreEcho, say, sheet,
  showReading, showTray,
} from "./view.js";
import { wording } from "./words.js";

const page = document.getElementById("bench-page");
const lot = page.dataset.lot;
const texts = JSON.parse(document.getElementById("bench-words").textContent);
const word = wording(texts);
const byId = (id) => document.getElementById(id);

// ---- trays: which one is under the part --------------------------------------------------------
const tray = () => sessionStorage.getItem("bench-tray") || "";
document.addEventListener("change", (event) => {
  if (event.target.name !== "tray-choice") return;
  sessionStorage.setItem("bench-tray", event.target.value);
  showTray(tray(), word);
  byId("trays").open = false;
  listen();
});

// ---- the live scale ----------------------------------------------------------------------------
let last = null;
let held = null; // what was taken and still lies there: it is not offered again
const show = (reading) => {
  held = stillHeld(held, reading, Date.now());
  last = held ? { ...reading, takeable: false } : reading;
  showReading(last, word);
};
const gone = { number: 0, figure: "– – –", unit: "", tare: "", motion: "gone", words: word("gone"), takeable: false };

let stream = null;
let heard = 0;
let opened = false;
const listen = () => {
  stream?.close();
  stream = new EventSource(`/bench/${lot}/stream${tray() ? `?tray=${encodeURIComponent(tray())}` : ""}`);
  stream.addEventListener("reading", (event) => {
    heard = Date.now();
    show(JSON.parse(event.data));
  });
  stream.addEventListener("changed", (event) => {
    heard = Date.now();
    // the answer to what was sent from here brings its own sheet
    if (!queue.isOwn(JSON.parse(event.data).by)) refresh();
  });
  stream.onopen = () => {
    queue.flush();
    // what was told while nobody listened
    if (opened || performance.now() > 5000) refresh();
    opened = true;
  };
  stream.onerror = () => show(gone);
};
setInterval(() => {
  if (heard && Date.now() - heard > 4000) show(gone);
  if (!stream || stream.readyState === EventSource.CLOSED) listen();
}, 2000);
window.addEventListener("pagehide", () => stream.close());

// ---- what is on the board ----------------------------------------------------------------------
let model = null;
let place = null; // which part of which fish, and whether it was chosen by hand
const modelKey = `bench-model-${lot}`;
const remember = () => {
  try {
    localStorage.setItem(modelKey, JSON.stringify(model));
  } catch (e) {
    /* without room only the page itself is known */
  }
};
const seen = () => {
  try {
    return JSON.parse(localStorage.getItem(modelKey));
  } catch (e) {
    return null;
  }
};
const readModel = () => {
  model = newer(JSON.parse(byId("bench-model").textContent), seen());
  remember();
};
const placeOfSheet = () => ({
  fish: Number(sheet().dataset.fish),
  part: sheet().dataset.part || "",
  byHand: Boolean(sheet().dataset.asked),
});
const partsNow = () => laidOver(model.parts, queue.overlay(lot));
/** Whether what is shown of a part, its drawer, guide and reasons, is of the part that is next. */
const isOfThePlace = () =>
  (sheet().dataset.part || "") === place.part && Number(sheet().dataset.fish) === place.fish;
const draw = () => {
  // until its own drawer comes, that of the part before would act on that; a note may be begun meanwhile
  const isStale = !isOfThePlace() && !queue.isAway();
  document.querySelectorAll("#more form:not(:has(#note))").forEach((form) => form.toggleAttribute("inert", isStale));
  drawParts(partsNow(), place, model.fish, word);
  drawBack(notTaken ? null : lastOwn(model, queue.overlay(lot)), model.fish, word);
  if (queue.isAway() && queue.waiting() > 0) drawSumsFollow(word);
};

// ---- taking: on screen at once, to the server behind it ----------------------------------------
let lastTake = 0;
let askedOf = ""; // the typed weight that was asked about: the second time it is taken as it is
let notTaken = false; // the last weight was refused, so there is nothing of it to take back
const refuse = (sentence, typed) => {
  notTaken = true;
  complain(sentence, typed);
  draw();
};
/** What was asked about a typed weight while it was typed; nothing if it is taken for right. */
const questionOf = (part, text) => {
  const question = document.querySelector("#typed-echo .question");
  const asked = `${part.slot} ${place.fish} ${text}`;
  if (!question || question.dataset.typed !== text || askedOf === asked) return "";
  askedOf = asked;
  return question.textContent;
};
const take = (typed) => {
  const form = byId("take");
  const part = form && partsNow().find((p) => p.slot === form.elements.part.value);
  if (!part || (!typed && !last?.takeable)) return;
  const before = takenOf(part, place.fish);
  const reason = document.querySelector("#sheet input[name=reason]:checked")?.value || "";
  const field = byId("typed");
  const text = typed ? field.value.trim() : `${last.figure} ${last.unit}`;
  if (!text) {
    // the second tap of a double one says nothing
    if (Date.now() - lastTake > 600) refuse(word("type-first"), true);
    return;
  }
  // the server judges what a weight is; without it, at least a figure must be there to be judged later
  if (typed && queue.isAway() && !/\d/.test(text)) {
    refuse(word("no-weight", text), true);
    return;
  }
  if (before && !reason) {
    refuse(word("say-why", part.name));
    return;
  }
  const question = typed && questionOf(part, text);
  if (question) {
    refuse(word("take-it-all-the-same", question), true);
    say(question);
    return;
  }
  lastTake = Date.now();
  notTaken = false;
  calm();
  const id = newId();
  const fields = {
    id, part: part.slot, fish: place.fish, source: typed ? "typed" : "scale", typed: typed ? text : "",
    supersedes: before ? before.id : "", reason, tray: tray(),
  };
  if (typed) {
    field.value = "";
    byId("typed-echo").replaceChildren();
    sessionStorage.removeItem(`draft:${field.dataset.draftKey}`);
  } else {
    Object.assign(fields, { reading: last.number, gross: last.grossMg, tare: last.tareMg, step: last.stepMg });
    held = holding(last, Date.now());
    show(last);
  }
  queue.add({
    id, lot, slot: part.slot, name: part.name, fish: place.fish, url: `/bench/${lot}/weighings`, text, fields,
  });
  if (!part.row) place = placeAfter({ ...place, byHand: false }, partsNow());
  draw();
  say(`${part.name} ${text}`);
};

const takeBack = () => {
  if (notTaken) {
    notTaken = false;
    calm();
    draw();
    say(word("nothing-was-taken"));
    return;
  }
  const own = lastOwn(model, queue.overlay(lot));
  if (!own) {
    complain(word("nothing-to-take-back"));
    return;
  }
  calm();
  held = null;
  const id = newId();
  queue.add({
    id, lot, slot: own.part.slot, name: own.part.name, fish: own.fish, takesBack: own.id, before: own.before,
    url: `/bench/${lot}/back`, text: "",
    fields: { own: id, weighing: own.id, fish: own.fish, part: own.part.slot },
  });
  if (own.fish === place.fish) place = { fish: own.fish, part: own.part.slot, byHand: true };
  draw();
  say(word("taken-back", own.part.name));
};

document.addEventListener("submit", (event) => {
  // the form has a field called id, which hides its own
  const form = event.target.getAttribute("id");
  if (form !== "take" && form !== "back-form") return;
  event.preventDefault();
  event.stopImmediatePropagation();
  if (form === "take") take(event.submitter?.value === "typed");
  else takeBack();
}, true);

// ---- the queue and what it says ----------------------------------------------------------------
const token = () => {
  const field = document.querySelector('#sheet input[name="_csrf"]');
  return field ? { name: field.name, value: field.value } : null;
};
const reloadOnce = () => {
  if (Date.now() - Number(sessionStorage.getItem("bench-reloaded") || 0) < 20000) return;
  sessionStorage.setItem("bench-reloaded", Date.now());
  location.reload();
};
const heardFromQueue = (news) => {
  if (news?.signIn) location.href = news.signIn;
  else if (news?.stalePage) reloadOnce();
  else if (news?.done?.lot === lot) {
    model = learned(model, news.done);
    remember();
    // a sheet in between is old before it is drawn
    if (news.said) say(news.said);
    if (queue.waiting() === 0) {
      if (news.html) swapInAnswer(news.html, news.done);
      else refresh();
    }
  } else if (news?.refused) {
    const op = news.refused;
    held = null;
    place = { fish: op.fish, part: op.slot, byHand: true };
    notTaken = !op.takesBack;
    complain(news.sentence, Boolean(op.fields.typed));
    const field = byId("typed");
    if (op.fields.typed && field && !field.value) field.value = op.fields.typed;
    say(news.sentence);
    if (news.html && op.lot === lot) swapInAnswer(news.html, op);
    else refresh();
  }
  if (!news) place = placeAfter(place, partsNow());
  draw();
  drawWaiting(queue, word);
};
const post = sender(token, texts);
const send = (op) => {
  op.sentFrom = performance.now();
  return post(op);
};
const queue = new Queue({ store: browserStore, send, listener: heardFromQueue });

// ---- sheets: what is shown is never older than what was shown before ---------------------------
// by the ticks of the page, for the clock of a tablet may be set back
let shownFrom = performance.now(); // the sheet on screen was asked for at this tick
let neededFrom = 0; // and one that was asked for after this one is wanted
let waiting = null;
let loading = 0;
const LOAD_MILLIS = 20000; // a sheet that hangs must not hold up the next
let asking = false; // a form of the sheet is under way: its answer is the sheet
let pressed = false;
document.addEventListener("pointerdown", () => { pressed = true; }, true);
["pointerup", "pointercancel"].forEach((name) => {
  document.addEventListener(name, () => setTimeout(() => { pressed = false; }, 0), true);
});
const hrefOf = (at) =>
  `/bench/${lot}?fish=${at.fish}${at.byHand && at.part ? `&part=${encodeURIComponent(at.part)}` : ""}`;

/** Shows a sheet that was asked for at a tick and has what was answered until a moment. */
const swapIn = async (html, from, answeredUntil) => {
  const box = document.createElement("template");
  box.innerHTML = html; // our own fragment
  // a button swapped between finger down and finger up would swallow the tap
  while (pressed) await new Promise((resolve) => setTimeout(resolve, 30));
  if (from < shownFrom || asking) return;
  shownFrom = from;
  kept = remembered();
  queue.shown(answeredUntil);
  sheet().replaceWith(box.content.firstElementChild);
  htmx.process(sheet());
  readModel();
  place = placeAfter(place, partsNow());
  afterSwap();
  if (!isOfThePlace()) refresh();
};
const swapInAnswer = (html, op) => swapIn(html, op.sentFrom, Date.now());
const load = async (href, byHand) => {
  const from = performance.now();
  const answeredUntil = Date.now();
  loading++;
  const asked = { headers: { "HX-Request": "true" }, signal: AbortSignal.timeout(LOAD_MILLIS) };
  const answer = await fetch(href, asked).catch(() => null);
  const html = answer?.ok ? await answer.text().catch(() => "") : "";
  loading--;
  if (href !== hrefOf(place)) return;
  if (html) swapIn(html, from, answeredUntil);
  // the whole page: it asks to sign in, or says what is wrong
  else if (byHand && answer && answer.status < 500) location.href = href;
};
const choose = (wanted) => {
  place = wanted;
  notTaken = false;
  calm();
  draw();
  load(hrefOf(place), true);
};
const look = () => {
  clearTimeout(waiting);
  if (shownFrom > neededFrom) return;
  // one at a time: news that come faster than sheets must not keep each other from being shown
  if (loading > 0 || asking) waiting = setTimeout(look, 120);
  else load(hrefOf(place), false);
};
// news: another tablet weighed
const refresh = () => {
  neededFrom = performance.now();
  clearTimeout(waiting);
  waiting = setTimeout(look, 120);
};

// ---- a new sheet: what was opened stays open, what was chosen stays chosen ---------------------
let kept = { open: [] };
let partBefore = null;
const afterSwap = () => {
  restore(kept, partBefore === place.part);
  // what is expected may be another part's now
  if (byId("typed")?.value) byId("typed").dispatchEvent(new Event("restored", { bubbles: true }));
  partBefore = place.part;
  if (last) show(last);
  const said = sheet().dataset.said || document.querySelector("#sheet .alert-danger")?.textContent;
  if (said) say(said);
  showTray(tray(), word);
  showGuide();
  draw();
  restoreEcho(kept);
  drawWaiting(queue, word);
  history.replaceState(null, "", hrefOf(place));
};
let requestBegan = 0;
let askedFrom = 0;
document.addEventListener("htmx:beforeSend", (event) => {
  requestBegan = Date.now();
  if (event.detail.target?.id !== "sheet") return;
  asking = true;
  askedFrom = performance.now();
});
document.addEventListener("htmx:afterRequest", (event) => {
  if (event.detail.target?.id !== "sheet") return;
  asking = false;
  look();
});
document.addEventListener("htmx:beforeSwap", (event) => {
  kept = { ...remembered(), complaint: null };
  queue.shown(requestBegan);
  const note = event.detail.requestConfig?.elt?.querySelector("#note");
  if (!note || event.detail.xhr.status !== 200) return;
  // a note that was taken leaves no draft behind
  kept.note = "";
  sessionStorage.removeItem(`draft:${note.dataset.draftKey}`);
});
document.addEventListener("htmx:afterSwap", () => {
  if (!byId("bench-model")) return;
  shownFrom = Math.max(shownFrom, askedFrom);
  readModel();
  place = placeOfSheet();
  afterSwap();
});

// any part is one tap away: on the drawing, in the mosaic, in the list
document.addEventListener("click", (event) => {
  if (event.ctrlKey || event.metaKey) return;
  const link = event.target.closest(".tag, .tally th a, .chip[href], #next-fish");
  const region = event.target.closest(".fish .region[data-slot], .mosaic .tile[data-slot]");
  if (link) {
    event.preventDefault();
    const query = new URL(link.href?.baseVal || link.getAttribute("href"), location.href).searchParams;
    const fish = Number(query.get("fish") || 1);
    const part = query.get("part") || nextPart(partsNow(), fish)?.slot || "";
    choose({ fish, part, byHand: query.has("part") });
  } else if (region && region.dataset.slot !== "remainder") {
    choose({ fish: place.fish, part: region.dataset.slot, byHand: true });
  }
});

// ---- the guide: folded away, or open for who learns --------------------------------------------
const showGuide = () => {
  const guide = byId("guide");
  const button = byId("guide-open");
  if (!guide || !button) {
    page.classList.remove("guided");
    return;
  }
  const wanted = localStorage.getItem("bench-guide") || (button.dataset.first === "true" ? "open" : "folded");
  guide.hidden = wanted !== "open";
  button.setAttribute("aria-expanded", String(wanted === "open"));
  page.classList.toggle("guided", wanted === "open");
};
document.addEventListener("click", (event) => {
  const button = event.target.closest("#guide-open");
  if (!button) return;
  localStorage.setItem("bench-guide", button.getAttribute("aria-expanded") === "true" ? "folded" : "open");
  showGuide();
});

// ---- keys --------------------------------------------------------------------------------------
const rows = () => Array.from(document.querySelectorAll(".tally tbody tr"));
const step = (by) => {
  const all = rows().filter((row) => !row.classList.contains("skipped"));
  const at = all.findIndex((row) => row.classList.contains("chosen"));
  all[(at + by + all.length) % all.length]?.querySelector("a").click();
};
const openNote = () => {
  if (!byId("more")) return;
  byId("more").open = true;
  byId("note").focus();
};
const KEYS = {
  t: () => byId("tare-form")?.requestSubmit(),
  z: () => byId("back-form")?.requestSubmit(),
  p: () => byId("to-purposes")?.click(),
  g: () => byId("guide-open")?.click(),
  n: openNote,
  w: () => byId("typed")?.focus(),
  m: () => page.classList.toggle("mosaic-large"),
  ArrowLeft: () => step(-1),
  ArrowRight: () => step(1),
};
document.addEventListener("keydown", (event) => {
  const typing = event.target.matches("input:not([type=radio]), select, textarea");
  if (typing || event.altKey || event.ctrlKey || event.metaKey || byId("help").open) return;
  if (event.key === " " && event.target.matches("summary, button, a, input")) return;
  const numbered = /^[1-9]$/.test(event.key)
    && rows().find((row) => row.querySelector(".number").textContent === event.key);
  const press = event.key === " " ? () => byId("take-button")?.click()
    : numbered ? () => numbered.querySelector("a").click() : KEYS[event.key];
  if (press) {
    event.preventDefault();
    press();
  } else if (event.key === "Escape") {
    document.querySelectorAll("#sheet details[open]").forEach((details) => { details.open = false; });
  }
});
// Enter in the typed field takes what was typed, not what lies on the scale
document.addEventListener("keydown", (event) => {
  if (event.key !== "Enter" || event.target.id !== "typed") return;
  event.preventDefault();
  byId("take-typed").click();
});

// ---- start -------------------------------------------------------------------------------------
readModel();
place = placeOfSheet();
partBefore = place.part;
listen();
showTray(tray(), word);
showGuide();
queue.start(model.person);
byId("no-https").hidden = window.isSecureContext;
const keepForOffline = async () => {
  navigator.serviceWorker.addEventListener("message", (event) => {
    if (event.data.kept) document.documentElement.dataset.kept = "";
  });
  await navigator.serviceWorker.register("/bench-worker.js", { scope: "/bench/" });
  const { active } = await navigator.serviceWorker.ready;
  const parts = performance.getEntriesByType("resource").map((entry) => entry.name);
  active.postMessage({ keep: [location.pathname, ...parts] });
};
if (navigator.serviceWorker) {
  keepForOffline().catch(() => { /* without it only an open page works offline */ });
}
