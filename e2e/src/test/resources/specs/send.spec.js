import { sender, sentenceOf } from "/ui/bench/send.js";

const WORDS = { "not-allowed": "You don’t have permission.", "unknown-lot": "There is no such lot." };
const answering = (status, { text = "", headers = {} } = {}) => {
  const asked = [];
  const send = sender(() => ({ name: "_csrf", value: "t" }), WORDS, async (url, what) => {
    asked.push({ url, what });
    return { status, text: async () => text, headers: { get: (name) => headers[name] || null } };
  });
  return { asked, send };
};
const op = () => ({ url: "/bench/7/weighings", at: 1234, fields: { id: "a", typed: "612 g" } });

describe("sending", () => {
  it("brings fields and token, and the moment only when it is tried again", async () => {
    const { asked, send } = answering(200, { text: "<div></div>" });
    const sent = op();
    expect(await send(sent)).toEqual({ kind: "done", html: "<div></div>" });
    expect(asked[0].what.body.toString()).toBe("id=a&typed=612+g&_csrf=t");
    await send(sent);
    expect(asked[1].what.body.get("at")).toBe("1234");
  });
  it("takes a short answer for what it says, and asks for one", async () => {
    const { asked, send } = answering(200, { text: "Head 612 g taken.", headers: { "Content-Type": "text/plain;charset=UTF-8" } });
    expect(await send(op())).toEqual({ kind: "done", said: "Head 612 g taken." });
    expect(asked[0].what.headers.Prefer).toBe("return=minimal");
  });
  it("reads the sentence out of the sheet that refuses", async () => {
    const text = '<div id="sheet"><p class="alert alert-danger"> 12 kg is more than the fish. </p></div>';
    const { send } = answering(422, { text });
    const result = await send(op());
    expect([result.kind, result.sentence]).toEqual(["refused", "12 kg is more than the fish."]);
    expect(sentenceOf("<div></div>")).toBe("");
  });
  it("takes a server that fails, or does not answer, for away", async () => {
    expect((await answering(503).send(op())).kind).toBe("away");
    const dead = sender(() => null, WORDS, async () => { throw new TypeError("no network"); });
    expect((await dead(op())).kind).toBe("away");
  });
  it("tells a fault of the server from a server that is not there, and a refusal from both", async () => {
    for (const status of [429, 502, 503, 504, 507]) expect((await answering(status).send(op())).kind).toBe("away");
    expect((await answering(500).send(op())).kind).toBe("fault");
    expect((await answering(400).send(op())).kind).toBe("refused");
  });
  it("tells an ended session, a stale page and a missing permission apart", async () => {
    expect(await answering(401, { headers: { "HX-Redirect": "/sign-in" } }).send(op()))
      .toEqual({ kind: "sign-in", to: "/sign-in" });
    expect((await answering(403, { headers: { "HX-Refresh": "true" } }).send(op())).kind).toBe("stale-page");
    expect((await answering(403).send(op())).sentence).toBe(WORDS["not-allowed"]);
    expect((await answering(404).send(op())).sentence).toBe(WORDS["unknown-lot"]);
  });
});
