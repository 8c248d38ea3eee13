import { shallowRef } from 'vue';

/** How many changes were sent to the server and not answered yet: a page that went now would not know what became of them. */
export const changesUnderWay = shallowRef(0);

/** Counts a change for as long as it is under way. */
export async function asUnderWay<Result>(change: Promise<Result>): Promise<Result> {
  changesUnderWay.value += 1;
  try {
    return await change;
  } finally {
    changesUnderWay.value -= 1;
  }
}

let requests = 0;
/** How many requests, of any kind, were sent to the server and not answered yet. */
export const requestsUnderWay = (): number => requests;

/** Counts a request for as long as it is under way. */
export async function asRequest<Result>(request: Promise<Result>): Promise<Result> {
  requests += 1;
  try {
    return await request;
  } finally {
    requests -= 1;
  }
}
