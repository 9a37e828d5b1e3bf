// What was weighed waits here until the server has it: in the browser's own database, so that a
// reload, a closed browser, a dead server or a dead database loses nothing. Sent once and in order.
"use strict";
window.MosaicQueue = (function () {
  const AGAIN_MILLIS = [500, 1000, 2000, 3000];
  const TIMEOUT_MILLIS = 8000;
  let opened = null;
  let ops = [];            // this person's, in order; the same as in the database
  let acked = [];          // the server has them, the page does not show it yet
  let person = null;
  let tokenOf = function () { return null; };
  let listener = function () {};
  let sending = false;
  let failures = 0;
  let timer = null;

  const database = function () {
    if (!opened) {
      opened = new Promise(function (resolve, reject) {
        const request = indexedDB.open("mosaic-bench", 1);
        request.onupgradeneeded = function () { request.result.createObjectStore("ops", { keyPath: "seq", autoIncrement: true }); };
        request.onsuccess = function () { resolve(request.result); };
        request.onerror = function () { reject(request.error); };
      });
    }
    return opened;
  };
  const run = async function (mode, work) {
    const db = await database();
    return new Promise(function (resolve, reject) {
      // strict: on the disk before it counts as kept
      const transaction = db.transaction("ops", mode, { durability: "strict" });
      const request = work(transaction.objectStore("ops"));
      transaction.oncomplete = function () { resolve(request && request.result); };
      transaction.onerror = transaction.onabort = function () { reject(transaction.error); };
    });
  };

  // one identifier for ever, also where the page has no secure context
  const newId = function () {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = (bytes[6] & 0x0f) | 0x40;
    bytes[8] = (bytes[8] & 0x3f) | 0x80;
    const hex = Array.from(bytes, function (b) { return b.toString(16).padStart(2, "0"); }).join("");
    return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join("-");
  };

  const start = async function (who, token, changed) {
    person = who;
    tokenOf = token;
    listener = changed;
    try { ops = (await run("readonly", function (store) { return store.getAll(); })).filter(function (op) { return op.person === who; }); }
    catch (e) { ops = []; }
    listener();
    flush();
  };

  const add = async function (op) {
    op.person = person;
    op.at = Date.now();
    ops.push(op);
    listener();
    try { op.seq = await run("readwrite", function (store) { const kept = Object.assign({}, op); delete kept.seq; return store.add(kept); }); }
    catch (e) { op.unkept = true; } // no room in the browser: it still goes out, only a reload would lose it
    if (!ops.includes(op)) drop(op); // it was answered before it was kept
    flush();
  };

  const drop = async function (op) {
    ops = ops.filter(function (other) { return other !== op; });
    if (op.seq !== undefined) { try { await run("readwrite", function (store) { return store.delete(op.seq); }); } catch (e) { /* sent again it is the same weighing */ } }
  };
  const keepRefused = async function (op, sentence) {
    op.refused = sentence;
    if (op.seq !== undefined) { try { await run("readwrite", function (store) { return store.put(op); }); } catch (e) { /* shown until the page closes */ } }
  };

  const words = function () { return JSON.parse(document.getElementById("bench-words").textContent); };
  const send = async function (op) {
    const body = new URLSearchParams(op.fields);
    // the first try is live; later ones bring their moment and their reading along
    if (op.tried) body.set("at", op.at);
    const token = tokenOf();
    if (token) body.set(token.name, token.value);
    op.tried = true;
    const control = new AbortController();
    const ends = setTimeout(function () { control.abort(); }, TIMEOUT_MILLIS);
    try {
      const answer = await fetch(op.url, {
        method: "POST", body: body, redirect: "manual", signal: control.signal,
        headers: { "Accept": "application/json", "HX-Request": "true", "HX-Current-URL": location.href },
      });
      if (answer.status === 200) return { kind: "done", said: (await answer.json()).said };
      if (answer.status === 409 || answer.status === 422) return { kind: "refused", sentence: (await answer.json()).sentence };
      if (answer.status === 401) return { kind: "sign-in", to: answer.headers.get("HX-Redirect") || location.href };
      if (answer.status === 403) return { kind: answer.headers.get("HX-Refresh") ? "stale-page" : "refused", sentence: words()["not-allowed"] };
      if (answer.status === 404 || answer.status === 413) return { kind: "refused", sentence: words()["unknown-lot"] };
      return { kind: "away" };
    } catch (e) {
      return { kind: "away" };
    } finally {
      clearTimeout(ends);
    }
  };

  const flush = async function () {
    if (sending || person === null) return;
    sending = true;
    clearTimeout(timer);
    try {
      for (let op = next(); op; op = next()) {
        const result = await send(op);
        if (result.kind === "done") {
          failures = 0;
          op.acked = true;
          acked.push({ op: op, at: performance.now() });
          await drop(op);
          listener({ done: op, said: result.said });
        } else if (result.kind === "refused") {
          failures = 0;
          const late = Date.now() - op.at > 6000;
          if (late) await keepRefused(op, result.sentence); else await drop(op);
          listener({ refused: op, sentence: result.sentence, late: late });
        } else if (result.kind === "sign-in") {
          location.href = result.to;
          return;
        } else if (result.kind === "stale-page") {
          if (Date.now() - Number(sessionStorage.getItem("bench-reloaded") || 0) > 20000) {
            sessionStorage.setItem("bench-reloaded", Date.now());
            location.reload();
          }
          return;
        } else {
          const wait = AGAIN_MILLIS[Math.min(failures, AGAIN_MILLIS.length - 1)];
          failures++;
          timer = setTimeout(flush, wait);
          listener({ away: true });
          return;
        }
      }
    } finally {
      sending = false;
    }
  };
  const next = function () { return ops.find(function (op) { return !op.refused; }); };

  window.addEventListener("online", flush);

  return {
    start: start,
    add: add,
    newId: newId,
    flush: flush,
    isAway: function () { return failures > 0; },
    // what the server does not show yet, for one lot: sent and not shown, then waiting
    overlay: function (lot) {
      return acked.map(function (a) { return a.op; }).concat(ops).filter(function (op) { return op.lot === lot && !op.refused; });
    },
    waiting: function () { return ops.filter(function (op) { return !op.refused; }).length; },
    refused: function () { return ops.filter(function (op) { return op.refused; }); },
    forget: async function (op) { await drop(op); listener(); },
    // a sheet whose load began after the answer shows what was sent
    shown: function (loadBegan) { acked = acked.filter(function (a) { return a.at > loadBegan; }); },
  };
})();
