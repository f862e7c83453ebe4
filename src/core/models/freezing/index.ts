export {
  asSucrose,
  dissolvedForFreezing,
  FREEZING_SOLUTES,
  FREEZING_SUMS,
  freezingEquivalentPerGram,
  freezingOf,
  ICE_HALF_WIDTH,
  iceWithSlopes,
  iceWords,
  type FreezingSums,
} from "./freezing";
