// Sends one op to the server and says what became of it. The answer to a change is the sheet after it.

const TIMEOUT_MILLIS = 8000;

/** The sentence of a sheet that refuses. */
export const sentenceOf = (html) => {
  const box = document.createElement("template");
  box.innerHTML = html; // our own fragment
  return box.content.querySelector(".alert-danger")?.textContent.trim() || "";
};

/**
 * Returns a function that sends an op: {kind: "done", html} or {kind: "done", said} if the answer is short, {kind: "refused", sentence, html},
 * {kind: "sign-in", to}, {kind: "stale-page"}, {kind: "fault", sentence} or {kind: "away"}.
 *
 * token: a function to the token of the form, {name, value} or null
 * words: what to say where the server's own words do not come through
 */
export const sender = (token, words, fetching = (url, what) => fetch(url, what)) => async (op) => {
  const body = new URLSearchParams(op.fields);
  // the first try is live; later ones bring their moment and their reading along
  if (op.tried) body.set("at", op.at);
  const known = token();
  if (known) body.set(known.name, known.value);
  op.tried = true;
  try {
    const answer = await fetching(op.url, {
      method: "POST",
      body,
      redirect: "manual",
      signal: AbortSignal.timeout(TIMEOUT_MILLIS),
      headers: {
        Accept: "text/html, text/plain", Prefer: "return=minimal",
        "HX-Request": "true", "HX-Current-URL": location.href,
      },
    });
    const header = (name) => answer.headers.get(name);
    switch (answer.status) {
      case 200:
        return (header("Content-Type") || "").startsWith("text/plain")
          ? { kind: "done", said: await answer.text() }
          : { kind: "done", html: await answer.text() };
      case 409:
      case 422: {
        const html = await answer.text();
        return { kind: "refused", sentence: sentenceOf(html), html };
      }
      case 401: return { kind: "sign-in", to: header("HX-Redirect") || location.href };
      case 403:
        return header("HX-Refresh") ? { kind: "stale-page" } : { kind: "refused", sentence: words["not-allowed"] };
      case 404:
      case 413: return { kind: "refused", sentence: words["unknown-lot"] };
      // the server, its database or the room on its disk are not there for now: any weight would fail
      case 429:
      case 502:
      case 503:
      case 504:
      case 507: return { kind: "away" };
      default:
        return answer.status >= 500
          ? { kind: "fault", sentence: words["server-fault"] }
          : { kind: "refused", sentence: words["not-taken"] };
    }
  } catch (e) {
    return { kind: "away" };
  }
};
