import type { Food } from "../../core/food";

type Counted = Food["counted"];
const of = (grams: number, share = 0.25, ...units: readonly string[]): Counted => (units.length > 0 ? units : ["piece"]).map((unit) => ({ unit, grams, share }));

/** What a piece, leaf, sprig or inch of further foods weighs, g, and half its 80 % interval as a share: household weights of public tables where they have it, else usual sizes (rule of thumb). */
export const PIECES_OF: Readonly<Record<string, Counted>> = {
  "ifct-tomato-ripe-hybrid": of(120), "ifct-plantain-green": of(180), "ifct-banana-ripe-montham": of(170, 0.25), "ifct-onion-big": of(110, 0.3), "ifct-onion-small": of(12, 0.3),
  "ifct-guava-white-flesh": of(100, 0.3), "ifct-custard-apple": of(120, 0.3), "ifct-apple-small": of(100, 0.25), "ifct-sapota": of(90, 0.25), "ifct-litchi": of(10), "ifct-peach": of(150), "ifct-pear": of(178), "ifct-plum": of(66),
  "ifct-cherries-red": of(8), "ifct-strawberry": of(12, 0.3), "ifct-avocado-fruit": of(150, 0.3), "ifct-orange-pulp": of(130), "ifct-goosberry": of(35, 0.3), "ifct-lime-sweet-pulp": of(120),
  "ifct-mint-leaves": [...of(0.1, 0.4, "leaf"), ...of(1.2, 0.4, "sprig"), ...of(30, 0.4, "bunch"), ...of(0.1, 0.4)], "ifct-coriander-leaves": [...of(2, 0.4, "sprig"), ...of(60, 0.4, "bunch")],
  "ifct-curry-leaves": [...of(0.15, 0.4, "leaf"), ...of(2, 0.4, "sprig"), ...of(0.15, 0.4)], "basil-leaf": [...of(0.5, 0.4, "leaf"), ...of(2, 0.4, "sprig")],
  "ifct-garlic-big-clove": of(4, 0.3), "ifct-chillies-green-all-varieties": of(5, 0.4), "ifct-chillies-red": of(1, 0.4), "ifct-pippali": of(0.5, 0.3),
  ginger: [...of(6, 0.35, "inch"), ...of(12, 0.4, "piece"), ...of(12, 0.4, "knob")], turmeric: of(5, 0.35, "inch"), cinnamon: [...of(1.1, 0.35, "inch")],
  "lemon-zest": of(4, 0.35), potato: of(150, 0.3), "sweet-potato": of(150, 0.3), carrot: of(70, 0.3), beetroot: of(120, 0.3), pumpkin: of(1500, 0.5), "ifct-ash-gourd": of(2000, 0.5),
  pomegranate: of(140, 0.3), gelatin: of(2, 0.3, "sheet", "leaf"), "fox-nut": of(0.4, 0.3), "lotus-seeds": of(0.9, 0.3), cashew: of(1.6, 0.2, "piece"), hazelnut: of(1.1, 0.2), "ifct-cucumber-green-elongate": of(250, 0.3),
  "soya-yogurt": of(125, 0.1, "container"), yogurt: of(125, 0.2, "container"), "rock-sugar": of(4, 0.4), jaggery: of(20, 0.5, "lump"), sugar: of(4, 0.3, "cube"), nutmeg: of(5, 0.3), "dried-rose-petals": of(0.03, 0.5, "piece", "leaf"),
};
