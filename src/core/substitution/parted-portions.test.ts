import { describe, expect, it } from "vitest";
import { read, tableOf } from "../../../tests/support/kitchen";
import { REFERENCE, RULES, SUBSTITUTION } from "../../data";
import { partedPortions, standingOf } from ".";
import { problemFor } from "./problem-for";

const LINES = ["1 litre oat drink", "60 g sago", "60 g sugar", "40 g cashews", "20 g ghee"];
const parted = (steps: readonly string[], rule = "no-cashew", lines = LINES) => {
  const made = read(["Kheer", "", "Serves 4", "", ...lines, "", "Method", ...steps].join("\n"));
  const problem = problemFor(made, tableOf({ rules: [rule] }), REFERENCE, SUBSTITUTION, RULES, 1);
  return partedPortions(made, standingOf(problem, null), problem.rules).map(({ number, verdict, reason }) => ({ step: number, verdict, reason }));
};
const COOK = "Simmer the sago in the oat drink with the sugar for 15 minutes.";

describe("a portion that is parted from the pot", () => {
  it.each([
    "Set aside a portion for the niece in a clean bowl with its own spoon.",
    "Take out two ladles for the guest into a separate bowl before the cashews go in.",
    "Keep a bowlful apart, with its own spoon and pan.",
    "Set a portion aside for the offering in its own clean vessel, then add the cashews to the rest.",
    "Reserve a third for the children, with a clean ladle into their own bowl.",
  ])("before the nuts come in, with things of its own, is fit: %s", (step) => {
    expect(parted([COOK, step, "Fry the cashews in the ghee and stir them in."])).toMatchObject([{ step: 2, verdict: "allowed" }]);
  });
  it("in time, but with nothing of its own, is asked about", () => {
    expect(parted([COOK, "Set aside a portion for the niece.", "Fry the cashews in the ghee and stir them in."])).toMatchObject([
      { verdict: "ask", reason: expect.stringContaining("of its own") as string },
    ]);
  });
  it.each([
    ["Fry the cashews in the ghee and lift them out.", /left in the pan and its fat/],
    ["Roast the cashews dry and set them aside.", /left in the pan/],
    ["Grind the cashews to a coarse meal and keep them aside.", /left in the grinder/],
    ["Soak the cashews for 20 minutes, drain, and set them aside.", /left in the soaking water/],
    ["Chop the cashews and set them aside.", /left in the grinder, knife or board/],
  ])("after nuts were lifted out again is not fit: %s", (first, why) => {
    const [found] = parted([first, COOK, "Set aside a portion for the niece in her own bowl.", "Stir the cashews into the rest."]);
    expect(found).toMatchObject({ step: 3, verdict: "avoid" });
    expect(found?.reason).toMatch(why);
  });
  it("after nuts that had a pan of their own is fit", () => {
    const steps = [
      "Fry the cashews in the ghee in a separate pan.",
      COOK,
      "Set aside a portion for the niece in her own bowl.",
      "Stir the cashews into the rest.",
    ];
    expect(parted(steps).map(({ verdict }) => verdict)).not.toContain("allowed");
    expect(parted(["Fry the cashews in a separate pan and lift them out.", ...steps.slice(1)])).toMatchObject([{ verdict: "allowed" }]);
  });
  it.each([
    ["Set aside a portion for the niece once the cashews are in.", "avoid"],
    ["Stir in the cashews and set aside a portion for the niece in her own bowl.", "avoid"],
    ["Set aside a portion for the niece in her own bowl, after the cashews.", "avoid"],
  ])("in the step that brings the nuts in goes by the order of its words: %s", (step, verdict) => expect(parted([COOK, step])).toMatchObject([{ verdict }]));
  it("is asked about where no step says when the nuts go in, or a line is not read", () => {
    expect(parted([COOK, "Set aside a portion for the niece in her own clean bowl."])).toMatchObject([{ verdict: "ask", reason: /no step says/ }]);
    const unread = parted([COOK, "Set aside a portion for the niece in her own clean bowl.", "Add the cashews."], "no-cashew", [...LINES, "1 tbsp zibibbo"]);
    expect(unread).toMatchObject([{ verdict: "ask" }]);
  });
  it.each([
    "Fry the nuts in the ghee and lift them out.",
    "Toast the dry fruits and keep them ready.",
    "Fry in the ghee until golden, then lift out.",
    "Soak for 20 minutes and drain.",
    "Get all the ingredients ready on one board.",
  ])("is not called fit where an earlier step may have had the nuts without naming them: %s", (first) => {
    const found = parted([first, COOK, "Set aside a portion for the niece in her own clean bowl.", "Stir in the cashews."]);
    expect(found).toMatchObject([{ step: 3, verdict: "ask" }]);
  });
  it("for a diet needs no things of its own, but nothing of what it leaves out", () => {
    const GHEE = "Stir in the ghee and cashews.";
    expect(parted([COOK, "Set aside a portion for the vegans.", GHEE], "vegan")).toMatchObject([{ verdict: "allowed" }]);
    expect(parted([COOK, GHEE, "Set aside a portion for the vegans."], "vegan")).toMatchObject([{ verdict: "avoid" }]);
    expect(parted(["Melt the ghee.", COOK, "Set aside a portion for the vegans.", "Pour the ghee over the rest."], "vegan")[0]?.verdict).not.toBe("allowed");
  });
  it.each([
    "Remove from the heat and serve with some sugar.",
    "Set aside half of the cashews for later.",
    "Set aside for 10 minutes.",
    "Toast, then set aside half for garnish.",
    "Divide into 12 portions and shape.",
    "Put the lid on and take it off the heat.",
    "Keep the pan back on a low flame.",
  ])("is not seen where none is: %s", (step) => expect(parted([COOK, step, "Add the cashews."])).toEqual([]));
});
