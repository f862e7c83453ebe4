export { readCsv, writeCsv } from "./csv";
export { ownFileKind, writeOwnFile } from "./own-file";
export { writeJsonLd } from "./write-json-ld";
