export { allergensNamed } from "./allergen-words";
export { readPacket, type ReadPacket } from "./read-packet";
export { type PacketWords } from "./read-ingredients";
