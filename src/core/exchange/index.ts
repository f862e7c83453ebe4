export { readCsv, writeCsv } from "./csv";
export { ownFileKind, upgraded, writeOwnFile } from "./own-file";
export { writeJsonLd } from "./write-json-ld";
export { writeBatchCsv, writeBatchJson } from "./batch-file";
