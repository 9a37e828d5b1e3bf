// Opens the bench of a lot while the server is away: the page as it was last seen, with its styles
// and scripts. What was weighed meanwhile is not here but in the browser's database (queue.js).
"use strict";
const CACHE = "bench-1";
const isBench = function (url) { return /^\/bench\/\d+$/.test(url.pathname); };
const isStatic = function (url) { return url.pathname.startsWith("/ui/") || url.pathname.startsWith("/webjars/"); };

self.addEventListener("install", function () { self.skipWaiting(); });
self.addEventListener("activate", function (event) { event.waitUntil(self.clients.claim()); });

const freshElseKept = async function (request, key) {
  const cache = await caches.open(CACHE);
  try {
    const answer = await fetch(request);
    if (answer.ok && !answer.redirected) await cache.put(key, answer.clone());
    const kept = answer.status >= 500 ? await cache.match(key) : null;
    return kept || answer;
  } catch (e) {
    return (await cache.match(key)) || Response.error();
  }
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
