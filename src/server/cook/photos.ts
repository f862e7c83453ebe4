import * as db from "../../db";
import { getDatabase } from "../data/database";
import { readJson } from "../http/body";
import { checked } from "../http/checked";
import { Refusal } from "../http/problems";
import { validatePhoto, validateShade } from "../http/schemas/cook";
import { requireBatch } from "./batches";
import { pictureOf } from "./jpeg";

/** A picture as it is kept; a page scales it before. */
export const MOST_PHOTO_BYTES = 1024 ** 2;
const MOST_SIDE = 4096;

export const photoFacts = async (batchId: string): Promise<db.PhotoFacts | null> => db.findPhoto(await getDatabase(), batchId);

/** Keeps a picture of a batch in the place of the one before: 422 where it is no JPEG, 413 over 1 MB. What a camera wrote beside it is left out. */
export async function savePhoto(batchId: string, request: Request): Promise<db.PhotoFacts> {
  const { jpeg, shade } = checked(validatePhoto, await readJson(request, 2 * MOST_PHOTO_BYTES));
  await requireBatch(batchId);
  const picture = pictureOf(Buffer.from(jpeg, "base64"));
  const detail = (why: string) => [{ pointer: "/jpeg", detail: why }];
  if (!picture) throw new Refusal(422, "This is no picture that can be kept.", detail("Send a JPEG, base64."));
  if (picture.bytes.length > MOST_PHOTO_BYTES) throw new Refusal(413, "The picture is larger than 1 MB.", detail("Scale it down before it is sent."));
  if (Math.max(picture.width, picture.height) > MOST_SIDE)
    throw new Refusal(422, `The picture is larger than ${MOST_SIDE} points across.`, detail("Scale it down before it is sent."));
  const facts = { width: picture.width, height: picture.height, shade, takenAt: new Date().toISOString() };
  await db.writePhoto(await getDatabase(), batchId, picture.bytes.toString("base64"), facts);
  return facts;
}

/** The picture as a file of the batch holds it; null where there is none. */
export async function keptPhoto(batchId: string): Promise<{ readonly jpeg: string; readonly shade: string | null; readonly taken: string } | null> {
  const database = await getDatabase();
  const [facts, jpeg] = await Promise.all([db.findPhoto(database, batchId), db.findJpeg(database, batchId)]);
  return facts && jpeg !== null ? { jpeg, shade: facts.shade, taken: facts.takenAt } : null;
}

/** The picture of a batch; 404 where there is none. */
export async function photoOf(batchId: string): Promise<Response> {
  const jpeg = await db.findJpeg(await getDatabase(), batchId);
  if (jpeg === null) throw new Refusal(404, "There is no picture of this batch.");
  return new Response(new Uint8Array(Buffer.from(jpeg, "base64")), {
    headers: { "content-type": "image/jpeg", "x-content-type-options": "nosniff", "cache-control": "private, no-cache" },
  });
}

/** Which shade was picked from the picture. */
export async function saveShade(batchId: string, request: Request): Promise<void> {
  const { shade } = checked(validateShade, await readJson(request));
  if (!(await db.writeShade(await getDatabase(), batchId, shade))) throw new Refusal(404, "There is no picture of this batch.");
}

export async function removePhoto(batchId: string): Promise<void> {
  if (!(await db.deletePhoto(await getDatabase(), batchId))) throw new Refusal(404, "There is no picture of this batch.");
}
