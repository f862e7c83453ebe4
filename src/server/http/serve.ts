/** The process that serves the built app: HOST, PORT and THREPSIS_DATA come from the environment, checked by scripts/serve.mjs. */
import next from "next";
import { createFront } from "./front";

const hostname = process.env.HOST ?? "127.0.0.1";
const port = Number(process.env.PORT ?? 3000);
const app = next({ dev: false, hostname, port });
await app.prepare();
const handle = app.getRequestHandler();
createFront((request, response) => handle(request, response))
  .once("error", (error) => {
    console.error(error.message);
    process.exit(1);
  })
  .listen(port, hostname);
