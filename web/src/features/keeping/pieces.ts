/** So much goes in one request: the server holds no more of any. */
export const PIECE = 4 * 1024 * 1024;

type Send = (at: number, piece: Blob, signal: AbortSignal) => Promise<{ bytes: number }>;

/** Sends a file of any size piece by piece, going on from what has arrived, until it is there or stopped. */
export async function sendInPieces(file: Blob, signal: AbortSignal, send: Send): Promise<void> {
  let at = 0;
  do {
    signal.throwIfAborted();
    const { bytes } = await send(at, file.slice(at, at + PIECE), signal);
    if (bytes <= at && at < file.size) throw new Error("It did not arrive. Try again.");
    at = bytes;
  } while (at < file.size);
}
