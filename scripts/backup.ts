/**
 * npm run backup [-- file]: everything of the data folder as one file, as of the last write; a server may be running.
 * npm run restore -- file: puts a backup in the place of all that is there; the server must be stopped. Where what is there
 * cannot be opened, it is moved to set-aside whole.
 * npm run restore -- --salvage: goes on with what can be read of a damaged folder, and says what could not.
 * THREPSIS_PASSPHRASE seals the backup with it, or opens one that is sealed.
 * THREPSIS_DATA names the data folder (else the demo's); with DATABASE_URL the data are on that PostgreSQL server, which may
 * be in use, and only what was there before a restore is kept in the folder.
 */
import { existsSync, readFileSync, readdirSync } from "node:fs";
import { join, resolve } from "node:path";
import * as db from "../src/db";
import { backupName, putInPlace, readBackup } from "../src/server/data/backup";
import { databaseUrl } from "../src/server/data/database";
import { isSealed, seal, unseal } from "../src/server/data/sealed";
import { Refusal } from "../src/server/http/problems";

const folder = resolve(process.env.THREPSIS_DATA ?? ".data/demo");
const [task, file] = process.argv.slice(2);
/** What stays where it is when all else is moved aside. */
const STAYS = new Set(["lock", "set-aside", "before-restore", "notices.json", "demo"]);

const passphrase = process.env.THREPSIS_PASSPHRASE || null;
const url = databaseUrl();
const where = url === null ? folder : "the PostgreSQL server";

/** The data of the folder, or an empty folder where they cannot be opened and were moved aside. */
async function openOrAnew(): Promise<db.ReplaceableDatabase> {
  if (url !== null) return db.openPostgres(url);
  try {
    return await db.openDatabase(folder);
  } catch (error) {
    if (!(error instanceof db.CannotRecover)) throw error;
    const release = db.takeFolder(folder);
    const aside = db.setAside(
      folder,
      readdirSync(folder)
        .filter((name) => !STAYS.has(name))
        .map((name) => join(folder, name)),
    );
    release();
    console.log(`What was there could not be opened. It was moved whole to ${aside ?? "set-aside"}.`);
    return db.openDatabase(folder, { anew: true });
  }
}

try {
  if (task === "restore" && file === "--salvage") {
    if (url !== null) throw new Refusal(400, "Only a data folder can be salvaged: a PostgreSQL server has ways of its own.");
    const database = await db.openDatabase(folder, { salvage: true });
    await database.close();
    const told = db.listNotices(folder).filter(({ read }) => !read);
    console.log([`${folder} can be opened again.`, ...told.map(({ text }) => text)].join("\n"));
  } else if (task === "restore") {
    if (!file || !existsSync(file)) throw new Refusal(400, file ? `There is no file ${file}.` : "Name the backup: npm run restore -- file.jsonl");
    const given = readFileSync(file, "utf8");
    if (isSealed(given) && !passphrase) throw new Refusal(422, "The backup is sealed: set THREPSIS_PASSPHRASE to its passphrase.");
    const dump = await readBackup(isSealed(given) && passphrase ? await unseal(given, passphrase) : given);
    const database = await openOrAnew();
    try {
      const { recipes, versions, made } = await putInPlace(database, dump, folder);
      console.log(
        `Restored ${recipes} recipes and ${versions} kept versions, as of ${made}, to ${where}. What was there is kept in before-restore${url === null ? "" : ` of ${folder}`}.`,
      );
    } finally {
      await database.close();
    }
  } else {
    if (url === null && !existsSync(folder)) throw new Refusal(404, `There are no data in ${folder}. Set THREPSIS_DATA to the folder that holds them.`);
    const made = new Date().toISOString();
    const copy = url === null ? await db.openCopy(folder) : await db.openPostgres(url);
    const text = db.encodeDump(await copy.transaction((connection) => db.dumpRows(connection, made)));
    await copy.close();
    const path = resolve(file ?? (passphrase ? backupName(made).replace(/\.jsonl$/, ".sealed") : backupName(made)));
    if (!file && existsSync(path)) throw new Refusal(409, `${path} is there already. Name another file: npm run backup -- file.jsonl`);
    db.writeDurably(path, passphrase ? await seal(text, passphrase, made) : text);
    console.log(`Backed up ${where} to ${path}${passphrase ? ", sealed" : ""}.`);
  }
} catch (error) {
  if (!(error instanceof Refusal || error instanceof db.FolderInUse || error instanceof db.FolderNotWritable || error instanceof db.CannotRecover)) throw error;
  const [first] = error instanceof Refusal ? error.errors : [];
  console.error(
    `${error.message}${first && !error.message.includes(first.detail) ? ` (${first.pointer}: ${first.detail})` : ""}${error instanceof db.FolderInUse ? " Or restore from the Household place of the running app." : ""}`,
  );
  process.exitCode = 1;
}
