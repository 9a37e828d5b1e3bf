import { fill, valuesOf } from "/ui/shared/drafts.js";
import { wording } from "/ui/bench/words.js";

const form = () => {
  const made = document.createElement("form");
  made.innerHTML = `
    <input name="name" value="Holm Sound Boats"><input name="password" type="password" value="secret">
    <input name="days" type="checkbox" value="TUESDAY" checked><input name="days" type="checkbox" value="FRIDAY">
    <input name="days" type="checkbox" value="SATURDAY" checked><input name="state" type="radio" value="WHOLE">
    <input type="hidden" name="version" value="3">`;
  return made;
};

describe("a draft", () => {
  it("keeps what is typed and every tick, never a password or a hidden field", () => {
    expect(valuesOf(form())).toEqual({ name: "Holm Sound Boats", days: ["TUESDAY", "SATURDAY"], state: [] });
  });
  it("is put back as it was", () => {
    const again = form();
    fill(again, { name: "Marram Quay Fish", days: ["FRIDAY"], state: ["WHOLE"] });
    expect(valuesOf(again)).toEqual({ name: "Marram Quay Fish", days: ["FRIDAY"], state: ["WHOLE"] });
    expect(again.elements.version.value).toBe("3");
  });
});

describe("words", () => {
  it("take their values, and show the key where there is no text", () => {
    const word = wording({ taken: "{0}: {1}, {0}" });
    expect(word("taken", "Head", "612 g")).toBe("Head: 612 g, Head");
    expect(word("nothing")).toBe("nothing");
  });
});
