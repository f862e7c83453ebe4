import pino from "pino";

/** What happened, a line of JSON each, on the error stream; LOG_LEVEL=info has every request too. */
export const log = pino({ level: process.env.LOG_LEVEL ?? "warn", base: null }, pino.destination(2));
