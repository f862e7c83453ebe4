import { capital } from "../units";
import type { Constants, ServingTemperature } from "../food";
import { bodyHolds, compareLikeness, compareLimit, propertyOf, type Deviation, type KeptFigures, type KeptPropertyId } from "../evaluate";
import { limitProperty } from "./open-roles";
import { LIMIT_IDS, LIMIT_NAMES, type Limit, type LimitId } from "../table";

/** One property on the bench: recipe and version side by side, or a version beside its limit. */
export interface BeamReading {
  readonly id: KeptPropertyId | "ice";
  readonly name: string;
  readonly group: "tongue" | "table";
  readonly deviation: Deviation;
  readonly limit: number | null;
}

/** Least scale of a limit's beam, in the limit's unit, so that a limit of nothing still has a slope. */
const LIMIT_FLOORS: Readonly<Record<LimitId, number>> = { freeSugars: 5, energy: 400, saturatedFat: 3, glycaemicLoad: 5, sodium: 100 };

/** The beams of a version: sweetness, body and richness as likeness; sugars, energy, fibre, protein, and all limits set. */
export function beamReadings(
  recipe: KeptFigures,
  version: KeptFigures,
  limits: readonly Limit[],
  serve: ServingTemperature,
  constants: Pick<Constants, "noticeable">,
): BeamReading[] {
  const cold: ServingTemperature = serve === "hot" ? "chilled" : serve;
  const like = (id: KeptPropertyId, name: string, wedge: number | null, group: BeamReading["group"]): BeamReading => ({
    id,
    name,
    group,
    deviation: compareLikeness(recipe[id], version[id], wedge),
    limit: null,
  });
  const noticed = (id: KeptPropertyId, name: string): BeamReading =>
    like(id, name, propertyOf(id).noticed?.(recipe[id].value, constants.noticeable.value) ?? null, "tongue");
  const ice = iceBeam(recipe, version, constants);
  const tongue = [
    noticed("sweetness.hot", "Sweetness, hot"),
    noticed(`sweetness.${cold}`, `Sweetness, ${cold === "room" ? "at room heat" : cold}`),
    noticed("body.hot", "Body, hot"),
    noticed("body.chilled", "Body, chilled"),
    noticed("richness", "Richness"),
    ...ice,
  ];
  const limited = (id: LimitId, property: KeptPropertyId, name: string): BeamReading => {
    const limit = limits.find((each) => each.id === id);
    return limit
      ? {
          id: limitProperty(limit),
          name,
          group: "table",
          deviation: compareLimit(limit.most, LIMIT_FLOORS[id], version[limitProperty(limit)]),
          limit: limit.most,
        }
      : like(property, name, null, "table");
  };
  const table = [
    limited("freeSugars", "serving.freeSugarsUk", "Free sugars"),
    limited("energy", "serving.energy", "Energy"),
    like("serving.fibre", "Fibre", null, "table"),
    like("serving.protein", "Protein", null, "table"),
    ...LIMIT_IDS.filter((id) => !["freeSugars", "energy"].includes(id) && limits.some((limit) => limit.id === id)).map((id) =>
      limited(id, `serving.${id}` as KeptPropertyId, capital(LIMIT_NAMES[id].name)),
    ),
  ];
  // A bound sweet holds by what binds it: how a spoon finds it says nothing there.
  const bound = !bodyHolds(recipe) && !bodyHolds(version);
  // What is frozen is not eaten hot.
  const isHot = ice.length > 0 ? /\.hot$/ : null;
  return [...tongue.filter(({ id }) => !(bound && id.startsWith("body.")) && !isHot?.test(id)), ...table];
}

/** Of what is eaten frozen how much is ice there: what makes it soft or hard. */
const iceBeam = ({ ice: own }: KeptFigures, { ice }: KeptFigures, { noticeable }: Pick<Constants, "noticeable">): readonly BeamReading[] =>
  own && ice && own.value > 0 ? [{ id: "ice", name: "Ice", group: "tongue", deviation: compareLikeness(own, ice, noticeable.value.ice), limit: null }] : [];

/** Beams that have an edge and are within it, and all that have one: "7 of 8 inside". */
export function insideCount(beams: readonly BeamReading[]): { readonly inside: number; readonly of: number } {
  const edged = beams.filter((beam) => beam.deviation.state !== "free");
  return { inside: edged.filter((beam) => beam.deviation.state !== "outside").length, of: edged.length };
}
