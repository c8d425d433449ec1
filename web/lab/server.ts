/** Stands in for the server: each request is told to whoever asks, who answers it, late or never. Loaded before all else. */
export interface Request {
  method: string;
  path: string;
  body: unknown;
  answer: (body: unknown, status?: number) => void;
  fail: () => void;
}

export const requests: Request[] = [];

const PROBLEM = "application/problem+json";

window.fetch = async (input, init) => {
  const request = input instanceof Request ? input : new Request(input, init);
  const text = await request.text();
  return new Promise<Response>((resolve, reject) => {
    requests.push({
      method: request.method,
      path: new URL(request.url).pathname + new URL(request.url).search,
      body: text ? JSON.parse(text) : null,
      answer: (body, status = 200) =>
        resolve(
          new Response(JSON.stringify(body), {
            status,
            headers: { "content-type": status < 400 ? "application/json" : PROBLEM },
          }),
        ),
      fail: () => reject(new TypeError("Failed to fetch")),
    });
  });
};

/** The next request that was not looked at yet, as soon as it comes. */
let seen = 0;
export async function next(): Promise<Request> {
  while (requests.length <= seen) await new Promise((resolve) => setTimeout(resolve, 5));
  return requests[seen++] as Request;
}

/** Whether none came for a while. */
export async function quiet(milliseconds = 60): Promise<boolean> {
  await new Promise((resolve) => setTimeout(resolve, milliseconds));
  return requests.length === seen;
}
