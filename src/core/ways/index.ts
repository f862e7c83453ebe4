export { AS_WRITTEN, WAY_IDS, type Way, type WayGround, type WayId, type WayPicks } from "./way";
export { forksOf, inWay, inWays, type InWays } from "./ways";
