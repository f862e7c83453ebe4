import * as db from "../../db";
import { dataFolder, getDatabase } from "./database";
import { Refusal } from "../http/problems";

/** What is to be told of the data, and was not read yet. */
export async function unreadNotices(): Promise<readonly db.Notice[]> {
  // Notices are made as the data are opened.
  await getDatabase();
  return db.listNotices(dataFolder()).filter(({ read }) => !read);
}

export function markNoticeRead(id: string): void {
  if (!/^\d{1,9}$/.test(id) || !db.readNotice(dataFolder(), Number(id))) throw new Refusal(404, "There is no such notice.");
}
