/** What the bench wants of this phone. */
export interface Asked {
  knife: string;
  role: string;
  roles: { id: string; label: string }[];
  tang?: string;
  lines: string[];
  wouldTell: string[];
  secondsLeft: number;
  taken: number;
}

/** Why not, in a sentence; 0 where nothing answered. */
export class NotTaken extends Error {
  constructor(
    readonly status: number,
    sentence: string,
  ) {
    super(sentence);
  }
}

const OURS = { "X-Snikra": "1" };
const UNREACHED = "The bench does not answer. Is this phone still in the same network?";

async function ask(path: string, body?: string): Promise<Asked> {
  let response: Response;
  try {
    response = await fetch(path, { method: body === undefined ? "GET" : "POST", headers: OURS, body });
  } catch {
    throw new NotTaken(0, UNREACHED);
  }
  if (!response.ok) throw refused(response.status, await response.text());
  return response.json();
}

function refused(status: number, text: string): NotTaken {
  try {
    return new NotTaken(status, (JSON.parse(text) as { detail: string }).detail);
  } catch {
    return new NotTaken(status, UNREACHED);
  }
}

export const enter = (code: string) => ask("/in", code);
export const now = () => ask("/now");

/** Sends a photograph as it is. Only XMLHttpRequest tells how much of it is on its way. */
export function send(picture: Blob, role: string, onSent: (part: number) => void): Promise<void> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", `/photos?role=${encodeURIComponent(role)}`);
    request.setRequestHeader("X-Snikra", "1");
    request.setRequestHeader("Content-Type", "application/octet-stream");
    request.upload.onprogress = (e) => e.lengthComputable && onSent(e.loaded / e.total);
    request.onload = () =>
      request.status === 201 ? resolve() : reject(refused(request.status, request.responseText));
    request.onerror = () => reject(new NotTaken(0, UNREACHED));
    request.send(picture);
  });
}
