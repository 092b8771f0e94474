import type { Request, RequestHandler } from 'express';
import { answered, inJson } from '../server/http/answer.ts';
import { bodyTaker } from '../server/http/body.ts';
import { Problem } from '../server/http/problem.ts';
import { planFor } from '../server/planFor.ts';

/** Answers a plan. It needs neither page nor record, so the pages' machinery, which costs more than the plan, is passed by. */
export const answerPlan: RequestHandler = async (request, response) => {
  const answer = await answered(request.path, async () => inJson(planFor(await bodyOf(request))));
  response.writeHead(answer.status, answer.headers).end(answer.bytes);
};

/** Listened to: asking a stream for chunk after chunk costs as much as checking what they bring. */
function bodyOf(request: Request): Promise<unknown> {
  return new Promise((resolve, reject) => {
    const { 'content-type': type, 'content-length': length } = request.headers;
    const taker = bodyTaker({ type, length });
    const trying =
      <T>(act: (given: T) => void) =>
      (given: T) => {
        try {
          act(given);
        } catch (error) {
          request.removeAllListeners('data').resume();
          reject(error);
        }
      };
    request
      .on('data', trying<Buffer>(taker.add))
      .on(
        'end',
        trying(() => resolve(taker.whole())),
      )
      .on('error', () => reject(new Problem(400, 'cut-off', 'The request was cut off.')));
  });
}
