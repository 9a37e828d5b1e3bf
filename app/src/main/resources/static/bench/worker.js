// Opens the bench of a lot while the server is away: the page as it was last seen, with its styles
// and scripts. What was weighed meanwhile lies in a store of its own (queue.js). Both are on the disk
// before they count as kept: what the browser's cache was given last is lost if it is closed at once.
"use strict";
const STORE = "pages";
const isBench = function (url) { return /^\/bench\/\d+$/.test(url.pathname); };
const isStatic = function (url) { return url.pathname.startsWith("/ui/") || url.pathname.startsWith("/webjars/"); };

let opened = null;
const database = function () {
  opened ??= new Promise(function (resolve, reject) {
    const request = indexedDB.open("mosaic-pages", 1);
    request.onupgradeneeded = function () { request.result.createObjectStore(STORE); };
    request.onerror = function () { reject(request.error); };
    request.onsuccess = function () {
      // who signs out throws all of it away
      request.result.onversionchange = function () { opened = null; request.result.close(); };
      request.result.onclose = function () { opened = null; };
      resolve(request.result);
    };
  }).catch(function (e) { opened = null; throw e; });
  return opened;
};
const run = async function (mode, work) {
  const db = await database();
  return new Promise(function (resolve, reject) {
    const transaction = db.transaction(STORE, mode, { durability: "strict" });
    const request = work(transaction.objectStore(STORE));
    transaction.oncomplete = function () { resolve(request.result); };
    transaction.onerror = transaction.onabort = function () { reject(transaction.error); };
  });
};
// together: a slow disk is waited for once, not for each of them
const keep = async function (answers) {
  const all = await Promise.all(answers.map(async function ([key, answer]) {
    return [key, { headers: [...answer.headers], body: await answer.arrayBuffer() }];
  }));
  await run("readwrite", function (pages) {
    all.forEach(function ([key, one]) { pages.put(one, key); });
    return pages.count();
  });
};
// without room the page is shown all the same, only not kept
const keepQuietly = function (key, answer) { return keep([[key, answer]]).catch(function () { /* as above */ }); };
// a browser that has only just opened may not let anybody at its store yet
const kept = async function (key) {
  for (let tries = 0; tries < 100; tries++) {
    try {
      const one = await run("readonly", (pages) => pages.get(key));
      return one ? new Response(one.body, { headers: one.headers }) : null;
    } catch (e) {
      await new Promise((later) => { setTimeout(later, 200); });
    }
  }
  return null;
};
const freshElseKept = async function (event, request, key) {
  const answer = await fetch(request).catch(() => null);
  if (!answer || answer.status >= 500) return (await kept(key)) || answer || Response.error();
  if (answer.ok && !answer.redirected) event.waitUntil(keepQuietly(key, answer.clone()));
  return answer;
};
// the names of static files change with their content
const keptElseFresh = async function (event, request) {
  const before = await kept(request.url);
  if (before) return before;
  const answer = await fetch(request);
  if (answer.ok) event.waitUntil(keepQuietly(request.url, answer.clone()));
  return answer;
};

self.addEventListener("install", function () { self.skipWaiting(); });
self.addEventListener("activate", function (event) { event.waitUntil(self.clients.claim()); });

// The first visit was over before this worker could see it: the page names what it is made of, and is
// told once all of that is on the disk.
const fetched = async function (address) {
  const url = new URL(address, self.location.origin);
  if (url.origin !== self.location.origin || !(isBench(url) || isStatic(url))) return [];
  const key = isBench(url) ? url.pathname : url.href;
  if (isStatic(url) && await kept(key)) return [];
  const answer = await fetch(new Request(key, { credentials: "same-origin" }));
  return answer.ok && !answer.redirected ? [[key, answer]] : [];
};
self.addEventListener("message", function (event) {
  const wanted = (event.data && event.data.keep) || [];
  event.waitUntil(Promise.all(wanted.map(fetched))
    .then(function (answers) { return keep(answers.flat()); })
    .then(function () { event.source.postMessage({ kept: true }); })
    .catch(function () { /* what is missing is kept at the next visit */ }));
});

self.addEventListener("fetch", function (event) {
  const url = new URL(event.request.url);
  if (event.request.method !== "GET" || url.origin !== self.location.origin) return;
  if (event.request.mode === "navigate" && isBench(url)) {
    event.respondWith(freshElseKept(event, event.request, url.pathname));
  } else if (isStatic(url)) {
    event.respondWith(keptElseFresh(event, event.request));
  }
});
