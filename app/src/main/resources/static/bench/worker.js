// Opens the bench of a lot while the server is away: the page as it was last seen, with its styles
// and scripts. What was weighed meanwhile is not here but in the browser's database (queue.js).
"use strict";
const CACHE = "bench-1";
const isBench = function (url) { return /^\/bench\/\d+$/.test(url.pathname); };
const isStatic = function (url) { return url.pathname.startsWith("/ui/") || url.pathname.startsWith("/webjars/"); };

self.addEventListener("install", function () { self.skipWaiting(); });
self.addEventListener("activate", function (event) { event.waitUntil(self.clients.claim()); });

// without room the page is shown all the same, only not kept
const keep = async function (key, answer) {
  try {
    await (await caches.open(CACHE)).put(key, answer);
  } catch (e) { /* as above */ }
};
// a browser that has only just opened may need a moment for what it stored
const kept = async function (key) {
  for (let tries = 0; tries < 25; tries++) {
    const found = await caches.open(CACHE).then((cache) => cache.match(key)).catch(() => null);
    if (found) return found;
    await new Promise((later) => { setTimeout(later, 200); });
  }
  return null;
};
const freshElseKept = async function (request, key) {
  const answer = await fetch(request).catch(() => null);
  if (!answer || answer.status >= 500) return (await kept(key)) || answer || Response.error();
  if (answer.ok && !answer.redirected) await keep(key, answer.clone());
  return answer;
};
// the names of static files change with their content
const keptElseFresh = async function (request) {
  const cache = await caches.open(CACHE);
  const kept = await cache.match(request);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request, answer.clone());
  return answer;
};

// The first visit was over before this worker could see it: the page names what it is made of.
self.addEventListener("message", function (event) {
  const wanted = (event.data && event.data.keep) || [];
  event.waitUntil(Promise.all(wanted.map(function (address) {
    const url = new URL(address, self.location.origin);
    if (url.origin !== self.location.origin) return null;
    if (isBench(url)) return freshElseKept(new Request(url.pathname, { credentials: "same-origin" }), url.pathname);
    return isStatic(url) ? keptElseFresh(new Request(url.href)) : null;
  })).catch(function () { /* what is missing is kept at the next visit */ }));
});

self.addEventListener("fetch", function (event) {
  const url = new URL(event.request.url);
  if (event.request.method !== "GET" || url.origin !== self.location.origin) return;
  if (event.request.mode === "navigate" && isBench(url)) event.respondWith(freshElseKept(event.request, url.pathname));
  else if (isStatic(url)) event.respondWith(keptElseFresh(event.request));
});
