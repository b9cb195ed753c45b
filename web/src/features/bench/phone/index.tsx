import { useState } from "react";
import type { PhoneLine } from "../../../api/types";
import { Dialog } from "../../../ui/dialog";
import { Select } from "../../../ui/select";
import { useToast } from "../../../ui/toasts";
import { Code } from "./code";
import { usePhone, type Wanted } from "./use-phone";

/** A phone as camera for this knife: off until one asks, then for fifteen minutes, for one phone. */
export function PhoneAsCamera({ id, label, wanted }: { id: string; label: string; wanted: Wanted }) {
  const [open, setOpen] = useState(false);
  const phone = usePhone(id, open);
  return (
    <>
      <button type="button" className="press" aria-haspopup="dialog" onClick={() => setOpen(true)}>
        {phone.line ? "A phone is the camera" : label}
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title="A phone as camera">
        {phone.error && (
          <p role="alert" className="mt-3 text-lead">
            {phone.error.message}
          </p>
        )}
        {phone.isLoading && <p className="voice mt-3 text-ink3">Looking for the network.</p>}
        {phone.line ? (
          <Line line={phone.line} onEnd={phone.end} />
        ) : (
          !phone.isLoading && <Begin addresses={phone.addresses} onBegin={(at) => phone.begin(wanted, at)} />
        )}
      </Dialog>
    </>
  );
}

function Begin({ addresses, onBegin }: OfBeginning) {
  const toast = useToast();
  const [address, setAddress] = useState<string>();
  const begin = async () => {
    try {
      await onBegin(address);
    } catch (e) {
      toast((e as Error).message);
    }
  };
  if (addresses.length === 0)
    return (
      <p className="mt-3 max-w-[60ch]">
        This computer is in no network at home that a phone could reach it by. Join the network the phone is
        in, then open this again.
      </p>
    );
  return (
    <div className="mt-3 max-w-[60ch]">
      <WhatItMay />
      {addresses.length > 1 && (
        <div className="mt-2 w-56">
          <Select
            aria-label="This computer is known to the phone as"
            value={address ?? addresses[0]}
            nothing="address"
            options={addresses.map((a) => ({ id: a, label: a }))}
            onChange={setAddress}
          />
        </div>
      )}
      <button type="button" className="press mt-3 min-h-8" onClick={begin}>
        Let a phone in
      </button>
    </div>
  );
}

interface OfBeginning {
  addresses: string[];
  onBegin: (address?: string) => Promise<void>;
}

function WhatItMay() {
  return (
    <>
      <p>
        A phone in the same network takes the photographs and puts them with this knife, and sees the letters
        that are still to be read. It can do nothing else, and it ends by itself after fifteen minutes.
      </p>
      <p className="voice mt-2 text-ink2">
        Do this at home, not in a network shared with strangers: for so long this computer answers the first
        phone that shows the code.
      </p>
    </>
  );
}

function Line({ line, onEnd }: { line: PhoneLine; onEnd: () => Promise<void> }) {
  const minutes = Math.max(0, Math.ceil((Date.parse(line.endsAt) - Date.now()) / 60000));
  return (
    <div className="mt-3 grid gap-5 sm:grid-cols-[15rem_minmax(0,1fr)]">
      {line.code ? <Code rows={line.code} /> : <Counted taken={line.taken} />}
      <div>
        <p role="status" className="font-semibold">
          {line.entered ? "The phone is in." : "Waiting for a phone."}{" "}
          <span className="font-normal">
            Ends in <span className="num">{minutes}</span> {minutes === 1 ? "minute" : "minutes"}.
          </span>
        </p>
        {!line.entered && <HowToEnter />}
        <ToCompare line={line} />
        {line.entered && (
          <p className="mt-2 text-ink2">Is it not yours? End it: nobody can enter by that code again.</p>
        )}
        <button type="button" className="press mt-3 min-h-8" onClick={onEnd}>
          End it now
        </button>
      </div>
    </div>
  );
}

function HowToEnter() {
  return (
    <ol className="mt-2 list-decimal pl-5">
      <li>Scan the code with the camera of the phone.</li>
      <li>
        The phone warns that nobody vouches for this computer. That is so: look at the certificate it shows
        and compare its SHA-256 fingerprint with the one below, then go on.
      </li>
    </ol>
  );
}

function ToCompare({ line }: { line: PhoneLine }) {
  return (
    <>
      <h3 className="voice mt-2 text-ink2">Fingerprint</h3>
      <p className="font-steel text-[0.78125rem]/[1.125rem]">
        {inRows(line.fingerprint).map((row) => (
          <span key={row} className="block">
            {row}
          </span>
        ))}
      </p>
      {line.address && (
        <>
          <h3 className="voice mt-2 text-ink2">Or type this on the phone</h3>
          <p className="font-steel text-[0.78125rem]/[1.125rem]" data-testid="phone-address">
            {line.address}
          </p>
        </>
      )}
    </>
  );
}

const PAIRS_A_ROW = 8;

/** As one compares it, a few pairs at a time. */
function inRows(fingerprint: string): string[] {
  const pairs = fingerprint.split(":");
  return Array.from({ length: pairs.length / PAIRS_A_ROW }, (_, i) =>
    pairs.slice(i * PAIRS_A_ROW, (i + 1) * PAIRS_A_ROW).join(":"),
  );
}

function Counted({ taken }: { taken: number }) {
  return (
    <p className="flex flex-col items-center justify-center border py-5 sm:aspect-square border-ink bg-lit">
      <span className="num text-[3rem]/[3rem]">{taken}</span>
      <span>{taken === 1 ? "photograph" : "photographs"}</span>
    </p>
  );
}
