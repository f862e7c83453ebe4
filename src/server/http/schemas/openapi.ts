import { ADAPT_REQUEST, adaptResponseSchema, propertiesSchema, RESCUE_REQUEST, rescueResponseSchema } from "./adapt";
import { listOf, number, object, text } from "./described";
import { SCHEDULE_REQUEST, scheduleResponseSchema } from "./schedule";

const problem = (description: string) => ({ description, content: { "application/problem+json": { schema: { $ref: "#/components/schemas/Problem" } } } });

/** The description of the open interface, OpenAPI 3.1. */
export const openApi = {
  openapi: "3.1.0",
  info: {
    title: "Threpsis",
    version: "1",
    description:
      "Works out versions of a sweet for a table, what mends a pot, and when each step of several sweets is begun. Stateless. Every figure is {value, low, high}: the central estimate and its 80 % interval.",
  },
  paths: {
    "/api/v1/adapt": {
      post: {
        summary: "Adapt a recipe to diets, limits and allergies",
        requestBody: { required: true, content: { "application/json": { schema: { $ref: "#/components/schemas/AdaptRequest" } } } },
        responses: {
          200: {
            description: "What was read, what conflicts, and the versions.",
            content: { "application/json": { schema: { $ref: "#/components/schemas/AdaptResponse" } } },
          },
          400: problem("Not JSON."),
          413: problem("Over 2 MB."),
          415: problem("Not sent as JSON."),
          422: problem("Does not fit, or nothing could be read."),
          503: problem("The solver's queue is full."),
        },
      },
    },
    "/api/v1/rescue": {
      post: {
        summary: "Mend a pot that went wrong",
        requestBody: { required: true, content: { "application/json": { schema: { $ref: "#/components/schemas/RescueRequest" } } } },
        responses: {
          200: {
            description: "The ways out, the least change first, each computed from the pot; or what has to be asked first.",
            content: { "application/json": { schema: { $ref: "#/components/schemas/RescueResponse" } } },
          },
          400: problem("Not JSON."),
          413: problem("Over 2 MB."),
          415: problem("Not sent as JSON."),
          422: problem("Does not fit, or nothing could be read."),
        },
      },
    },
    "/api/v1/schedule": {
      post: {
        summary: "Plan the steps of several sweets in one kitchen",
        requestBody: { required: true, content: { "application/json": { schema: { $ref: "#/components/schemas/ScheduleRequest" } } } },
        responses: {
          200: {
            description: "When each step begins and in which pan, the bounds that are sure, and what clashes with what would have to give way.",
            content: { "application/json": { schema: { $ref: "#/components/schemas/ScheduleResponse" } } },
          },
          400: problem("Not JSON."),
          413: problem("Over 2 MB."),
          415: problem("Not sent as JSON."),
          422: problem("Does not fit, or cannot be planned."),
          503: problem("Too many plan at once."),
        },
      },
    },
  },
  components: {
    schemas: {
      Figure: object({ value: number, low: number, high: number }),
      Properties: propertiesSchema,
      AdaptRequest: ADAPT_REQUEST,
      AdaptResponse: adaptResponseSchema,
      RescueRequest: RESCUE_REQUEST,
      RescueResponse: rescueResponseSchema,
      ScheduleRequest: SCHEDULE_REQUEST,
      ScheduleResponse: scheduleResponseSchema,
      Problem: object({ type: text, title: text, status: number, errors: listOf(object({ pointer: text, detail: text })) }, ["errors"]),
    },
  },
} as const;
