/** A place on earth: degrees north and east, and the time zone that its clocks follow ("Asia/Kolkata"). */
export interface Place {
  readonly latitude: number;
  readonly longitude: number;
  readonly timeZone: string;
}
