// Answers without signal. VERSION and PARTS are put before this by the server: another build, another worker.
// Kept are the page beside the trail, the one that stands for all others, what they are made of, and the ladder; never
// anything of a rider.

/* global PARTS, VERSION */

const KEPT = `trail-${VERSION}`;
const PAGE = "/trailside";
const OTHERS = "/offline";
const RULES = "/trailside/rules.json";
const PATIENCE_MS = 4000;
const ATTEMPTS = 4;

// As nobody: what is kept is the same for every rider. A server that has its hands full is asked again.
async function brought(url) {
  for (let attempt = 1; ; attempt++) {
    const answer = await fetch(url, { credentials: "omit", cache: "no-cache" }).catch(() => null);
    if (answer?.ok) {
      return answer;
    }
    if (attempt === ATTEMPTS) {
      throw new Error(`${url} cannot be had`);
    }
    await new Promise((go) => setTimeout(go, attempt * 1000));
  }
}

self.addEventListener("install", (event) => {
  event.waitUntil(
    (async () => {
      const cache = await caches.open(KEPT);
      await Promise.all(
        [PAGE, OTHERS, RULES, ...PARTS].map(async (url) => {
          await cache.put(url, await brought(url));
        }),
      );
      await self.skipWaiting();
    })(),
  );
});

self.addEventListener("activate", (event) => {
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) {
        if (name !== KEPT) {
          await caches.delete(name);
        }
      }
      await self.clients.claim();
    })(),
  );
});

// A page that was loading while this worker took the others over asks for itself.
self.addEventListener("message", (event) => event.waitUntil(self.clients.claim()));

// A bar of signal that carries nothing is no signal.
async function inTime(request) {
  const patience = new AbortController();
  const timer = setTimeout(() => patience.abort(), PATIENCE_MS);
  try {
    return await fetch(request, { signal: patience.signal });
  } finally {
    clearTimeout(timer);
  }
}

async function kept(url) {
  return (await (await caches.open(KEPT)).match(url)) ?? Response.error();
}

self.addEventListener("fetch", (event) => {
  const request = event.request;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) {
    return;
  }
  if (request.mode === "navigate") {
    // a page that takes long is waited for, as long as there is an answer in the end; the trail's is not
    const trail = url.pathname === PAGE;
    event.respondWith((trail ? inTime(request) : fetch(request)).catch(() => kept(trail ? PAGE : OTHERS)));
  } else if (url.pathname === RULES) {
    event.respondWith(inTime(request).catch(() => kept(RULES)));
  } else if (PARTS.includes(url.pathname)) {
    event.respondWith(kept(url.pathname).then((answer) => (answer.ok ? answer : fetch(request))));
  }
});
