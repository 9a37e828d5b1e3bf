// The bench: the live scale, the keys, what was weighed at once on screen, the news of other tablets.
"use strict";
(function () {
  const page = document.getElementById("bench-page");
  if (!page) return;
  const lot = page.dataset.lot;
  const queue = window.MosaicQueue;
  // the words come with the page, in the language of the person
  const words = JSON.parse(document.getElementById("bench-words").textContent);
  const word = function (key) {
    const values = Array.prototype.slice.call(arguments, 1);
    return values.reduce(function (text, value, i) { return text.replaceAll("{" + i + "}", value); }, words[key] || key);
  };
  const plural = new Intl.PluralRules(document.documentElement.lang || "en");
  const byId = function (id) { return document.getElementById(id); };
  const sheet = function () { return byId("sheet"); };
  let last = null;
  let held = null; // what was taken and still lies there: it is not offered again

  // ---- trays: which one is under the part ------------------------------------------------------
  const trayKey = "bench-tray";
  const tray = function () { return sessionStorage.getItem(trayKey) || ""; };
  const showTray = function () {
    const chosen = document.querySelector('input[name="tray-choice"][value="' + CSS.escape(tray()) + '"]');
    const name = chosen && chosen.value ? chosen.dataset.name : word("tray");
    if (chosen) chosen.checked = true;
    if (byId("tray-name")) byId("tray-name").textContent = name;
    if (byId("tray")) byId("tray").value = chosen ? chosen.value : "";
    byId("trays")?.classList.toggle("chosen", Boolean(chosen && chosen.value));
  };
  document.addEventListener("change", function (event) {
    if (event.target.name !== "tray-choice") return;
    sessionStorage.setItem(trayKey, event.target.value);
    showTray();
    byId("trays").open = false;
    listen();
  });

  // ---- the live scale --------------------------------------------------------------------------
  const show = function (reading) {
    if (held && (reading.motion !== "steady" || reading.figure !== held)) held = null;
    if (held) reading = Object.assign({}, reading, { takeable: false });
    last = reading;
    const live = byId("live");
    if (!live) return;
    live.className = "live " + reading.motion;
    byId("live-figure").textContent = reading.figure;
    byId("live-unit").textContent = reading.unit;
    byId("live-words").textContent = reading.words;
    byId("live-tare").textContent = reading.tare ? word("tare", reading.tare) : "";
    const number = byId("reading");
    if (number) number.value = reading.number;
    const take = byId("take-button");
    if (take) take.disabled = !reading.takeable;
  };
  const gone = { number: 0, figure: "– – –", unit: "", tare: "", motion: "gone", words: word("gone"), takeable: false };

  let stream = null;
  let heard = 0;
  const listen = function () {
    if (stream) stream.close();
    stream = new EventSource("/bench/" + lot + "/stream" + (tray() ? "?tray=" + encodeURIComponent(tray()) : ""));
    stream.addEventListener("reading", function (event) { heard = Date.now(); show(JSON.parse(event.data)); });
    stream.addEventListener("changed", function () { heard = Date.now(); refresh(); });
    stream.onopen = function () { queue.flush(); };
    stream.onerror = function () { show(gone); };
  };
  setInterval(function () {
    if (heard && Date.now() - heard > 4000) show(gone);
    if (!stream || stream.readyState === EventSource.CLOSED) listen();
  }, 2000);
  listen();
  window.addEventListener("pagehide", function () { stream.close(); });

  // ---- what is on the board: the server's model, and what it does not know yet ------------------
  let model = null;
  let place = null;         // which part of which fish; by hand, or the next one by itself
  const modelKey = "bench-model-" + lot;
  const apply = function (op, parts) {
    const part = parts.find(function (p) { return p.slot === op.slot; });
    if (!part) return;
    part.taken = part.taken.filter(function (t) { return t.id !== op.id && t.id !== (op.takesBack || op.fields.supersedes); });
    if (!op.takesBack) part.taken.push({ id: op.id, fish: op.fish, text: op.text, waits: !op.acked });
    else if (op.before) part.taken.push(op.before);
  };
  // the server has it: so does the model, should the next sheet not come
  const learn = function (op) {
    apply(op, model.parts);
    model.mine = op.takesBack ? "" : op.id;
    try { localStorage.setItem(modelKey, JSON.stringify(model)); } catch (e) { /* the next sheet tells */ }
  };
  const readModel = function () {
    model = JSON.parse(byId("bench-model").textContent);
    // a page that was kept for offline is older than what this browser saw last
    try {
      const seen = JSON.parse(localStorage.getItem(modelKey));
      if (seen && seen.stamp >= model.stamp && seen.person === model.person) model = seen;
      else localStorage.setItem(modelKey, JSON.stringify(model));
    } catch (e) { /* without room only the page itself is known */ }
    // a sheet that was asked for before the last tap must not turn the bench back
    if (keepsPlace && place) {
      if (!place.byHand) place.part = nextPart(partsNow(), place.fish)?.slot || "";
      return;
    }
    place = { fish: Number(sheet().dataset.fish), part: sheet().dataset.part, byHand: Boolean(sheet().dataset.asked) };
  };
  let keepsPlace = false;
  const partsNow = function () {
    const parts = model.parts.map(function (part) { return Object.assign({}, part, { taken: part.taken.slice() }); });
    queue.overlay(lot).forEach(function (op) { apply(op, parts); });
    return parts;
  };
  const takenOf = function (part, fish) {
    return part.row ? null : part.taken.find(function (t) { return t.fish === fish || t.fish === 0; });
  };
  const nextPart = function (parts, fish) {
    return parts.find(function (part) { return !part.skipped && !part.row && !takenOf(part, fish); });
  };

  const draw = function () {
    const parts = partsNow();
    const chosen = parts.find(function (p) { return p.slot === place.part && !p.skipped; });
    parts.forEach(function (part) {
      const row = document.querySelector('.tally tr[data-slot="' + CSS.escape(part.slot) + '"]');
      if (!row || part.skipped) return;
      const taken = takenOf(part, place.fish);
      const pieces = part.row ? part.taken.filter(function (t) { return t.fish === place.fish; }) : [];
      const waits = taken ? taken.waits : pieces.some(function (t) { return t.waits; });
      row.className = (taken || pieces.length ? "weighed " : "pending ") + (waits ? "waits " : "") + (part === chosen ? "chosen" : "");
      if (taken) row.querySelector(".weight").textContent = taken.text;
      else if (!part.row) row.querySelector(".weight").textContent = part.expected;
      else if (waits) row.querySelector(".weight").textContent = pieces.length + " taken, last " + pieces[pieces.length - 1].text;
      const tag = document.querySelector('.fish .tag[data-slot="' + CSS.escape(part.slot) + '"]');
      if (tag) tag.setAttribute("class", "tag " + (part === chosen ? "next" : taken ? "weighed" : "pending"));
    });
    drawNext(parts, chosen);
    // what only the server can tell is not left standing as if it were still true
    byId("guide")?.classList.toggle("stale", sheet().dataset.part !== place.part);
    if (queue.isAway() && queue.waiting() > 0) {
      const judged = document.querySelector("#sheet .judged span");
      if (judged) judged.textContent = word("sums-follow");
      document.querySelector("#sheet .verdict")?.classList.remove("closed", "over", "short");
    }
  };
  const drawNext = function (parts, chosen) {
    const next = byId("next-part");
    if (!next) return;
    next.classList.toggle("all", !chosen);
    const taken = chosen && takenOf(chosen, place.fish);
    const bits = [];
    const bit = function (name, text, css) { const e = document.createElement(name); e.textContent = text; if (css) e.className = css; bits.push(e, " "); };
    if (!chosen) bit("b", word("all-weighed"));
    else {
      bit("i", chosen.number);
      bit("b", chosen.name);
      if (model.fish > 1) bit("span", place.fish > 0 ? word("fish", place.fish) : word("together"), "of");
      if (taken) bit("em", word("was", taken.text), "was");
      else if (chosen.row) bit("em", word("each-is-one"), "row-count");
      else if (chosen.expected && model.fish === 1) bit("em", chosen.expected);
    }
    next.replaceChildren.apply(next, bits);
    const form = byId("take");
    if (!form || !chosen) return;
    form.elements.part.value = chosen.slot;
    form.elements.fish.value = place.fish;
    form.elements.supersedes.value = taken ? taken.id : "";
    document.querySelectorAll("#tare-form, #stand-in form").forEach(function (other) { if (other.elements.part) other.elements.part.value = chosen.slot; });
  };
  const drawWaiting = function () {
    const count = queue.waiting();
    const waiting = byId("waiting");
    if (!waiting) return;
    const slow = count > 0 && (queue.isAway() || count > 2);
    waiting.hidden = !slow;
    waiting.textContent = !slow ? "" : word("waits-" + plural.select(count), count);
    const stopped = byId("stopped");
    const refused = queue.refused();
    stopped.hidden = refused.length === 0;
    stopped.replaceChildren.apply(stopped, refused.map(function (op) {
      const line = document.createElement("li");
      line.textContent = word("not-saved", op.name, op.text, op.refused) + " ";
      const drop = document.createElement("button");
      drop.type = "button"; drop.className = "quiet"; drop.textContent = word("drop");
      drop.addEventListener("click", function () { queue.forget(op); });
      line.append(drop);
      return line;
    }));
  };

  const say = function (text) { byId("said").textContent = text; };
  const complain = function (sentence) {
    document.querySelector("#sheet .notice.alarm")?.remove();
    const notice = document.createElement("p");
    notice.className = "notice alarm";
    notice.setAttribute("role", "alert");
    notice.textContent = sentence;
    document.querySelector(".bench-right .now").after(notice);
  };
  const calm = function () { document.querySelector("#sheet .notice.alarm")?.remove(); };

  // ---- taking: on screen at once, to the server behind it ---------------------------------------
  let lastTake = 0;
  const take = function (typed) {
    const form = byId("take");
    if (!form) return;
    const parts = partsNow();
    const part = parts.find(function (p) { return p.slot === form.elements.part.value; });
    if (!part) return;
    const before = takenOf(part, place.fish);
    const reason = document.querySelector("#sheet input[name=reason]:checked")?.value || "";
    if (!typed && !(last && last.takeable)) return;
    const field = byId("typed");
    const text = typed ? field.value.trim() : last.figure + " " + last.unit;
    if (!text) {
      // the second tap of a double one says nothing
      if (Date.now() - lastTake > 600) complain(word("type-first"));
      return;
    }
    // what goes to the server at once is judged there; what has to wait must at least be a weight
    if (typed && queue.isAway() && !/^\d{1,6}([.,]\d{1,3})?\s*(g|kg|oz|lb|lbs)?(\s+\d{1,2}([.,]\d)?\s*oz)?$/i.test(text)) {
      complain(word("no-weight", text));
      return;
    }
    if (before && !reason) { complain(word("say-why", part.name)); return; }
    lastTake = Date.now();
    calm();
    const id = queue.newId();
    const op = {
      id: id, lot: lot, slot: part.slot, name: part.name, fish: place.fish, url: "/bench/" + lot + "/weighings", text: text,
      fields: {
        id: id, part: part.slot, fish: place.fish, source: typed ? "typed" : "scale", typed: typed ? text : "",
        supersedes: before ? before.id : "", reason: reason, tray: tray(),
      },
    };
    if (!typed) {
      Object.assign(op.fields, { reading: last.number, gross: last.grossMg, tare: last.tareMg, step: last.stepMg });
      held = last.figure;
      show(last);
    } else {
      field.value = "";
      byId("typed-echo").replaceChildren();
      sessionStorage.removeItem("draft:" + field.dataset.draftKey);
    }
    queue.add(op);
    if (!part.row) place = { fish: place.fish, part: nextPart(partsNow(), place.fish)?.slot || "", byHand: false };
    draw();
    say(part.name + " " + text);
  };

  const takeBack = function () {
    const own = queue.overlay(lot).filter(function (op) { return !op.takesBack; });
    const undone = queue.overlay(lot).map(function (op) { return op.takesBack; });
    const waiting = own.filter(function (op) { return !undone.includes(op.id); }).pop();
    const target = waiting ? waiting.id : undone.includes(model.mine) ? "" : model.mine;
    if (!target) { complain(word("nothing-to-take-back")); return; }
    calm();
    const part = partsNow().find(function (p) { return p.taken.some(function (t) { return t.id === target; }); });
    if (!part) return;
    const before = waiting && waiting.fields.supersedes
      ? model.parts.find(function (p) { return p.slot === part.slot; }).taken.find(function (t) { return t.id === waiting.fields.supersedes; }) : null;
    const fish = part.taken.find(function (t) { return t.id === target; }).fish;
    const id = queue.newId();
    held = null;
    queue.add({ id: id, lot: lot, slot: part.slot, name: part.name, fish: fish, takesBack: target, before: before, url: "/bench/" + lot + "/back", text: "",
      fields: { own: id, weighing: target } });
    if (fish === place.fish) place = { fish: fish, part: part.slot, byHand: true };
    draw();
    say(word("taken-back", part.name));
  };

  document.addEventListener("submit", function (event) {
    // the form has a field called id, which hides its own
    const form = event.target.getAttribute("id");
    if (form === "take") {
      event.preventDefault();
      event.stopImmediatePropagation();
      take(event.submitter ? event.submitter.value === "typed" : false);
    } else if (form === "back-form") {
      event.preventDefault();
      event.stopImmediatePropagation();
      takeBack();
    }
  }, true);

  const heardFromQueue = function (news) {
    if (news && news.done) {
      say(news.said);
      if (news.done.lot === lot) learn(news.done);
      refresh();
    } else if (news && news.refused) {
      const op = news.refused;
      held = null;
      place = { fish: op.fish, part: op.slot, byHand: true };
      complain(news.sentence);
      const field = byId("typed");
      if (op.fields.typed && field && !field.value) field.value = op.fields.typed;
      say(news.sentence);
      refresh();
    }
    if (!news && !place.byHand) place.part = nextPart(partsNow(), place.fish)?.slot || "";
    draw();
    drawWaiting();
  };

  // ---- turns: what was asked for last is what is shown ------------------------------------------
  let turn = 0;
  let pressed = false;
  document.addEventListener("pointerdown", function () { pressed = true; }, true);
  ["pointerup", "pointercancel"].forEach(function (name) {
    document.addEventListener(name, function () { setTimeout(function () { pressed = false; }, 0); }, true);
  });
  let waiting = null;
  const hrefOf = function (data) {
    return "/bench/" + lot + "?fish=" + data.fish + (data.byHand && data.part ? "&part=" + encodeURIComponent(data.part) : "");
  };
  const load = async function (href, chosenByHand) {
    const mine = ++turn;
    const began = performance.now();
    clearTimeout(waiting);
    let answer = null;
    try { answer = await fetch(href, { headers: { "HX-Request": "true" } }); } catch (e) { answer = null; }
    if (mine !== turn) return;
    if (answer && answer.ok) {
      const box = document.createElement("template");
      box.innerHTML = await answer.text(); // our own fragment
      // a button swapped between finger down and finger up would swallow the tap
      while (pressed) await new Promise(function (resolve) { setTimeout(resolve, 30); });
      if (mine !== turn) return;
      remember();
      queue.shown(began);
      sheet().replaceWith(box.content.firstElementChild);
      htmx.process(sheet());
      keepsPlace = true;
      try { document.dispatchEvent(new Event("htmx:afterSwap")); } finally { keepsPlace = false; }
      // what is shown of the part, its guide and its reasons, is of the part that was asked for
      if ((sheet().dataset.part || "") !== place.part || Number(sheet().dataset.fish) !== place.fish) refresh();
    } else if (chosenByHand && answer && answer.status < 500) {
      location.href = href; // the whole page: it asks to sign in, or says what is wrong
    }
  };
  const choose = function (wanted) {
    place = { fish: wanted.fish, part: wanted.part, byHand: wanted.byHand };
    calm();
    draw();
    load(hrefOf(place), true);
  };
  let requestBegan = 0;
  document.addEventListener("htmx:beforeRequest", function (event) {
    requestBegan = performance.now();
    if (event.detail.target?.id !== "sheet") return;
    turn++;
    clearTimeout(waiting);
  });

  // news: another tablet weighed, or this one did
  const refresh = function () {
    clearTimeout(waiting);
    waiting = setTimeout(function () {
      if (document.querySelector(".htmx-request")) refresh();
      else load(hrefOf(place), false);
    }, 120);
  };

  // what was opened stays open, what was chosen stays chosen
  let open = [];
  let chosen = {};
  let focused = null;
  let complaint = null;
  let written = {};
  const remember = function () {
    open = Array.from(document.querySelectorAll("#sheet details[open]"), function (d) { return d.id; });
    chosen = { part: place.part, reason: document.querySelector("#sheet input[name=reason]:checked")?.value };
    focused = sheet().contains(document.activeElement) ? document.activeElement.id : null;
    complaint = document.querySelector("#sheet .notice.alarm")?.textContent;
    written = { typed: byId("typed")?.value, note: byId("note")?.value };
  };
  document.addEventListener("htmx:beforeSwap", function () { remember(); complaint = null; queue.shown(requestBegan); });
  document.addEventListener("htmx:afterSwap", function () {
    if (!byId("bench-model")) return;
    readModel();
    open.forEach(function (id) { const details = id && byId(id); if (details) details.open = true; });
    if (chosen.reason && chosen.part === place.part) {
      const again = document.querySelector('#sheet input[name=reason][value="' + chosen.reason + '"]');
      if (again) again.checked = true;
    }
    if (complaint && !document.querySelector("#sheet .notice.alarm")) complain(complaint);
    if (written.typed && byId("typed") && !byId("typed").value) byId("typed").value = written.typed;
    if (focused && byId(focused)) byId(focused).focus({ preventScroll: true });
    if (last) show(last);
    const said = sheet().dataset.said || document.querySelector("#sheet .notice.alarm")?.textContent;
    if (said) say(said);
    showTray();
    showGuide();
    draw();
    drawWaiting();
    history.replaceState(null, "", hrefOf(place));
  });

  // any part is one tap away: on the drawing, in the mosaic, in the list
  document.addEventListener("click", function (event) {
    if (event.ctrlKey || event.metaKey) return;
    const link = event.target.closest(".tag, .tally th a, .chip[href]");
    const region = event.target.closest(".fish .region[data-slot], .mosaic .tile[data-slot]");
    if (link) {
      event.preventDefault();
      const query = new URL(link.href?.baseVal || link.getAttribute("href"), location.href).searchParams;
      const fish = Number(query.get("fish") || 1);
      choose({ fish: fish, part: query.get("part") || nextPart(partsNow(), fish)?.slot || "", byHand: query.has("part") });
    } else if (region && region.dataset.slot !== "remainder") {
      choose({ fish: place.fish, part: region.dataset.slot, byHand: true });
    }
  });

  // ---- the guide: folded away, or open for who learns -------------------------------------------
  const guideKey = "bench-guide";
  const showGuide = function () {
    const guide = byId("guide");
    const button = byId("guide-open");
    if (!guide || !button) return;
    const wanted = localStorage.getItem(guideKey) || (button.dataset.first === "true" ? "open" : "folded");
    guide.hidden = wanted !== "open";
    button.setAttribute("aria-expanded", String(wanted === "open"));
    page.classList.toggle("guided", wanted === "open");
  };
  document.addEventListener("click", function (event) {
    const button = event.target.closest("#guide-open");
    if (!button) return;
    localStorage.setItem(guideKey, button.getAttribute("aria-expanded") === "true" ? "folded" : "open");
    showGuide();
  });

  // ---- keys ------------------------------------------------------------------------------------
  const step = function (by) {
    const rows = Array.from(document.querySelectorAll(".tally tbody tr:not(.skipped)"));
    const at = rows.findIndex(function (row) { return row.classList.contains("chosen"); });
    const row = rows[(at + by + rows.length) % rows.length];
    row?.querySelector("a").click();
  };
  document.addEventListener("keydown", function (event) {
    if (event.target.matches("input:not([type=radio]), select, textarea") || event.altKey || event.ctrlKey || event.metaKey || byId("help").open) return;
    const press = function (id) { event.preventDefault(); byId(id)?.click(); };
    if (event.key === " " && !event.target.matches("summary, button, a, input")) press("take-button");
    else if (event.key === "t") { event.preventDefault(); byId("tare-form")?.requestSubmit(); }
    else if (event.key === "z") { event.preventDefault(); byId("back-form")?.requestSubmit(); }
    else if (event.key === "p") press("to-purposes");
    else if (event.key === "g") press("guide-open");
    else if (event.key === "n") { event.preventDefault(); if (byId("more")) { byId("more").open = true; byId("note").focus(); } }
    else if (event.key === "w") { event.preventDefault(); byId("typed")?.focus(); }
    else if (event.key === "m") { event.preventDefault(); page.classList.toggle("mosaic-large"); }
    else if (event.key === "ArrowLeft" || event.key === "ArrowRight") { event.preventDefault(); step(event.key === "ArrowLeft" ? -1 : 1); }
    else if (event.key === "Escape") document.querySelectorAll("#sheet details[open]").forEach(function (d) { d.open = false; });
    else if (/^[1-9]$/.test(event.key)) {
      const row = Array.from(document.querySelectorAll(".tally tbody tr")).find(function (r) { return r.querySelector(".number").textContent === event.key; });
      if (row) { event.preventDefault(); row.querySelector("a").click(); }
    }
  });
  // Enter in the typed field takes what was typed, not what lies on the scale
  document.addEventListener("keydown", function (event) {
    if (event.key === "Enter" && event.target.id === "typed") { event.preventDefault(); byId("take-typed").click(); }
  });

  // ---- start -----------------------------------------------------------------------------------
  readModel();
  showTray();
  showGuide();
  const token = function () {
    const field = document.querySelector('#sheet input[name="_csrf"]');
    return field ? { name: field.name, value: field.value } : null;
  };
  queue.start(model.person, token, heardFromQueue);
  if ("serviceWorker" in navigator) navigator.serviceWorker.register("/bench-worker.js", { scope: "/bench/" }).catch(function () { /* without it only an open page works offline */ });
})();
