import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pictureOf } from "./jpeg";

const segment = (marker: number, body: Buffer) => Buffer.concat([Buffer.from([0xff, marker, (body.length + 2) >> 8, (body.length + 2) & 0xff]), body]);
const frame = (width: number, height: number) => segment(0xc2, Buffer.from([8, height >> 8, height & 0xff, width >> 8, width & 0xff, 1, 1, 0x11, 0]));
const scan = Buffer.concat([segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])), Buffer.alloc(40, 9), Buffer.from([0xff, 0xd9])]);
const START = Buffer.from([0xff, 0xd8]);

describe("a picture that comes in", () => {
  it("is taken apart: how large it is, and nothing that a camera wrote beside it", () => {
    const beside = [0xe1, 0xe2, 0xed, 0xfe].map((marker) => segment(marker, Buffer.from("where and when")));
    const of = [0xe0, 0xee, 0xdb, 0xc4].map((marker) => segment(marker, Buffer.from("of the picture")));
    const found = pictureOf(Buffer.concat([START, ...beside, ...of, frame(640, 480), scan]));
    expect(found).toMatchObject({ width: 640, height: 480 });
    expect(found?.bytes).toEqual(Buffer.concat([START, ...of, frame(640, 480), scan]));
    expect(found && pictureOf(found.bytes)).toEqual(found);
  });
  it("is none where it only looks like one: cut off, without a size, of nothing, another kind of file", () => {
    const whole = Buffer.concat([START, frame(640, 480), scan]);
    for (let end = 0; end < START.length + frame(1, 1).length + 4; end++) expect(pictureOf(whole.subarray(0, end))).toBeNull();
    for (const none of [Buffer.concat([START, scan]), Buffer.concat([START, frame(0, 480), scan]), Buffer.from("\x89PNG\r\n\x1a\n and so on"), Buffer.alloc(0)])
      expect(pictureOf(none)).toBeNull();
  });
  it("is never more than is there, whatever comes", () =>
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), fc.boolean(), (bytes, isStarted) => {
        const found = pictureOf(Buffer.concat([isStarted ? START : Buffer.alloc(0), bytes]));
        if (found) expect(found.width > 0 && found.height > 0 && found.bytes.length <= bytes.length + START.length).toBe(true);
      }),
      { numRuns: 2000, seed: 9 },
    ));
});
