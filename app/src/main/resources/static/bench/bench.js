// The bench: the live scale, the keys, the news of other tablets.
"use strict";
(function () {
  const page = document.getElementById("bench-page");
  if (!page) return;
  const lot = page.dataset.lot;
  const byId = function (id) { return document.getElementById(id); };
  const sheet = function () { return byId("sheet"); };
  let last = null;

  // the live scale
  const show = function (reading) {
    last = reading;
    const live = byId("live");
    if (!live) return;
    live.className = "live " + reading.motion;
    byId("live-figure").textContent = reading.figure;
    byId("live-unit").textContent = reading.unit;
    byId("live-words").textContent = reading.words;
    byId("live-tare").textContent = reading.tare ? "tare " + reading.tare : "";
    const number = byId("reading");
    if (number) number.value = reading.number;
    const take = byId("take-button");
    if (take) take.disabled = !reading.takeable;
  };
  const gone = { number: 0, figure: "– – –", unit: "", tare: "", motion: "gone", words: "no connection: the bench tries again", takeable: false };

  let stream = null;
  let heard = 0;
  const listen = function () {
    if (stream) stream.close();
    stream = new EventSource("/bench/" + lot + "/stream");
    stream.addEventListener("reading", function (event) { heard = Date.now(); show(JSON.parse(event.data)); });
    stream.addEventListener("changed", function () { heard = Date.now(); refresh(); });
    stream.onerror = function () { show(gone); };
  };
  setInterval(function () {
    if (heard && Date.now() - heard > 4000) show(gone);
    if (!stream || stream.readyState === EventSource.CLOSED) listen();
  }, 2000);
  listen();
  window.addEventListener("pagehide", function () { stream.close(); });

  // one turn after the other: what was asked for last is what is shown
  let turn = 0;
  let waiting = null;
  const hrefOf = function (data) {
    return "/bench/" + lot + "?fish=" + data.fish + (data.part ? "&part=" + encodeURIComponent(data.part) : "");
  };
  const load = async function (href, chosenByHand) {
    const mine = ++turn;
    clearTimeout(waiting);
    let answer = null;
    try { answer = await fetch(href, { headers: { "HX-Request": "true" } }); } catch (e) { answer = null; }
    if (mine !== turn) return;
    if (answer && answer.ok) {
      const box = document.createElement("template");
      box.innerHTML = await answer.text(); // our own fragment
      if (mine !== turn) return;
      remember();
      sheet().replaceWith(box.content.firstElementChild);
      htmx.process(sheet());
      document.dispatchEvent(new Event("htmx:afterSwap"));
    } else if (chosenByHand) {
      location.href = href; // the whole page: it asks to sign in, or says what is wrong
    }
  };
  document.addEventListener("htmx:beforeRequest", function () { turn++; clearTimeout(waiting); });

  // news: another tablet weighed, or this one did
  const refresh = function () {
    clearTimeout(waiting);
    waiting = setTimeout(function () {
      if (document.querySelector(".htmx-request")) refresh();
      else load(hrefOf(sheet().dataset), false);
    }, 150);
  };

  // what was opened stays open, what was chosen stays chosen
  let open = [];
  let chosen = {};
  let focused = null;
  const remember = function () {
    open = Array.from(document.querySelectorAll("#sheet details[open]"), function (d) { return d.id; });
    chosen = { part: sheet().dataset.part, reason: document.querySelector("#sheet input[name=reason]:checked")?.value };
    focused = sheet().contains(document.activeElement) ? document.activeElement.id : null;
  };
  document.addEventListener("htmx:beforeSwap", remember);
  document.addEventListener("htmx:afterSwap", function () {
    open.forEach(function (id) { const details = id && byId(id); if (details) details.open = true; });
    if (chosen.reason && chosen.part === sheet().dataset.part) {
      const again = document.querySelector('#sheet input[name=reason][value="' + chosen.reason + '"]');
      if (again) again.checked = true;
    }
    if (focused && byId(focused)) byId(focused).focus({ preventScroll: true });
    if (last) show(last);
    const said = sheet().dataset.said || document.querySelector("#sheet .notice.alarm")?.textContent;
    if (said) byId("said").textContent = said;
    history.replaceState(null, "", hrefOf(sheet().dataset));
  });
  // a reading that was just taken is not offered again before the server says so
  document.addEventListener("htmx:beforeRequest", function (event) {
    if (event.target.id === "take" && last) last = Object.assign({}, last, { takeable: false });
  });

  // any part is one tap away: on the drawing, in the mosaic, in the list
  document.addEventListener("click", function (event) {
    if (event.ctrlKey || event.metaKey) return;
    const link = event.target.closest(".tag, .tally th a, .chip[href]");
    const region = event.target.closest(".fish .region[data-slot], .mosaic .tile[data-slot]");
    if (link) {
      event.preventDefault();
      load(link.getAttribute("href"), true);
    } else if (region && region.dataset.slot !== "remainder") {
      load(hrefOf({ fish: sheet().dataset.fish, part: region.dataset.slot }), true);
    }
  });

  // keys
  const step = function (by) {
    const rows = Array.from(document.querySelectorAll(".tally tbody tr:not(.skipped)"));
    const at = rows.findIndex(function (row) { return row.classList.contains("chosen"); });
    const row = rows[(at + by + rows.length) % rows.length];
    row?.querySelector("a").click();
  };
  document.addEventListener("keydown", function (event) {
    if (event.target.matches("input:not([type=radio]), select, textarea") || event.altKey || event.ctrlKey || event.metaKey || byId("help").open) return;
    const press = function (id) { event.preventDefault(); byId(id)?.click(); };
    if (event.key === " " && !event.target.matches("summary, button, a")) press("take-button");
    else if (event.key === "t") { event.preventDefault(); byId("tare-form")?.requestSubmit(); }
    else if (event.key === "z") { event.preventDefault(); byId("back-form")?.requestSubmit(); }
    else if (event.key === "p") press("to-purposes");
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
})();
