export type PracticeKind = "stop in time" | "what went wrong" | "guess the grams" | "palate ladder";

/** How each is called, what it is, where it is, and in what it is told how far off a try was. */
export const PRACTICE_WORDS: Readonly<
  Record<PracticeKind, { readonly title: string; readonly line: string; readonly path: string; readonly off: string; readonly places: number }>
> = {
  "stop in time": {
    title: "Stop in time",
    line: "A pot cooks down fast. Stop it so that it is right when it is cold, not when it is hot.",
    path: "stop",
    off: "steps of body",
    places: 1,
  },
  "what went wrong": {
    title: "What went wrong",
    line: "A pot is not as it was meant. Say what goes in, and how much; the models say what comes of it.",
    path: "wrong",
    off: "differences that are just noticed",
    places: 1,
  },
  "guess the grams": {
    title: "Guess the grams",
    line: "A heap, a spoon or balls of what your recipes hold, drawn to scale.",
    path: "grams",
    off: "%",
    places: 0,
  },
  "palate ladder": {
    title: "Palate ladder",
    line: "Two cups of sugar water: which is sweeter? It finds the difference that somebody just notices.",
    path: "ladder",
    off: "",
    places: 0,
  },
};
export const NOBODY = "nobody that is named";
